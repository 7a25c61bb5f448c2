import type { JobEvent } from './events.ts';
import type { RunSheet } from './run-sheet.ts';

/** Turns the names that earlier logs have for states and rules into those of today; a log is never rewritten. */
export function namedNow(sheet: Pick<RunSheet, 'words' | 'rules'>): <E extends JobEvent>(e: E) => E {
  const states = new Map(Object.entries(sheet.words.flags).flatMap(([f, w]) => (w.was ? [[w.was, f]] : [])));
  const rules = new Map(sheet.rules.flatMap((r) => (r.was ? [[r.was, r.id]] : [])));
  const state = (f: string) => states.get(f) ?? f;
  const rule = (id: string) => rules.get(id) ?? id;
  return (e) => {
    if (e.kind === 'say') return { ...e, flag: state(e.flag) };
    if (e.kind === 'happened') return { ...e, rule: rule(e.rule) };
    if (e.kind !== 'override') return e;
    return { ...e, flags: e.flags.map(state), ...(e.rules && { rules: e.rules.map(rule) }) };
  };
}
