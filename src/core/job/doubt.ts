import { gaugeKinds } from '../tray/gauge-kinds.ts';
import { doubtOf, type JobState, type Typed } from './domain.ts';
import { timingLimits } from '../units/format.ts';
import { limitsOf } from './judged.ts';
import { slotOf, type Slot } from './run-sheet.ts';

/** What is improbable about a figure, as a question to ask once; null when nothing is. */
export function doubt(t: Typed): string | null {
  const own = doubtOf(t.state.domains, t.aim.slot);
  if (own) return own(t);
  const { quantity } = t.aim.slot;
  const { value } = t.figure;
  if (quantity === 'length' && value < 0 && !t.aim.slot.signed) return 'A length below zero: is it meant so?';
  if (quantity === 'timing') return timingDoubt(t);
  return quantity === 'angle' && Math.abs(value) > 360 ? 'A wheel shows no more than 360°.' : null;
}

/**
 * A figure that was read with a gauge nobody named: asked once a job for each kind of gauge. Without it nothing tells how far
 * the figure can be trusted, and nothing that rests on it is ever said to be in.
 */
export function gaugeDoubt(state: JobState, slot: Slot): string | null {
  if (slot.gauge === 'eye') return null;
  const asked = state.readings.some((r) => {
    const step = state.sheet.steps.find((s) => s.id === r.step);
    return r.gauge === null && step && slotOf(step, r.slot)?.gauge === slot.gauge;
  });
  return asked
    ? null
    : `With which ${gaugeKinds[slot.gauge].label} was it read? Choose it beside this line, or add it to the tray: without it the \u00b1 is not known, and nothing that rests on it is called in.`;
}

/**
 * A timing that no engine has, or one far from where it should lie: from its own limits where the data sheet has them, as an
 * idle timing is held against those of the idle, else from what the run sheet brings the crank to.
 */
function timingDoubt({ figure: { value }, state, engine, aim }: Typed): string | null {
  const { min, max } = limitsOf(engine, aim.slot);
  if (min !== null || max !== null) {
    const off = Math.max((min ?? -Infinity) - value, value - (max ?? Infinity));
    return off > 20 ? `That is ${off.toFixed(0)}° outside its limits, ${timingLimits(min, max)}.` : null;
  }
  if (Math.abs(value) > 60) return `${value.toFixed(1)}° is far from any initial timing.`;
  const { reference } = state;
  return reference !== null && Math.abs(value - reference) > 20
    ? `That is ${Math.abs(value - reference).toFixed(0)}° from the data sheet\u2019s ${reference}°.`
    : null;
}
