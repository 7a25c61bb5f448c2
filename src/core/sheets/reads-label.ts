import { readsOf } from '../tray/reads.ts';
import { runSheets } from './index.ts';

const POOLED: Readonly<Record<string, string>> = { flank: 'the stop’s flanks', 'idle-mark': 'the mark by strobe' };

/** What was read, as `readsOf` says it, in the words of the slot it is read in. */
export function readsLabel(reads: string): string {
  const slots = runSheets.flatMap((sheet) => sheet.steps.flatMap((step) => step.slots));
  return POOLED[reads] ?? slots.find((s) => readsOf(s.slot) === reads)?.label ?? reads;
}
