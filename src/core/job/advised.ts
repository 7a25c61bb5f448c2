import type { VerdictState } from '../calculations/verdict/verdict.ts';
import type { Thing } from './things.ts';

/** What to do next at a step, as data: what its headline says in words. */
export interface Advised {
  /** turn something, read a figure, read the same once more, leave it, lift and let down, open another step again, or go on */
  act: 'turn' | 'read' | 'again' | 'leave' | 'lift' | 'reopen' | 'go-on';
  /** what is turned: a thing that is set, the crank, or a gear by its teeth */
  what?: Thing | 'crank' | 'gear';
  /** the sense as the bench says it, from the end that the headline names */
  sense?: 'cw' | 'ccw' | 'on' | 'back' | 'forward';
  amount?: number;
  unit?: '°' | 'turns' | 'teeth' | 'mm';
  /** where it leads: the figure aimed at, in the unit of the slot that is read */
  target?: number | null;
  /** the step that mends it, where that is another one */
  step?: string;
  /** the step in which the gauge is to be read: it shows finer than what was typed */
  finer?: number;
  /** the slot that is read next */
  slot?: string;
  verdict: VerdictState | null;
}
