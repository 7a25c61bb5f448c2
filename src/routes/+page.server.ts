import { runSheets, sheetOf } from '$core/sheets/index.ts';
import { nightlyTrouble } from '$lib/server/backups.ts';
import { CORE_VERSION } from '$lib/server/core-version.ts';
import { askedOfList, fromAddress, LIST_PAGE, orFirstPage, pagesOf, wordsOf } from '$lib/server/find.ts';
import { freshenSome } from '$lib/server/jobs/derive.ts';
import { orError } from '$lib/server/load.ts';
import { floor as floorOf, type FloorFilter } from '$lib/server/repositories/jobs.ts';
import { z } from 'zod';
import type { PageServerLoad } from './$types';

const asked = askedOfList.extend({ who: z.string().max(80).nullable().catch(null) });

export const load: PageServerLoad = ({ url }) =>
  orError(floor(url, asked.parse(fromAddress(url, ['who', 'find', 'page']))));

async function floor(url: URL, { who, find, page }: z.output<typeof asked>) {
  const words = wordsOf(find);
  const filter: FloorFilter = {
    who,
    words,
    sheets: words.map((w) => runSheets.filter((s) => s.short.toLowerCase().includes(w)).map((s) => s.id))
  };
  const read = () => floorOf(CORE_VERSION, filter, page - 1, LIST_PAGE);
  const { rows: first, counts } = await read();
  // a few rows that lag behind their log are worked out now; where they are many, each says that it is on its way
  const rows = (await freshenSome(first.filter((r) => r.behind).map((r) => r.id)))
    ? (await read()).rows
    : orFirstPage(url, page, first);
  const jobs = rows.map((r) => ({
    id: r.id,
    engine: r.engineName,
    summary: r.summary,
    sheet: sheetOf(r.sheet)?.short ?? r.sheet,
    next: r.next ?? '',
    waits: r.waits ?? 'ready',
    waitsText: r.waitsText ?? '',
    behind: r.behind,
    promisedOn: r.promisedOn,
    done: r.done ?? 0,
    total: r.total ?? 0,
    openedBy: r.openedBy,
    lastBy: r.lastBy,
    lastAt: r.lastAt?.toISOString() ?? null
  }));
  const total = Object.values(counts).reduce((t, n) => t + n, 0);
  return {
    jobs,
    filter: who,
    find: find ?? '',
    page,
    pages: pagesOf(total),
    backup: nightlyTrouble(new Date()),
    total,
    ready: counts['ready'] ?? 0,
    // those without a line: nobody knows yet what they wait for
    pending: counts[''] ?? 0
  };
}
