import type { z } from 'zod';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { mean } from '../../numerics/statistics.ts';
import type { pumpClosureInput } from './schemas.ts';

export interface Closure {
  /** where the crank stands as the port closes: the pump's timing, degrees before TDC */
  btdc: number;
  /** later below 0, degrees of the crank; null without a timing wanted */
  errorDeg: number | null;
  /** lift for a degree of the crank about the closure */
  slopeMmPerDeg: number;
  /** √Σ(lift − mean)²: what the slope rests on; 0 where it was given */
  spreadMm: number;
}

/**
 * The timing of a pump by the one lift at which its port closes: lifts near it, each with the crank that was read there, in
 * one setting of its gear. Each is carried to the closure by the slope and their mean taken. The slope is that of the least
 * squares line of crank over lift, or one that was measured in another setting. Errors: `too-few-readings`
 * where no slope is given and the lifts do not differ; `lift-not-rising` where the lift does not grow as the crank comes forward.
 */
export function pumpClosure(i: z.infer<typeof pumpClosureInput>): Result<Closure> {
  const { lifts, closureMm } = i;
  const [x, y] = [mean(lifts.map((l) => l.liftMm)), mean(lifts.map((l) => l.btdc))];
  const sxx = lifts.reduce((t, l) => t + (l.liftMm - x) ** 2, 0);
  if (i.slopeMmPerDeg === undefined && sxx < 1e-9)
    return fail('too-few-readings', 'lifts', { have: lifts.length, need: 2, what: 'lifts that differ' });
  const degPerMm =
    i.slopeMmPerDeg === undefined
      ? -lifts.reduce((t, l) => t + (l.liftMm - x) * (l.btdc - y), 0) / sxx
      : 1 / i.slopeMmPerDeg;
  if (degPerMm < 1e-9) return fail('lift-not-rising', 'lifts', {});
  const btdc = y + (x - closureMm) * degPerMm;
  return ok({
    btdc,
    errorDeg: i.targetBtdc === undefined ? null : btdc - i.targetBtdc,
    slopeMmPerDeg: 1 / degPerMm,
    spreadMm: i.slopeMmPerDeg === undefined ? Math.sqrt(sxx) : 0
  });
}
