import { staticAdjust, type HousingMove } from '../../calculations/static-timing/static-adjust.ts';
import { choiceOf, lastOf, numberOf } from './vocabulary.ts';
import type { TimingState } from './works.ts';

/** What most technicians turn when they turn on purpose; a rule of thumb, typed over where another is wanted. */
export const USUAL_BIAS_DEG = 2;

/** The bias chosen for a first start: crank degrees, early positive, and the housing's turn for it. */
export function biasOf(state: TimingState): { deg: number; move: HousingMove } | null {
  const way = state.schools.bias.option;
  const size = lastOf(state.readings, 'bias')?.value ?? USUAL_BIAS_DEG;
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
