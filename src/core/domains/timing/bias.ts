import { staticAdjust, type HousingMove } from '../../calculations/static-timing/static-adjust.ts';
import type { Engine } from '../../engine/engine.ts';
import { choiceOf, lastOf, numberOf } from './vocabulary.ts';
import type { TimingState } from './works.ts';

/** What most technicians turn when they turn on purpose; a rule of thumb, typed over where another is wanted. */
export const USUAL_BIAS_DEG = 2;

/**
 * What earlier jobs on this engine learnt of setting it at rest: null where none did, or where it lies within its doubt. What
 * read late by the strobe is set that much earlier, and the other way round.
 */
export function learntBias(engine: Engine): { option: string; because: string } | null {
  const last = engine.earlier?.['rest-error'];
  if (!last || last.u === null || Math.abs(last.value) <= 2 * last.u) return null;
  const size = `${Math.abs(last.value).toFixed(1)}° \u00b1 ${(2 * last.u).toFixed(1)}°`;
  return last.value < 0
    ? { option: 'advance', because: `set at rest on this engine, the strobe last read ${size} late` }
    : { option: 'retard', because: `set at rest on this engine, the strobe last read ${size} early` };
}

/** The bias chosen for a first start: crank degrees, early positive, and the housing's turn for it. */
export function biasOf(state: TimingState): { deg: number; move: HousingMove } | null {
  const way = state.schools.bias.option;
  const size = lastOf(state.readings, 'bias')?.value ?? learntSize(state.engine) ?? USUAL_BIAS_DEG;
  const deg = way === 'advance' ? size : way === 'retard' ? -size : 0;
  const rotorDirection = choiceOf(state.engine, 'rotorDirection');
  const ratio = numberOf(state.engine, 'ratio');
  if (ratio === undefined || (rotorDirection !== 'cw' && rotorDirection !== 'ccw')) return null;
  const rimDiameterMm = numberOf(state.engine, 'rimDiameterMm');
  const move = staticAdjust({
    measuredBtdc: 0,
    targetBtdc: deg,
    rotorDirection,
    ratio,
    ...(rimDiameterMm === undefined ? {} : { rimDiameterMm })
  });
  return { deg, move };
}

const learntSize = (engine: Engine): number | null =>
  learntBias(engine) === null ? null : Math.abs(engine.earlier!['rest-error']!.value);
