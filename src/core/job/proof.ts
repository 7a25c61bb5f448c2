import type { Harm, StepChoice } from './run-sheet.ts';

/**
 * What happens to a state that its step does not prove: `X` the step stays open; `R` it may be finished with a reason, and the
 * state is on word; `K` the step may be left, and the state stays off; `F` a finding: the state goes on and carries the verdict;
 * `-` cannot arise.
 */
export type Letter = 'X' | 'R' | 'K' | 'F' | '-';

/** How a step can fall short of proving a state, in the order of the letters of a proof. */
export const shortfalls = ['nothing', 'out', 'undecided', 'no-gauge'] as const;
export type Shortfall = (typeof shortfalls)[number];

/** What proves a state beside the figures of its step, and what a step that does not prove it leads to. */
export interface Proof {
  /** what somebody looks at, feels or answers; the first word of each is the good one, words with `holds` are bad ones */
  looks: readonly StepChoice[];
  /** one letter for each shortfall, in their order */
  letters: string;
  harm: Harm;
  /** a danger that is gone only where this state of the same step is proved by its figures */
  goneWith?: string;
  /** it proves that the state is gone, as it does for every danger */
  off?: true;
}

export const letterOf = (p: Pick<Proof, 'letters'>, short: Shortfall): Letter =>
  p.letters[shortfalls.indexOf(short)] as Letter;

type Bad = readonly [label: string, then: string];

/**
 * Something that is looked at, felt or answered.
 * @param good the words that prove it, the usual one first
 * @param bad the words that do not, each with what to do then
 */
export function look(id: string, question: string, good: string | readonly string[], ...bad: Bad[]): StepChoice {
  const goods = typeof good === 'string' ? [good] : good;
  return {
    id,
    question,
    options: [
      ...goods.map((label, k) => ({ id: k === 0 ? 'good' : `good-${k + 1}`, label })),
      ...bad.map(([label, then], k) => ({
        id: k === 0 ? 'bad' : `bad-${k + 1}`,
        label,
        holds: `${question.toLowerCase()}, ${label}: ${then}`
      }))
    ]
  };
}

/** A proof as a trade writes it down. */
export const proof = (letters: `${Letter}${Letter}${Letter}${Letter}`, harm: Harm, ...looks: StepChoice[]): Proof => ({
  letters,
  harm,
  looks
});
