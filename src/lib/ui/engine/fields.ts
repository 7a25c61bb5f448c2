import type { Field } from '$core/engine/fields.ts';

let here: { address: string; fields: Promise<Field[]> } | null = null;

/** The values a data sheet may hold: on the server at hand, in a browser fetched once by the address of their content. */
export async function loadFields(hash: string, fetch: typeof globalThis.fetch): Promise<Field[]> {
  if (import.meta.env.SSR) return (await import('$core/sheets/data-sheet.ts')).dataSheetFields;
  const address = `/api/fields/${hash}`;
  if (here?.address !== address) {
    const fields = fetch(address).then(async (r) => {
      if (!r.ok) throw new Error('The data sheet’s fields could not be fetched. Load the page again.');
      return (await r.json()) as Field[];
    });
    here = { address, fields };
    fields.catch(() => (here = null));
  }
  return here.fields;
}
