import { createHash } from 'node:crypto';
import type { RunSheet } from '$core/job/index.ts';
import { dataSheetFields } from '$core/sheets/data-sheet.ts';
import { runSheets } from '$core/sheets/index.ts';

/** What screens fetch once and keep: run sheets and the fields of a data sheet, each under the hash of its content. */
const hashOf = (body: string): string => createHash('sha256').update(body).digest('hex').slice(0, 16);

const sheets = new Map(
  runSheets.map((s) => {
    const body = JSON.stringify(s);
    return [s.id, { body, hash: hashOf(body) }];
  })
);
export const sheetRef = (sheet: RunSheet): { id: string; hash: string } => ({
  id: sheet.id,
  hash: sheets.get(sheet.id)!.hash
});
export const sheetBody = (id: string): { body: string; hash: string } | undefined => sheets.get(id);

const body = JSON.stringify(dataSheetFields);
export const fieldsBody = { body, hash: hashOf(body) };

/** An answer that never changes under its address. */
export const forever = (json: string): Response =>
  new Response(json, {
    headers: { 'content-type': 'application/json', 'cache-control': 'public, max-age=31536000, immutable' }
  });
