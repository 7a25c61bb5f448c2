import { loadDomains } from '$core/domains/list.ts';
import type { Domain, RunSheet } from '$core/job/index.ts';

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
  return { sheet, domains: await loadDomains(sheet.domains) };
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
