import type { Typed } from '../../job/domain.ts';
import { numberOf } from './vocabulary.ts';
import type { CurvesState } from './works.ts';

/** A reading beyond what the marks on the rim can show, or a jump that no advance makes between two speeds. */
export function sweepDoubt({ state, engine, step, figure: { value } }: Typed<CurvesState>): string | null {
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
