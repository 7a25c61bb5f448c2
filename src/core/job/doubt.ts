import { doubtOf, type Typed } from './domain.ts';

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

/** A timing that no engine has, or one far from what the run sheet brings the crank to. */
function timingDoubt({ figure: { value }, state }: Typed): string | null {
  if (Math.abs(value) > 60) return `${value.toFixed(1)}° is far from any initial timing.`;
  const { reference } = state;
  return reference !== null && Math.abs(value - reference) > 20
    ? `That is ${Math.abs(value - reference).toFixed(0)}° from the data sheet\u2019s ${reference}°.`
    : null;
}
