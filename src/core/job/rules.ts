import type { Engine } from '../engine/engine.ts';
import type { Replayed } from './replayed.ts';
import type { Act, Place } from './acts.ts';
import type { Rule } from './rule.ts';
import type { FlagWords, RunSheet, SheetPlan } from './run-sheet.ts';
import { capital } from './texts.ts';

const small = (s: string): string => s.charAt(0).toLowerCase() + s.slice(1);

/**
 * A rule as it is read aloud: what must never be done, why, and what to do if it happened. In this order, and with the
 * word *never* in front: reason and act alone can be heard as an order to do it.
 */
export const ruleText = (r: Rule): { never: string; because: string; ifItHappened: string } => ({
  never: `Never ${small(r.never)}`,
  because: `Why: ${r.because}`,
  ifItHappened: `If it happened: ${r.ifItHappened}`
});

/** What must become true before a rule lets go: the opposite of what raises it, in the words of its states. */
export const putRight = (r: Rule, flags: Record<string, FlagWords>): string =>
  r.first ?? capital([...r.on.map((f) => flags[f]!.off), ...r.off.map((f) => flags[f]!.on)].join(', '));

/** What is done on a place of its own accord, whatever the steps say: there a hand, a starter or a bar is near. */
const NEAR: Record<Place, readonly Act[]> = {
  engine: ['turns-crank', 'turns-back', 'cranks-by-power', 'starts', 'reaches-in', 'skin-near-line'],
  'open-case': ['turns-crank', 'lays-crank-in', 'closes-case'],
  bench: []
};

/**
 * The rules that belong to a run sheet: those that forbid something that is done there or near at hand, and whose states can
 * be reached on it. People stop reading what does not matter.
 */
export function belonging(rules: readonly Rule[], plan: SheetPlan, flags: Record<string, FlagWords>): Rule[] {
  const steps = new Set(plan.steps.flatMap((s) => s.acts));
  const near = new Set([...NEAR[plan.place ?? 'engine'], ...steps]);
  const within = new Set([
    ...plan.begins,
    ...plan.steps.flatMap((s) => [...s.sets, ...s.clears, s.onlyIf?.flag ?? ''])
  ]);
  const reached = (f: string) => within.has(f) || flags[f]?.sayable === true || flags[f]?.always === true;
  return rules.filter(
    (r) =>
      (r.at === undefined || r.at.includes(plan.place ?? 'engine')) &&
      r.forbids.some((a) => (isDanger(r) ? near : steps).has(a)) &&
      // a danger goes when it is put off; what only waits for a state needs somebody who can give it
      (r.on.length > 0 ? r.on : r.off).every(reached)
  );
}

/** Something that is so now and can hurt; the others only say what a later step must wait for. */
const isDanger = (r: Rule): boolean => r.on.length > 0 || r.worked === true || r.standing === true;

/** Those of the rules raised that stand as bars: dangers, and what the step in hand must wait for. */
export const asBars = (raisedNow: readonly Rule[], step: { acts: readonly Act[] } | undefined): Rule[] =>
  raisedNow.filter((r) => isDanger(r) || r.forbids.some((a) => step?.acts.includes(a)));

/** The rules of a list that hold now. */
export const raised = (
  rules: readonly Rule[],
  on: ReadonlySet<string>,
  { r, engine }: { r: Pick<Replayed, 'facts' | 'chosen'>; engine: Engine }
): Rule[] =>
  rules.filter(
    (rule) =>
      !rule.worked &&
      rule.on.every((f) => on.has(f)) &&
      rule.off.every((f) => !on.has(f)) &&
      (rule.where ?? []).every((w) => {
        if ('fact' in w) return r.facts.get(w.fact) === w.is;
        const said = r.chosen.get(w.chosen) ?? (w.field ? engine.values[w.field]?.value : undefined);
        return 'not' in w ? said !== w.not : said === w.is;
      })
  );

/** The rule of a sheet by its id. */
export const ruleOf = (sheet: RunSheet, id: string): Rule | undefined => sheet.rules.find((r) => r.id === id);

const RANK = { person: 0, machine: 1, result: 2 };
/** Those that can hurt people first. */
export const byHarm = (rules: Rule[]): Rule[] => rules.sort((a, b) => RANK[a.harm] - RANK[b.harm]);

/** The rule that forbids one of these acts now, the worst harm first; undefined where all is free. */
export const forbidding = (
  raisedNow: readonly Rule[],
  acts: readonly Act[],
  free: ReadonlySet<string>
): Rule | undefined => raisedNow.find((r) => !free.has(r.id) && r.forbids.some((a) => acts.includes(a)));
