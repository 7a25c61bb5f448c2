import type { z } from 'zod';
import { deg, EPS, rad, wrap180, wrap360 } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { mean } from '../../numerics/statistics.ts';
import type { curveIntervalInput } from './schemas.ts';

export interface Intervals {
  errors: { cylinder: number; errorDeg: number }[];
  maxErrorDeg: number;
  runOutDeg: number;
  runOutPhaseDeg: number;
  explained: number;
  state: 'in' | 'out';
  cause: 'even' | 'unknown' | 'run-out' | 'lobe';
}

/**
 * Spacing of the sparks round the distributor: each firing point against its even place, less the mean error. The first
 * harmonic of the errors is run-out (bent shaft, worn bush); what it leaves unexplained is lobe error.
 * distributorDeg rises in the rotor's direction, cylinders in firing order. Error `too-few-readings` under three.
 */
export function curveInterval(i: z.infer<typeof curveIntervalInput>): Result<Intervals> {
  const n = i.angles.length;
  if (n < 3) return fail('too-few-readings', 'angles', { have: n, need: 3, what: 'firing points' });
  const first = i.angles[0]!.distributorDeg;
  const raw = i.angles.map((a, k) => wrap180(a.distributorDeg - first - (360 * k) / n));
  const middle = mean(raw);
  const e = raw.map((x) => x - middle);
  const a = (2 / n) * e.reduce((t, x, k) => t + x * Math.cos(rad((360 * k) / n)), 0);
  const b = (2 / n) * e.reduce((t, x, k) => t + x * Math.sin(rad((360 * k) / n)), 0);
  const runOutDeg = Math.hypot(a, b);
  const total = e.reduce((t, x) => t + x * x, 0);
  const explained = total < 1e-18 ? 0 : ((n / 2) * runOutDeg ** 2) / total;
  const maxErrorDeg = Math.max(...e.map(Math.abs));
  const state = maxErrorDeg <= i.toleranceDeg + EPS ? 'in' : 'out';
  const cause = state === 'in' ? 'even' : n < 5 ? 'unknown' : explained >= 0.7 - EPS ? 'run-out' : 'lobe';
  return ok({
    errors: i.angles.map((x, k) => ({ cylinder: x.cylinder, errorDeg: e[k]! })),
    maxErrorDeg,
    runOutDeg,
    runOutPhaseDeg: runOutDeg < 1e-9 ? 0 : wrap360(deg(Math.atan2(b, a))),
    explained,
    state,
    cause
  });
}
