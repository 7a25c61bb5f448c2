import type { SignKind } from '../calculations/cycle/cycle-evidence.ts';
import type { Quantity } from '../units/units.ts';
import type { GaugeKind } from '../tray/gauge-kinds.ts';
import type { Part, PartKind } from '../tray/part-kinds.ts';

/** The gauge as it was when the reading was taken; a later calibration does not reach back. */
export interface GaugeRef {
  id: string;
  name: string;
  resolution: number;
  accuracy: number;
  /** absent on readings that were taken before it was kept */
  kind?: GaugeKind;
  /** how much the hand scatters with it, as it was known then; base unit */
  scatter?: number;
  scatterDof?: number;
}

export interface Person {
  id: string;
  name: string;
}

/** The job that a reading or an answer was carried over from, when it was taken there and by whom. */
export interface Origin {
  job: string;
  sheet: string;
  at: string;
  by: string;
}

/** A figure as typed and as understood, in base units. */
export interface Figure {
  text: string;
  unit: string;
  value: number;
  resolution: number;
  gauge: GaugeRef | null;
}

export type EventBody =
  | ({ kind: 'reading'; step: string; slot: string; quantity: Quantity; from?: Origin } & Figure)
  | ({ kind: 'amend'; replaces: string; basis: string; reason: string } & Figure)
  | { kind: 'done'; step: string }
  | { kind: 'skip'; step: string; reason: string }
  | { kind: 'reopen'; step: string; reason?: string }
  | { kind: 'choose'; school: string; option: string; from?: Origin }
  | { kind: 'sign'; sign: SignKind; seen: boolean | null }
  | { kind: 'fact'; fact: string; value: boolean }
  | { kind: 'say'; flag: string; on: boolean; seen?: string }
  | { kind: 'happened'; rule: string; note?: string }
  | { kind: 'lift' }
  | { kind: 'crank'; crankDeg: number | null; move: 'forward' | 'backward' | 'unknown' }
  /** how far the crank was turned before a reading of the wheel, backward below 0; null: nobody can say */
  | { kind: 'went'; reading: string; travelDeg: number | null }
  /**
   * What is set at a step was turned: before a reading, or, without one, after all that was read so far. `is` false: it was
   * not, and the reading repeats those before
   */
  | { kind: 'turned'; step: string; reading?: string; is: boolean }
  | { kind: 'take'; step: string; part: PartKind; parts: Part[] }
  | { kind: 'target'; step: string; points: { rpm: number; deg: number }[] }
  /**
   * A reason to go on from a step all the same: without states that it needs, against rules, or from what its readings and
   * answers leave open, in the words in which that was refused
   */
  | { kind: 'override'; step: string; flags: string[]; rules?: string[]; open?: string; reason: string }
  | { kind: 'remark'; text: string; step?: string }
  /** a photograph that was kept before, and what it shows in words, which may be none */
  | { kind: 'photo'; photo: string; text: string; step: string }
  | { kind: 'undo'; undoes: string };

export type EventKind = EventBody['kind'];

/** One line of a job's log. `seq` counts from 1 within the job and is given by the database. */
export type JobEvent = EventBody & { id: string; seq: number; at: string; by: Person };
export type EventOf<K extends EventKind> = Extract<JobEvent, { kind: K }>;
