import { manifests } from '$core/domains/all.ts';
import { trendsIn } from '$core/job/history.ts';
import { sheetConflicts } from '$core/sheets/data-sheet.ts';
import { sheetOf } from '$core/sheets/index.ts';
import { fieldsBody } from '$lib/server/contents.ts';
import { freshen } from '$lib/server/jobs/derive.ts';
import { orError } from '$lib/server/load.ts';
import { trendOf, trendsOf } from '$lib/server/repositories/derived.ts';
import { engineById } from '$lib/server/repositories/engines.ts';
import { jobsOfEngine } from '$lib/server/repositories/jobs.ts';
import { lengthText } from '$lib/reader/units.ts';
import type { Prefs } from '$lib/reader/prefs.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => orError(enginePage(params.id, locals.prefs));

const trends = trendsIn(manifests);

async function enginePage(id: string, prefs: Prefs) {
  await freshen(id);
  const [engine, jobs, marks, figures] = await Promise.all([
    engineById(id),
    jobsOfEngine(id),
    trendOf(id, 'mark'),
    trendsOf(
      id,
      trends.map((t) => t.key)
    )
  ]);
  const len = lengthText(prefs);
  return {
    engine,
    fieldsHash: fieldsBody.hash,
    conflicts: sheetConflicts(engine),
    marks: marks.map((m) => ({ ...m, at: m.at.toISOString() })),
    trends: trends.flatMap(({ key, title, text }) => {
      const rows = figures
        .filter((f) => f.key === key)
        .map((f) => ({ jobId: f.jobId, at: f.at.toISOString(), text: text(f, len), verdict: f.verdict }));
      return rows.length ? [{ title, rows }] : [];
    }),
    jobs: jobs.map((j) => ({ ...j, openedAt: j.openedAt.toISOString(), title: sheetOf(j.sheet)?.title ?? j.sheet }))
  };
}
