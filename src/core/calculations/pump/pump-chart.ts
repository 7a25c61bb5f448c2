import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import { pchip } from '../../numerics/pchip.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import type { pumpChartInput } from './schemas.ts';

export interface FromChart {
  btdc: number;
  liftMm: number;
  /** how fast the plunger lifts there: what a lift misread by 0.01 mm costs in degrees */
  slopeMmPerDeg: number;
  kind: 'lift-at-tdc' | 'lift-to-closure' | null;
}

/** A code as it is compared: letters and digits alone, in upper case. */
const bare = (code: string): string => code.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** Whether what is printed under one code serves the pump with the other; an empty code matches none. */
export const sameCode = (printed: string, plate: string): boolean =>
  bare(printed) !== '' && bare(printed) === bare(plate);

/**
 * A pump's own chart read at a timing or at a lift, by a monotone cubic through its points; a lift is the root of the same
 * curve. Errors in this order: `chart-mismatch` (a code that is not the plate's, or none), `chart-kind` (a lift to port
 * closure is one figure of the pump and has no chart), `chart-order` (fewer than three points, equal timings, a lift that
 * does not rise or fall all the way, or falls where it is the one standing at TDC), `outside-chart`.
 */
export function pumpChart(i: z.infer<typeof pumpChartInput>): Result<FromChart> {
  const { chart } = i;
  if (!sameCode(chart.pumpCode, i.pumpCode))
    return fail('chart-mismatch', 'pumpCode', { chart: chart.pumpCode, pump: i.pumpCode });
  if (chart.kind === 'lift-to-closure') return fail('chart-kind', 'chart.kind', {});
  const points = [...chart.points].sort((a, b) => a.btdc - b.btdc);
  const way = points.length < 3 ? 0 : Math.sign(points[points.length - 1]!.liftMm - points[0]!.liftMm);
  const monotone = points.every(
    (p, k) => k === 0 || (p.btdc > points[k - 1]!.btdc && Math.sign(p.liftMm - points[k - 1]!.liftMm) === way)
  );
  if (way === 0 || !monotone || (chart.kind === 'lift-at-tdc' && way < 0))
    return fail('chart-order', 'chart.points', {});
  const curve = pchip(
    points.map((p) => p.btdc),
    points.map((p) => p.liftMm)
  );
  const asked = i.btdc === undefined ? 'liftMm' : 'btdc';
  // one way all along, so its ends are its least and its most
  const [a, b] = [points[0]![asked], points[points.length - 1]![asked]];
  const [least, most] = [Math.min(a, b), Math.max(a, b)];
  const value = i[asked]!;
  if (value < least - EPS || value > most + EPS)
    return fail('outside-chart', asked, {
      what: asked === 'btdc' ? `${value}° before TDC` : `A lift of ${Number(value.toFixed(3))} mm`
    });
  const btdc = i.btdc ?? curve.inverse(value);
  const { y, slope } = curve.at(btdc);
  return ok({ btdc, liftMm: y, slopeMmPerDeg: slope, kind: chart.kind ?? null });
}
