import { choiceOf, type Engine } from '../engine/engine.ts';
import { namedNow } from './named-now.ts';
import type { Domain } from './domain.ts';
import type { EventOf, JobEvent } from './events.ts';
import type { Reading, Replayed } from './replayed.ts';
import { ruleOf } from './rules.ts';
import type { Act } from './acts.ts';
import { looksOf, type RunSheet, type Step } from './run-sheet.ts';
import { provedAt } from './proved.ts';
import type { PartKind } from '../tray/part-kinds.ts';
import { settleReadings, thingOf, type Ended } from './settings.ts';
import { withThing, type Thing } from './things.ts';
import { isRunning } from './running-count.ts';

type Written = Exclude<JobEvent, { kind: 'undo' | 'amend' }>;

/** Plays a log back. Undone events count as never written, but for the place they hold in the log. */
export function replay(
  sheet: RunSheet,
  engine: Engine,
  log: readonly JobEvent[],
  domains: readonly Domain[]
): Replayed {
  const undone = new Set<string>();
  for (const e of log) if (e.kind === 'undo') undone.add(e.undoes);
  const flags = new Flags(sheet.begins.map((f) => [f, true]));
  const r: Replayed = {
    readings: [],
    marks: new Map(),
    flags,
    before: new Map(),
    chosen: new Map(),
    givenBy: new Map(),
    asked: new Set(log.flatMap((e) => (e.kind === 'choose' ? [e.school] : []))),
    signLog: [],
    went: [],
    settings: new Map(),
    turnedSeq: new Map(),
    facts: answered(sheet, engine),
    overrides: [],
    remarks: [],
    photos: [],
    takes: [],
    target: null,
    crank: [],
    happened: [],
    seen: new Map(),
    undone,
    began: log[0]?.at ?? null,
    last: log[log.length - 1] ?? null
  };
  const steps = new Map(sheet.steps.map((s) => [s.id, s]));
  const flagOf = new Map(sheet.steps.flatMap((s) => (s.onlyIf?.flag ? [[s.onlyIf.fact, s.onlyIf.flag]] : [])));
  const hooks = domains.flatMap((d) => d.replays ?? []);
  const readings = new Map<string, Reading>();
  const ended: Ended[] = [];
  const said = new Map<string, boolean>();
  const now = namedNow(sheet);
  for (const written of log) {
    const e = now(written);
    if (e.kind === 'undo') {
      // an undone amendment still moves the place where the next one hooks on
      for (const x of readings.values()) if (x.basis === e.undoes) x.basis = e.id;
      continue;
    }
    if (e.kind === 'amend') amend(readings.get(e.replaces), e, undone.has(e.id));
    else if (!undone.has(e.id)) {
      if (e.kind === 'reading') {
        const reading = readingOf(e);
        readings.set(e.id, reading);
        if (
          isRunning(
            sheet,
            steps.get(e.step)?.slots.find((s) => s.slot === e.slot)
          )
        )
          r.readings = r.readings.filter((x) => x.step !== e.step || x.slot !== e.slot);
        r.readings.push(reading);
      } else apply(r, { sheet, steps, flagOf }, e);
      const step = 'step' in e && e.step !== undefined ? steps.get(e.step) : undefined;
      const happened = e.kind === 'happened' ? ruleOf(sheet, e.rule) : undefined;
      ended.push(...ends(e, step));
      if (e.kind === 'turned' && e.reading !== undefined) said.set(e.reading, e.is);
      for (const hook of hooks) hook(r, e, step, happened);
      forgetLooks(r, sheet, flags.changed);
    }
  }
  r.settings = settleReadings(sheet, r.readings, ended, said);
  r.turnedSeq = new Map(ended.flatMap((e) => withThing(e.thing).map((t) => [t, e.seq])));
  return r;
}

/** The parts that are put in place of others, and what is set by them. */
const SET_BY_PART: Partial<Record<PartKind, Thing>> = { packing: 'packing' };

