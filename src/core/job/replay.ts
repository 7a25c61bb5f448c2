import type { FlagId } from '../sheets/flags.ts';
import type { RunSheet, Step } from './run-sheet.ts';
import { choiceOf, type Engine } from '../engine/engine.ts';
import type { SignKind } from '../calculations/cycle/cycle-evidence.ts';
import type { EventOf, Figure, JobEvent, Person } from './events.ts';

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
  replaced: { text: string; by: Person; at: string; reason: string }[];
}

export interface StepMark {
  state: 'done' | 'skipped';
  at: string;
  by: Person;
  reason?: string;
}

/** What the log says, event by event, before any of it is worked out. */
export interface Replayed {
  readings: Reading[];
  marks: Map<string, StepMark>;
  flags: Map<FlagId, boolean>;
  /** what each done step changed, for opening it again */
  before: Map<string, [FlagId, boolean][]>;
  chosen: Map<string, string>;
  signs: Map<SignKind, boolean>;
  /** when the last sign was given: they speak of the crank where it stood then */
  signsSeq: number | null;
  /** the crank was turned without a count since: the signs stand for the record, but no longer say where it is */
  signsStale: boolean;
  facts: Map<string, boolean>;
  overrides: EventOf<'override'>[];
  remarks: EventOf<'remark'>[];
  /** parts taken out of the tray, in order */
  takes: EventOf<'take'>[];
  /** the curve that is wanted, as last said */
  target: EventOf<'target'> | null;
  /** the crank's movements as told, in order, with readings of the wheel left to `place` */
  crank: EventOf<'crank'>[];
  undone: Set<string>;
  last: JobEvent | null;
}

/** Plays a log back. Undone events count as never written, but for the place they hold in the log. */
export function replay(sheet: RunSheet, engine: Engine, log: readonly JobEvent[]): Replayed {
  const undone = new Set<string>();
  for (const e of log) if (e.kind === 'undo') undone.add(e.undoes);
  const r: Replayed = {
    readings: [],
    marks: new Map(),
    flags: new Map(sheet.begins.map((f) => [f, true])),
    before: new Map(),
    chosen: new Map(),
    signs: new Map(),
    signsSeq: null,
    signsStale: false,
    facts: new Map(),
    overrides: [],
    remarks: [],
    takes: [],
    target: null,
    crank: [],
    undone,
    last: log[log.length - 1] ?? null
  };
  const vacuum = choiceOf(engine, 'vacuumUnit');
  if (vacuum !== undefined) r.facts.set('vacuumUnit', vacuum === 'fitted');
  const steps = new Map(sheet.steps.map((s) => [s.id, s]));
  const readings = new Map<string, Reading>();
  for (const e of log) {
    if (e.kind === 'undo') {
      // an undone amendment still moves the place where the next one hooks on
      for (const x of readings.values()) if (x.basis === e.undoes) x.basis = e.id;
      continue;
    }
    if (e.kind === 'amend') amend(readings.get(e.replaces), e, undone.has(e.id));
    else if (!undone.has(e.id)) apply(r, steps, readings, e);
  }
  r.readings = [...readings.values()];
  return r;
}

function amend(reading: Reading | undefined, e: EventOf<'amend'>, isUndone: boolean): void {
  if (!reading) return;
  reading.basis = e.id;
  if (isUndone) return;
  reading.replaced.push({ text: reading.text, by: reading.by, at: reading.at, reason: e.reason });
  const { text, unit, value, resolution, gauge, by, at } = e;
  Object.assign(reading, { text, unit, value, resolution, gauge, by, at });
}

function apply(
  r: Replayed,
  steps: Map<string, Step>,
  readings: Map<string, Reading>,
  e: Exclude<JobEvent, { kind: 'undo' | 'amend' }>
): void {
  switch (e.kind) {
    case 'reading': {
      if (steps.get(e.step)?.surface === 'tdc') r.flags.set(inCylinder(r), true);
      const { id, step, slot, quantity, text, unit, value, resolution, gauge, by, at, seq } = e;
      readings.set(id, {
        id,
        step,
        slot,
        quantity,
        text,
        unit,
        value,
        resolution,
        gauge,
        by,
        at,
        seq,
        basis: id,
        replaced: []
      });
      break;
    }
    case 'done':
      r.marks.set(e.step, { state: 'done', at: e.at, by: e.by });
      complete(r, steps.get(e.step));
      if (steps.get(e.step)?.surface === 'plan') r.crank.push(toldBy(e, NaN, 'forward'));
      // turned by a count that was read, the crank is not lost
      if (
        steps.get(e.step)?.losesCrank &&
        ![...readings.values()].some((x) => x.step === e.step && x.slot === 'turned-on')
      ) {
        r.crank.push(toldBy(e, null, 'unknown'));
        loseCrank(r);
      }
      break;
    case 'skip':
      r.marks.set(e.step, { state: 'skipped', at: e.at, by: e.by, reason: e.reason });
      break;
    case 'reopen':
      r.marks.delete(e.step);
      for (const [f, before] of r.before.get(e.step) ?? []) r.flags.set(f, before);
      r.before.delete(e.step);
      break;
    case 'choose':
      r.chosen.set(e.school, e.option);
      break;
    case 'sign':
      if (r.signsStale) {
        r.signs.clear();
        r.signsStale = false;
      }
      if (e.seen === null) r.signs.delete(e.sign);
      else r.signs.set(e.sign, e.seen);
      r.signsSeq = e.seq;
      break;
    case 'fact':
      r.facts.set(e.fact, e.value);
      if (e.fact === 'pinned') r.flags.set('rotor-pin-in', e.value);
      break;
    case 'say':
      r.flags.set(e.flag, e.on);
      break;
    case 'crank':
      r.crank.push(e);
      r.flags.set('crank-at-reference', false);
      if (e.move !== 'forward') r.flags.set('slack-taken-up', false);
      if (e.crankDeg === null) loseCrank(r);
      break;
    case 'override':
      r.overrides.push(e);
      break;
    case 'remark':
      r.remarks.push(e);
      break;
    case 'take':
      r.takes.push(e);
      break;
    case 'target':
      r.target = e;
      break;
  }
}

/** What stands in cylinder one while TDC is sought: danger from the first reading on, not only once the step is done. */
const inCylinder = (r: Replayed): FlagId => (r.chosen.get('tdc') === 'stop' ? 'piston-stop-in' : 'probe-in');

/** A step's states come on and go off, and what they were is kept for opening it again. */
function complete(r: Replayed, step: Step | undefined): void {
  if (!step) return;
  const changes: [FlagId, boolean][] = [
    ...step.sets.map((f) => [f, true] as [FlagId, boolean]),
    ...step.clears.map((f) => [f, false] as [FlagId, boolean])
  ];
  r.before.set(
    step.id,
    changes.map(([f]) => [f, r.flags.get(f) ?? false])
  );
  for (const [f, on] of changes) r.flags.set(f, on);
}

/** Moved without a count: which stroke it stands on is no longer known, and the old signs speak of another place. */
function loseCrank(r: Replayed): void {
  r.flags.set('compression-confirmed', false);
  r.signsSeq = null;
  r.signsStale = r.signs.size > 0;
}

/** What a done step says of the crank: NaN stands for the reference, which the data sheet holds; null for lost. */
function toldBy(e: EventOf<'done'>, crankDeg: number | null, move: EventOf<'crank'>['move']): EventOf<'crank'> {
  return { kind: 'crank', crankDeg, move, id: e.id, seq: e.seq, at: e.at, by: e.by };
}
