import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import type { staticAdjustInput } from './schemas.ts';

export interface HousingMove {
  changeCrankDeg: number;
  housingDeg: number;
  turn: 'cw' | 'ccw' | 'none';
  rimMm?: number;
}

/**
 * How far and which way to turn the housing so that the timing goes from measured to target.
 * changeCrankDeg = target - measured (positive: advance); the housing turns |change|·ratio, against the rotor to
 * advance and with it to retard; rimMm = πD·housing/360 at the housing's rim where the diameter is given.
 * @example staticAdjust({ measuredBtdc: 9.5, targetBtdc: 7, rotorDirection: 'ccw', ratio: 0.5 }).turn  // 'ccw'
 */
export function staticAdjust(i: z.infer<typeof staticAdjustInput>): HousingMove {
  const changeCrankDeg = i.targetBtdc - i.measuredBtdc;
  const none = Math.abs(changeCrankDeg) <= EPS;
  const housingDeg = none ? 0 : Math.abs(changeCrankDeg) * i.ratio;
  const against = i.rotorDirection === 'cw' ? 'ccw' : 'cw';
  return {
    changeCrankDeg: none ? 0 : changeCrankDeg,
    housingDeg,
    turn: none ? 'none' : changeCrankDeg > 0 ? against : i.rotorDirection,
    ...(i.rimDiameterMm === undefined ? {} : { rimMm: (Math.PI * i.rimDiameterMm * housingDeg) / 360 })
  };
}
