import { readsLabel } from '$core/sheets/reads-label.ts';
import { handRows } from '$core/tray/hand-rows.ts';
import { orError } from '$lib/server/load.ts';
import { gauges } from '$lib/server/repositories/gauges.ts';
import { learntByAll } from '$lib/server/repositories/hands.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => orError(rows());

async function rows() {
  const [tray, learnt] = await Promise.all([gauges(), learntByAll()]);
  return {
    gauges: handRows(
      tray,
      learnt.map((l) => ({ ...l, reads: readsLabel(l.reads) }))
    )
  };
}
