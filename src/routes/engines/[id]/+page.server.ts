import { freshen } from '$lib/server/jobs/derive.ts';
import { orError } from '$lib/server/load.ts';
import { trendOf, trendsOf } from '$lib/server/repositories/derived.ts';
import { engineById } from '$lib/server/repositories/engines.ts';
import { jobsOfEngine } from '$lib/server/repositories/jobs.ts';
import { sheetOf } from '$core/sheets/index.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => orError(enginePage(params.id));

async function enginePage(id: string) {
  await freshen(id);
  const [engine, jobs, marks, figures] = await Promise.all([
    engineById(id),
    jobsOfEngine(id),
    trendOf(id, 'mark'),
    trendsOf(id, ['float', 'engagement', 'curve', 'model'])
  ]);
  return {
    engine,
    marks: marks.map((m) => ({ ...m, at: m.at.toISOString() })),
    figures: figures.map((f) => ({ ...f, at: f.at.toISOString() })),
    jobs: jobs.map((j) => ({ ...j, openedAt: j.openedAt.toISOString(), title: sheetOf(j.sheet)?.title ?? j.sheet }))
  };
}
