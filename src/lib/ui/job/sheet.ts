import { loadDomains } from '$core/domains/list.ts';
import type { Engine } from '$core/engine/engine.ts';
import type { Domain, JobEvent, RunSheet } from '$core/job/index.ts';
import { tradesNeeded } from '$core/job/needed.ts';
import { stateOf } from './state-memo.ts';

/** A run sheet by its content: the address never means anything else, so whoever has it need not ask again. */
export interface SheetRef {
  id: string;
  hash: string;
}
export interface Loaded {
  sheet: RunSheet;
  domains: Domain[];
}

export const addressOf = (ref: SheetRef): string => `/api/sheets/${ref.id}/${ref.hash}`;

const here = new Map<string, Promise<RunSheet>>();

/** A run sheet with the workings it needs: on the server at hand, in a browser fetched once and kept by its address. */
export async function loadSheet(ref: SheetRef, fetch: typeof globalThis.fetch): Promise<Loaded> {
  const sheet = await sheetFor(ref, fetch);
  const known = loaded.get(sheet) ?? { sheet, domains: await loadDomains(sheet.domains) };
  loaded.set(sheet, known);
  return known;
}
/** one list of workings a sheet: what was worked out with it is found again */
const loaded = new WeakMap<RunSheet, Loaded>();

/**
 * The same for a job that is being worked on: a browser fetches the trades of later steps when it is idle. What else those
 * trades need may be fetched together with them.
 */
export async function loadSheetFor(
  ref: SheetRef,
  engine: Engine,
  log: readonly JobEvent[],
  fetch: typeof globalThis.fetch,
  together: (trades: readonly string[]) => void
): Promise<Loaded> {
  if (import.meta.env.SSR) return loadSheet(ref, fetch);
  const sheet = await sheetFor(ref, fetch);
  // where the job stands follows from what its log speaks of; the step in hand may bring one more trade
  const spokenOf = tradesNeeded(sheet, log, -1);
  together(spokenOf);
  const spoken = await loadDomains(spokenOf);
  const { current } = stateOf(sheet, engine, log, spoken);
  const names = tradesNeeded(sheet, log, current ?? sheet.steps.length - 1);
  together(names);
  return { sheet, domains: names.length === spoken.length ? spoken : await loadDomains(names) };
}

async function sheetFor(ref: SheetRef, fetch: typeof globalThis.fetch): Promise<RunSheet> {
  if (import.meta.env.SSR) {
    const { sheetOf } = await import('$core/sheets/index.ts');
    return sheetOf(ref.id)!;
  }
  const address = addressOf(ref);
  const known = here.get(address);
  if (known) return known;
  const asked = fetch(address).then(async (r) => {
    if (!r.ok) throw new Error('The run sheet could not be fetched. Load the page again.');
    return (await r.json()) as RunSheet;
  });
  here.set(address, asked);
  asked.catch(() => here.delete(address));
  return asked;
}
