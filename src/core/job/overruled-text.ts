import type { EventOf } from './events.ts';
import { ruleOf } from './rules.ts';
import type { RunSheet } from './run-sheet.ts';
import { list } from './texts.ts';

/** A reason, and what it was given for: `overruled: only a look (crank moved from the reference)`. */
export function overruledText(sheet: RunSheet, o: EventOf<'override'>): string {
  const what = [
    ...o.flags.map((f) => sheet.words.flags[f]).flatMap((w) => (w ? [w.danger ? w.on : w.off] : [])),
    ...(o.rules ?? []).map((r) => ruleOf(sheet, r)?.bar ?? r),
    ...(o.open === undefined ? [] : [`left open: ${o.open}`])
  ];
  return `overruled: ${o.reason}${what.length ? ` (${list(what)})` : ''}`;
}
