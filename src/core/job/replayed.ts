import type { SettingOf, Thing } from './things.ts';
import type { EventOf, Figure, JobEvent, Origin, Person } from './events.ts';

/** What a reading was before it was amended, and why it was; with the name of its gauge where that was another. */
export interface Replaced {
  text: string;
  by: Person;
  at: string;
  reason: string;
  gauge?: string;
}

/** What was replaced, in words: `1.80 by Dial, coarse`. */
export const replacedText = (r: Replaced): string => r.text + (r.gauge === undefined ? '' : ` by ${r.gauge}`);

/** A reading as it stands: the last figure given for it, what it replaced and why, and where an amendment hooks on. */
export interface Reading extends Figure {
  id: string;
  step: string;
  slot: string;
  quantity: EventOf<'reading'>['quantity'];
  by: Person;
  at: string;
  seq: number;
  /** the last event about this reading; an amendment names it, so that two at once collide */
  basis: string;
  replaced: Replaced[];
  /** the setting it is of, where what it reads is set at the bench */
  setting?: SettingOf;
  /** it was taken on an earlier job and carried over; an amendment makes it this job's own */
  from?: Origin;
}

export interface StepMark {
  state: 'done' | 'skipped';
  at: string;
  by: Person;
  reason?: string;
  seq: number;
}

/** A movement of the crank as told; NaN stands for the run sheet's reference, null for lost. */
export type CrankTold = Pick<EventOf<'crank'>, 'crankDeg' | 'move' | 'seq'> & {
  /** not told: the timing pin holds it there */
  pin?: true;
};

/** What the log says, event by event, before any of it is worked out. */
export interface Replayed {
  readings: Reading[];
  marks: Map<string, StepMark>;
  flags: Map<string, boolean>;
  /** what each done step changed, for opening it again */
  before: Map<string, [string, boolean][]>;
  chosen: Map<string, string>;
  /** which step gave a state that holds, or took a danger off */
  givenBy: Map<string, string>;
  /** every question that was ever answered on this job, also where the answer was taken back */
  asked: ReadonlySet<string>;
  /** the signs of the stroke in the order in which they were given; null takes one back */
  signLog: Pick<EventOf<'sign'>, 'sign' | 'seen' | 'seq'>[];
  /** how far the crank was turned before a reading of the wheel, as somebody said */
  went: EventOf<'went'>[];
  /** the setting that each thing has now, counted from 1 */
  settings: ReadonlyMap<Thing, number>;
  /** the number of the last event that turned each thing; what was read before it is of an earlier setting */
  turnedSeq: ReadonlyMap<Thing, number>;
  facts: Map<string, boolean>;
  overrides: EventOf<'override'>[];
  remarks: EventOf<'remark'>[];
  photos: EventOf<'photo'>[];
  /** parts taken out of the tray, in order */
  takes: EventOf<'take'>[];
  /** the curve that is wanted, as last said */
  target: EventOf<'target'> | null;
  /** the crank's movements as told, in order, with readings of the wheel left to whoever places it */
  crank: CrankTold[];
  /** what happened although a rule forbade it */
  happened: EventOf<'happened'>[];
  /** states that were said by hand with what was seen, by flag */
  seen: Map<string, EventOf<'say'>>;
  undone: Set<string>;
  /** the first line of the log that was not taken back: when the job was begun; null while nothing is in it */
  began: string | null;
  last: JobEvent | null;
}
