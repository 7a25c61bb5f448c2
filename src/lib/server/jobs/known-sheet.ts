import { sheetOf } from '$core/sheets/index.ts';
import type { RunSheet } from '$core/job/index.ts';
import { Refusal } from '../errors.ts';

/** The run sheet of a job, or the refusal to work by one that this version does not have. */
export function knownSheet(id: string): RunSheet {
  const sheet = sheetOf(id);
  if (!sheet) throw new Refusal(409, 'no-such-sheet', 'This job\u2019s run sheet is not known to this version.');
  return sheet;
}
