import { sheetOf } from '$core/sheets/index.ts';
import { CORE_VERSION } from '$core/version.ts';
import { freshen } from '$lib/server/jobs/derive.ts';
import { orError } from '$lib/server/load.ts';
import { floorRows, type FloorRow } from '$lib/server/repositories/jobs.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url }) => orError(floor(url.searchParams.get('who')));

const isStale = (r: FloorRow) =>
  r.throughSeq !== r.lastSeq || r.throughSheet !== r.sheetVersion || r.coreVersion !== CORE_VERSION;

async function floor(who: string | null) {
  let rows = await floorRows();
  if (rows.some(isStale)) {
    // rows that lag behind their log: worked out now, so that the floor never shows an old next step
    await freshen(null);
    rows = await floorRows();
  }
  const jobs = rows.map((r) => ({
    id: r.id,
    engine: r.engineName,
    summary: r.summary,
    sheet: sheetOf(r.sheet)?.short ?? r.sheet,
    next: r.next ?? '',
    waits: r.waits ?? 'ready',
    waitsText: r.waitsText ?? '',
    promisedOn: r.promisedOn,
    done: r.done ?? 0,
    total: r.total ?? 0,
    openedBy: r.openedBy,
    lastBy: r.lastBy,
    lastAt: r.lastAt?.toISOString() ?? null
  }));
  const people = [...new Set(jobs.flatMap((j) => [j.openedBy, j.lastBy]).filter((n) => n !== null))].sort();
  return { jobs: who ? jobs.filter((j) => j.openedBy === who || j.lastBy === who) : jobs, filter: who, names: people };
}
