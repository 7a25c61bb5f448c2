import { rad, wrap180 } from '../angles.ts';
import { fail } from '../errors/catalogue.ts';
import type { Result } from '../errors/result.ts';
import { readingParse, type ParsedReading } from '../measure/reading-parse.ts';
import type { Engine } from '../sheets/engine.ts';
import { numberOf, sliderOf } from '../sheets/engine.ts';
import type { Slot, Step } from '../sheets/types.ts';
import type { Unit } from '../units/units.ts';
import { slider } from '../crank/slider.ts';
import type { JobState } from './state.ts';

export interface Aim {
  slot: Slot;
  /** the slot as it will be logged: `strobe-again` repeats the last setting */
  as: string;
  /** for pairs: which one */
  n: number | null;
}

/** Figures that are read in pairs, one after the other, as often as wanted. */
const PAIRED = [
  ['sweep-rpm', 'sweep-deg'],
  ['spread-rpm', 'spread'],
  ['vac-kpa', 'vac-deg']
] as const;

/** Where the next figure goes: the first slot of the step still empty, or the one that repeats. Null: takes none. */
export function nextSlot(state: JobState, step: Step, prefer?: string): Aim | null {
  if (step.slots.length === 0) return null;
  const mine = state.readings.filter((r) => r.step === step.id);
  const named = (s: string) => step.slots.find((x) => x.slot === s)!;
  if (step.surface === 'tdc') {
    const wanted = state.tdc.slots as string[];
    const as = prefer !== undefined && wanted.includes(prefer) ? prefer : state.tdc.nextSlot;
    if (as === null) return null;
    const counted = as !== 'depth' && as !== 'top-dial';
    return { slot: named(as), as, n: counted ? mine.filter((r) => r.slot === as).length + 1 : null };
  }
  if (step.surface === 'timing') {
    if (prefer === 'rim') return { slot: named('rim'), as: 'rim', n: null };
    const base = named(state.timing[step.id]!.slot);
    const repeat = prefer ? prefer === 'again' : state.timing[step.id]!.nextIsRepeat;
    return { slot: base, as: repeat ? `${base.slot}-again` : base.slot, n: null };
  }
  const asked = step.slots.find((s) => s.slot === prefer);
  if (asked) return { slot: asked, as: asked.slot, n: null };
  // speed, then what is read there
  const pair = PAIRED.find(([first]) => step.slots.some((s) => s.slot === first));
  if (pair) {
    const [first, second] = pair;
    const open = mine.filter((r) => r.slot === first).length > mine.filter((r) => r.slot === second).length;
    const slot = named(open ? second : first);
    return { slot, as: slot.slot, n: null };
  }
  // heights of a contact are read in pairs: the lower end, then the upper
  if (step.surface === 'patch') {
    const lows = mine.filter((r) => r.slot === 'patch-low').length;
    const highs = mine.filter((r) => r.slot === 'patch-high').length;
    const slot = named(lows > highs ? 'patch-high' : 'patch-low');
    return { slot, as: slot.slot, n: null };
  }
  if (prefer === 'back') return { slot: step.slots[0]!, as: `${step.slots[0]!.slot}-back`, n: null };
  const slot =
    step.slots.find((s) => !mine.some((r) => r.slot === s.slot)) ??
    step.slots.findLast((s) => s.repeats) ??
    step.slots[step.slots.length - 1]!;
  return { slot, as: slot.slot, n: null };
}

/** `17.6 a` names the side of the top as well; the letter is taken off before the figure is read. */
const SIDE = /^(.*\d[^a-z]*?)\s*([ab])$/i;

/** How a figure is meant where it does not say so itself: its unit, and what one turn of the pointer is in it, mm. */
export type Meant = (slot: Slot) => { unit: Unit; perRevMm?: number | null | undefined };

/** Reads what is in the reading line for a step: the figure, and the slot it goes to. */
export function readFor(
  state: JobState,
  step: Step,
  text: string,
  meant: Meant,
  prefer?: string
): Result<{ aim: Aim; figure: ParsedReading; text: string }> {
  let side: string | undefined;
  let figureText = text;
  const m = step.surface === 'tdc' ? SIDE.exec(text.trim()) : null;
  if (m) {
    figureText = m[1]!;
    side = m[2]!.toLowerCase() === 'a' ? 'after' : 'before';
  }
  const aim = nextSlot(state, step, side ?? prefer);
  if (!aim) return fail('no-such-slot', 'text', { slot: text, step: step.title });
  const { unit, perRevMm } = meant(aim.slot);
  const figure = readingParse({
    text: figureText,
    quantity: aim.slot.quantity,
    defaultUnit: unit,
    ...(perRevMm ? { perRevMm } : {})
  });
  return figure.ok ? { ok: true, out: { aim, figure: figure.out, text: figureText } } : figure;
}

