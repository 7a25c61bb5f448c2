import { inHand } from '../tray/hands.ts';
import type { Reading } from './replayed.ts';
import { slotOf, type RunSheet, type Slot, type Step } from './run-sheet.ts';
import { things, withThing, type Began, type Thing } from './things.ts';

/** Something was done that ends a setting: after all that was read before it. */
export interface Ended {
  seq: number;
  thing: Thing;
  by: 'said' | 'done';
}

/** What was said of a reading: the thing was turned before it, or not. */
export type Said = ReadonlyMap<string, boolean>;

/** A reading farther from the mean of those before than so many of their standard deviations was taken after a turn. */
const APART_SIGMAS = 3.5;

/** The thing that is turned at a step; undefined where nothing is set there. */
export const thingOf = (step: Pick<Step, 'adjusts' | 'slots'>): Thing | undefined =>
  step.adjusts?.[0] ?? step.slots.find((s) => s.of)?.of;

/**
 * Gives every reading its setting, in the order of the log. A setting ends where somebody says that the thing was turned, where
 * a step that turns it was done or opened again, where parts were taken for it, at a reading that by its name begins a new
 * setting, and at a reading that lies farther from those before than this hand scatters. Only what was said can join a reading
 * that lies apart to those before it.
 * @param readings in the order of the log; their `setting` is written
 * @returns the number of the setting that each thing has now
 */
export function settleReadings(
  sheet: Pick<RunSheet, 'steps'>,
  readings: readonly Reading[],
  ended: readonly Ended[],
  said: Said
): Map<Thing, number> {
  const steps = new Map(sheet.steps.map((s) => [s.id, s]));
  const now = new Map<Thing, { n: number; began: Began; read: Reading[] }>();
  const of = (thing: Thing) => {
    const so = now.get(thing) ?? { n: 1, began: 'first', read: [] };
    now.set(thing, so);
    return so;
  };
  const begin = (thing: Thing, began: Began): void => {
    for (const t of withThing(thing)) {
      const so = of(t);
      if (so.read.length > 0) now.set(t, { n: so.n + 1, began: t === thing ? began : 'done', read: [] });
    }
  };
  let next = 0;
  const endsBefore = (seq: number): void => {
    for (; next < ended.length && ended[next]!.seq < seq; next++) begin(ended[next]!.thing, ended[next]!.by);
  };
  const placed: { r: Reading; thing: Thing }[] = [];
  for (const r of readings) {
    endsBefore(r.seq);
    const slot = ofSlot(steps.get(r.step), r.slot);
    if (!slot?.of) continue;
    const began = begins(slot, r, of(slot.of).read, said.get(r.id));
    if (began) begin(slot.of, began);
    const so = of(slot.of);
    so.read.push(r);
    r.setting = { thing: slot.of, n: so.n, began: so.began, earlier: false };
    placed.push({ r, thing: slot.of });
  }
  endsBefore(Infinity);
  for (const { r, thing } of placed) r.setting!.earlier = r.setting!.n < of(thing).n;
  return new Map([...now].map(([thing, so]) => [thing, so.n]));
}

const ofSlot = (step: Step | undefined, slot: string): Slot | undefined => step && slotOf(step, slot);

/** Whether a reading begins a setting of its own, and why; null where it belongs to the one that stands. */
function begins(slot: Slot, r: Reading, read: readonly Reading[], said: boolean | undefined): Began | null {
  const before = read.filter((x) => x.step === r.step && (x.slot === slot.slot || x.slot.startsWith(`${slot.slot}-`)));
  if (said === true) return 'said';
  if (said === false || before.length === 0) return null;
  if (slot.also?.includes('again')) return r.slot === slot.slot ? 'named' : null;
  return slot.combine === 'mean' && liesApart(slot, r, before) ? 'apart' : null;
}

/** Farther from the mean of the readings before than the hand scatters, and, where its place is sought, than seeking does. */
function liesApart(slot: Slot, r: Reading, before: readonly Reading[]): boolean {
  const same = before.filter((x) => x.gauge?.id === r.gauge?.id);
  const scatter = inHand(r.gauge, r).scatter;
  if (same.length === 0 || scatter === undefined) return false;
  // a meter that shows tens may step by one of them without anything having been turned
  const step = Math.max(r.resolution, r.gauge?.resolution ?? 0);
  const s = Math.hypot(scatter, slot.seekU ?? 0, step / Math.sqrt(12));
  const mean = same.reduce((t, x) => t + x.value, 0) / same.length;
  return Math.abs(r.value - mean) > APART_SIGMAS * s * Math.sqrt(1 + 1 / same.length);
}

/** Of readings of one thing those of the setting that was read last. */
export function ofLastSetting<R extends Pick<Reading, 'setting'>>(readings: readonly R[]): R[] {
  const last = readings[readings.length - 1]?.setting?.n;
  return readings.filter((r) => r.setting?.n === last);
}

/** Settings of a slot's readings in order, each with its readings. */
export function bySetting(readings: readonly Reading[]): Reading[][] {
  const out: Reading[][] = [];
  for (const r of readings) {
    const last = out[out.length - 1];
    if (last && last[0]!.setting?.n === r.setting?.n) last.push(r);
    else out.push([r]);
  }
  return out;
}

/** A setting that nobody spoke of, known by one reading that lies apart: it counts as uncertain until it is said or read again. */
export const onlyGuessed = (readings: readonly Pick<Reading, 'setting'>[]): boolean =>
  readings.length === 1 && readings[0]!.setting?.began === 'apart';

/** What is turned, as it is said: `the flange`. */
export const thingName = (thing: Thing): string => things[thing].name;
