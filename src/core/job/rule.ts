import type { Act, Place } from './acts.ts';

/**
 * Rules over the job's state. While its flags hold, something must never be done, named as an act and not as a step.
 * Harm to a person or a machine refuses what does it; harm to the result alone asks for a reason.
 */
export interface Rule<Flag extends string = string> {
  id: string;
  /** what earlier logs call it */
  was?: string;
  on: readonly Flag[];
  off: readonly Flag[];
  /** what else must be so for it to belong here */
  where?: readonly Where[];
  /** it is true of every engine until it is put right, and not only of a step that comes later */
  standing?: true;
  /** where it can be so at all; left out: everywhere */
  at?: readonly Place[];
  /** raised by a working of its domain alone, and not by flags; one that has flags may be raised by both */
  worked?: true;
  /** short, as it stands in the solid bar */
  bar: string;
  never: string;
  because: string;
  /** what must become true first, where that does not follow from its flags */
  first?: string;
  ifItHappened: string;
  harm: 'person' | 'machine' | 'result';
  forbids: readonly Act[];
  /** states that are lost when it happened all the same */
  loses: readonly string[];
}

/** A condition beside the states: an answer given on the job, or a value of the data sheet until it is answered. */
export type Where =
  | { fact: string; is: boolean }
  | { chosen: string; is: string; field?: string }
  /** it belongs unless this is so: also where nobody has said */
  | { chosen: string; not: string; field?: string };