/** What is improbable about a figure, as a question to ask once; null when nothing is. */
export function doubt(
  state: JobState,
  engine: Engine,
  step: Step,
  aim: Aim,
  figure: ParsedReading,
  text = ''
): string | null {
  const { value } = figure;
  if (aim.slot.slot === 'depth') return depthDoubt(engine, value);
  if (aim.as === 'before' || aim.as === 'after') return pairDoubt(state, aim, value);
  if (aim.as === 'fit-dial') return fitDoubt(state, engine, aim, value);
  if (aim.as === 'gap') return gapDoubt(state, text, value);
  if (aim.slot.quantity === 'length' && value < 0 && aim.as !== 'offset') return 'A length below zero: is it meant so?';
  if (aim.slot.slot === 'dwell') return dwellDoubt(engine, value);
  if (aim.as === 'sweep-deg') return sweepDoubt(state, engine, step, value);
  if (aim.slot.quantity === 'timing') {
    if (Math.abs(value) > 60) return `${value.toFixed(1)}° is far from any initial timing.`;
    const target = numberOf(engine, 'staticBtdc');
    if (target !== undefined && Math.abs(value - target) > 20)
      return `That is ${Math.abs(value - target).toFixed(0)}° from the data sheet\u2019s ${target}°.`;
  }
  if (aim.slot.quantity === 'angle' && Math.abs(value) > 360) return 'A wheel shows no more than 360°.';
  return null;
}

function depthDoubt(engine: Engine, mm: number): string | null {
  const g = sliderOf(engine);
  const s = g ? slider(g) : null;
  if (mm <= 0) return 'The piston cannot stand above the top: depth is counted downwards.';
  if (s?.ok && mm > s.out.maxDropMm)
    return `The stroke is ${s.out.maxDropMm.toFixed(1)} mm: the piston does not go ${mm.toFixed(1)} mm down.`;
  if (s?.ok && mm > s.out.maxDropMm / 3)
    return `${mm.toFixed(1)} mm is more than a third of the stroke, far down for this.`;
  return null;
}

/** A blade pack one person can hardly hold: asked once. */
const MANY_BLADES = 4;

/** A blade pack that hardly one hand can hold, one that disagrees with the other places, or a gap above the washer. */
function gapDoubt(state: JobState, text: string, mm: number): string | null {
  const blades = text.split('+').length;
  if (blades > MANY_BLADES)
    return `${blades} blades in one place: that is more than one person can feel truly. Is the sum right?`;
  const { gaps, washers } = state.work.stack;
  const others = gaps.map((g) => g.sumMm);
  const near = Math.min(...others.map((o) => Math.abs(o - mm)));
  if (others.length > 0 && near > 0.25) return `That is ${near.toFixed(2)} mm from the nearest of the other places.`;
  const washer = washers.length > 0 ? washers.reduce((t, w) => t + w.value, 0) / washers.length : null;
  return washer !== null && mm > washer
    ? `The gap is wider than the washer by ${(mm - washer).toFixed(3)} mm: the float would be below zero. Do the blades add up?`
    : null;
}

/** Contacts are closed for a good part of the turn from one lobe to the next, and never for all of it. */
function dwellDoubt(engine: Engine, deg: number): string | null {
  const lobes = numberOf(engine, 'cylinders');
  const between = 360 / (lobes ?? 1);
  if (deg >= between) return `From lobe to lobe there are ${between.toFixed(0)}°: a dwell of ${deg}° cannot be.`;
  return deg < between / 10 ? `A dwell of ${deg}° leaves no time to charge the coil. Is it the gap?` : null;
}

/** A reading beyond what the marks on the rim can show, or a jump that no advance makes between two speeds. */
function sweepDoubt(state: JobState, engine: Engine, step: Step, value: number): string | null {
  if (Math.abs(value) > 60) return `${value.toFixed(1)}° is far from any timing.`;
  const reach = numberOf(engine, 'tapeReachDeg');
  const way = state.replayed.chosen.get('mark-scale') ?? 'tape';
  if (reach !== undefined && value > reach && way !== 'delay')
    return `The marks on the rim reach to ${reach}°: is ${value}° read with a delay, or guessed?`;
  const points = state.work.sweeps.find((s) => s.step === step.id)?.points.filter((p) => p.timing) ?? [];
  const last = points[points.length - 1]?.timing;
  return last && Math.abs(value - last.value) > 15
    ? `That is ${Math.abs(value - last.value).toFixed(0)}° from the last point.`
    : null;
}

function pairDoubt(state: JobState, aim: Aim, value: number): string | null {
  if (Math.abs(value) > 360) return 'A wheel shows no more than 360°.';
  const others = state.tdc.rows
    .filter((r) => r.middleDeg !== null)
    .map((r) => (aim.as === 'before' ? r.before!.value : r.after!.value));
  if (others.length === 0) return null;
  const off = Math.min(...others.map((o) => Math.abs(((value - o + 540) % 360) - 180)));
  return off > 5 ? `That is ${off.toFixed(1)}° from the other readings of this side.` : null;
}

/** A dial figure that steps away from the last one by more than the piston can move between the two places. */
function fitDoubt(state: JobState, engine: Engine, aim: Aim, mm: number): string | null {
  const rows = state.tdc.fit?.rows ?? [];
  const g = sliderOf(engine);
  const s = g ? slider(g) : null;
  const last = rows[(aim.n ?? 1) - 2];
  const here = rows[(aim.n ?? 1) - 1];
  if (!s?.ok || !last?.dial || !here) return null;
  const apart = Math.abs(wrap180(here.wheel.value - last.wheel.value));
  const most = apart * rad(s.out.r) * 1.2 + 0.5;
  const moved = Math.abs(mm - last.dial.value);
  return moved > most
    ? `The dial moved ${moved.toFixed(2)} mm over ${apart.toFixed(0)}°, more than the piston can: a whole turn missed?`
    : null;
}