/** The settings that end with an event: what was turned by it is another setting from then on. */
function ends(e: Written, step: Step | undefined): Ended[] {
  const all = (of: readonly Thing[], by: Ended['by']) => of.map((thing): Ended => ({ seq: e.seq, thing, by }));
  switch (e.kind) {
    case 'turned': {
      const thing = step && e.is && e.reading === undefined ? thingOf(step) : undefined;
      return thing ? all([thing], 'said') : [];
    }
    case 'reopen':
      return all(step?.adjusts ?? [], 'done');
    case 'done':
      // where its own figures are of the thing, it is read after the turn; else the turn is the step
      return all(
        (step?.adjusts ?? []).filter((t) => !step!.slots.some((s) => s.of === t)),
        'done'
      );
    case 'take':
      return all(SET_BY_PART[e.part] ? [SET_BY_PART[e.part]!] : [], 'done');
    case 'lift':
      return all(['housing'], 'done');
    default:
      return [];
  }
}

/** Questions of the run sheet that the data sheet answers until they are answered on the job. */
function answered(sheet: RunSheet, engine: Engine): Map<string, boolean> {
  const facts = new Map<string, boolean>();
  for (const { onlyIf } of sheet.steps) {
    const value = onlyIf?.field ? choiceOf(engine, onlyIf.field.name) : undefined;
    if (onlyIf?.field && value !== undefined) facts.set(onlyIf.fact, value === onlyIf.field.yes);
  }
  return facts;
}

function amend(reading: Reading | undefined, e: EventOf<'amend'>, isUndone: boolean): void {
  if (!reading) return;
  reading.basis = e.id;
  if (isUndone) return;
  const another = reading.gauge?.id !== e.gauge?.id && { gauge: reading.gauge?.name ?? 'no gauge named' };
  reading.replaced.push({ text: reading.text, by: reading.by, at: reading.at, reason: e.reason, ...another });
  const { text, unit, value, resolution, gauge, by, at } = e;
  Object.assign(reading, { text, unit, value, resolution, gauge, by, at });
  delete reading.from;
}

function readingOf(e: EventOf<'reading'>): Reading {
  const { id, step, slot, quantity, text, unit, value, resolution, gauge, by, at, seq, from } = e;
  const reading = { id, step, slot, quantity, text, unit, value, resolution, gauge, by, at, seq, basis: id };
  return { ...reading, replaced: [], ...(from === undefined ? {} : { from }) };
}

interface Book {
  sheet: RunSheet;
  steps: Map<string, Step>;
  flagOf: Map<string, string>;
}

function apply(r: Replayed, { sheet, steps, flagOf }: Book, e: Exclude<Written, { kind: 'reading' }>): void {
  switch (e.kind) {
    case 'done':
      r.marks.set(e.step, { state: 'done', at: e.at, by: e.by, seq: e.seq });
      complete(r, sheet, steps.get(e.step));
      break;
    case 'skip':
      r.marks.set(e.step, { state: 'skipped', at: e.at, by: e.by, reason: e.reason, seq: e.seq });
      break;
    case 'reopen':
      r.marks.delete(e.step);
      reopen(r, sheet, steps.get(e.step));
      break;
    case 'choose':
      r.chosen.set(e.school, e.option);
      answer(r, { sheet, steps, flagOf }, e);
      break;
    case 'sign':
      r.signLog.push(e);
      break;
    case 'went':
      r.went.push(e);
      break;
    case 'turned':
      break;
    case 'fact': {
      r.facts.set(e.fact, e.value);
      const flag = flagOf.get(e.fact);
      if (flag !== undefined) r.flags.set(flag, e.value);
      break;
    }
    case 'say':
      r.flags.set(e.flag, e.on);
      if (e.seen === undefined) r.seen.delete(e.flag);
      else r.seen.set(e.flag, e);
      break;
    case 'happened': {
      const rule = ruleOf(sheet, e.rule);
      r.happened.push(e);
      for (const f of rule?.loses ?? []) r.flags.set(f, false);
      break;
    }
    case 'lift':
      for (const f of lostBy(sheet, ['lifts-unit'])) r.flags.set(f, false);
      break;
    case 'crank':
      for (const f of lostBy(sheet, ['turns-crank'])) r.flags.set(f, false);
      r.crank.push(e);
      break;
    case 'override':
      r.overrides.push(e);
      break;
    case 'remark':
      r.remarks.push(e);
      break;
    case 'photo':
      r.photos.push(e);
      break;
    case 'take':
      r.takes.push(e);
      break;
    case 'target':
      r.target = e;
      break;
  }
}

