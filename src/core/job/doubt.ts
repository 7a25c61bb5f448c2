import { rad, wrap180 } from '../numerics/angles.ts';
import { slider } from '../calculations/piston/slider.ts';
import type { ParsedReading } from '../calculations/reading/reading-parse.ts';
import { numberOf, sliderOf, type Engine } from '../engine/engine.ts';
import type { Step } from './run-sheet.ts';
import type { Aim } from './next-slot.ts';
import type { JobState } from './state.ts';
import type { LengthText } from './words.ts';

/** What is improbable about a figure, as a question to ask once; null when nothing is. */
export function doubt(
  state: JobState,
  engine: Engine,
  step: Step,
  aim: Aim,
  figure: ParsedReading,
  text: string,
  len: LengthText
): string | null {
  const { value } = figure;
  if (aim.slot.slot === 'depth') return depthDoubt(engine, value, len);
  if (aim.as === 'before' || aim.as === 'after') return pairDoubt(state, aim, value);
  if (aim.as === 'fit-dial') return fitDoubt(state, engine, aim, value, len);
  if (aim.as === 'gap') return gapDoubt(state, text, value, len);
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

function depthDoubt(engine: Engine, mm: number, len: LengthText): string | null {
  const g = sliderOf(engine);
  const s = g ? slider(g) : null;
  if (mm <= 0) return 'The piston cannot stand above the top: depth is counted downwards.';
  if (s?.ok && mm > s.out.maxDropMm)
    return `The stroke is ${len(s.out.maxDropMm, 1)}: the piston does not go ${len(mm, 1)} down.`;
  if (s?.ok && mm > s.out.maxDropMm / 3) return `${len(mm, 1)} is more than a third of the stroke, far down for this.`;
  return null;
}

/** A blade pack one person can hardly hold: asked once. */
const MANY_BLADES = 4;

/** A blade pack that hardly one hand can hold, one that disagrees with the other places, or a gap above the washer. */
function gapDoubt(state: JobState, text: string, mm: number, len: LengthText): string | null {
  const blades = text.split('+').length;
  if (blades > MANY_BLADES)
    return `${blades} blades in one place: that is more than one person can feel truly. Is the sum right?`;
  const { gaps, washers } = state.work.stack;
  const others = gaps.map((g) => g.sumMm);
  const near = Math.min(...others.map((o) => Math.abs(o - mm)));
  if (others.length > 0 && near > 0.25) return `That is ${len(near)} from the nearest of the other places.`;
  const washer = washers.length > 0 ? washers.reduce((t, w) => t + w.value, 0) / washers.length : null;
  return washer !== null && mm > washer
    ? `The gap is wider than the washer by ${len(mm - washer, 3)}: the float would be below zero. Do the blades add up?`
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
function fitDoubt(state: JobState, engine: Engine, aim: Aim, mm: number, len: LengthText): string | null {
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
    ? `The dial moved ${len(moved)} over ${apart.toFixed(0)}°, more than the piston can: a whole turn missed?`
    : null;
}
