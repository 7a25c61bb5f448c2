/**
 * Rules over the job's state. While its flags hold, something must never be done.
 * Harm to a person or a machine blocks what it names; harm to the result alone asks for a reason.
 */
export interface Rule<Flag extends string = string> {
  id: string;
  on: Flag[];
  off: Flag[];
  /** short, as it stands in the solid bar */
  bar: string;
  never: string;
  because: string;
  ifItHappened: string;
  harm: 'person' | 'machine' | 'result';
  /** an event that says that it happened after all */
  happened?: 'crank-turned';
}

/**
 * A rule as it is read aloud: what must never be done, why, and what to do if it happened. In this order, and with the
 * word *never* in front: reason and act alone can be heard as an order to do it.
 */
export const ruleText = (r: Rule): { never: string; because: string; ifItHappened: string } => ({
  never: `Never ${r.never.charAt(0).toLowerCase()}${r.never.slice(1)}`,
  because: `Why: ${r.because}`,
  ifItHappened: `If it happened: ${r.ifItHappened}`
});

/** The rules of a list that hold now. */
export const raised = (rules: readonly Rule[], on: ReadonlySet<string>): Rule[] =>
  rules.filter((r) => r.on.every((f) => on.has(f)) && r.off.every((f) => !on.has(f)));

const RANK = { person: 0, machine: 1, result: 2 };
/** Those that can hurt people first. */
export const byHarm = (rules: Rule[]): Rule[] => rules.sort((a, b) => RANK[a.harm] - RANK[b.harm]);