/** A choice that answers a later step's question beforehand. */
function answer(r: Replayed, { sheet, flagOf }: Book, e: EventOf<'choose'>): void {
  const means = sheet.steps.flatMap((s) => s.choices).find((c) => c.id === e.school)?.answers;
  if (!means) return;
  const yes = e.option === means.yes;
  r.facts.set(means.fact, yes);
  const flag = flagOf.get(means.fact);
  if (flag !== undefined) r.flags.set(flag, yes);
}

/** States that fall with one of these deeds. */
const lostBy = (sheet: RunSheet, acts: readonly Act[]): string[] =>
  acts.length === 0
    ? []
    : Object.entries(sheet.words.flags).flatMap(([f, w]) => (w.lostBy?.some((a) => acts.includes(a)) ? [f] : []));

/**
 * Opened again, a step takes back what it claimed, and nothing becomes true by it: a starter that it made live stays live, an
 * engine that it started still runs.
 */
function reopen(r: Replayed, sheet: RunSheet, step: Step | undefined): void {
  if (!step) return;
  const before = new Map(r.before.get(step.id));
  for (const f of provedAt(step, sheet.words.flags)) {
    if (r.givenBy.get(f) !== step.id) continue;
    r.flags.set(f, before.get(f) ?? step.clears.includes(f));
    r.givenBy.delete(f);
    // and what was seen of it is looked at anew
    for (const l of looksOf(step)) if (l.proves.includes(f)) r.chosen.delete(l.id);
  }
  r.before.delete(step.id);
}

/**
 * What was seen of a state holds until the state is lost: looked at once, a battery that was put back on is looked at again. A
 * state that somebody or something changed is no longer one that its step gave.
 */
function forgetLooks(r: Replayed, sheet: RunSheet, changed: Set<string>): void {
  for (const f of changed) {
    const w = sheet.words.flags[f];
    const good = !(w?.proof?.off ?? w?.danger);
    if (!w || r.flags.get(f) === good) continue;
    r.givenBy.delete(f);
    for (const id of w.proof?.looks ?? []) r.chosen.delete(id);
  }
  changed.clear();
}

/** States that tell which of them an event changed. */
class Flags extends Map<string, boolean> {
  readonly changed = new Set<string>();
  override set(flag: string, on: boolean): this {
    // the constructor of a map sets before there is anything to tell
    if (this.get(flag) !== on) (this.changed as Set<string> | undefined)?.add(flag);
    return super.set(flag, on);
  }
}

/** A step's states come on and go off, and what they were is kept for opening it again. */
function complete(r: Replayed, sheet: RunSheet, step: Step | undefined): void {
  if (!step) return;
  const changes: [string, boolean][] = [
    // what its deeds undo first: a step may lose a state and give it again
    ...lostBy(sheet, step.acts).map((f): [string, boolean] => [f, false]),
    ...step.sets.map((f): [string, boolean] => [f, true]),
    ...step.clears.map((f): [string, boolean] => [f, false])
  ];
  r.before.set(
    step.id,
    [...new Set(changes.map(([f]) => f))].map((f) => [f, r.flags.get(f) ?? false])
  );
  for (const [f, on] of changes) r.flags.set(f, on);
  for (const f of provedAt(step, sheet.words.flags)) r.givenBy.set(f, step.id);
}
