import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { extrapolateG, gridTo, readBaseline, springForce } from './baseline.ts';
import type { swapSpringsInput } from './schemas.ts';

export interface SwappedCurve {
  points: { deg: number; rpm: number; uRpm?: number }[];
  startRpm: number;
  fullRpm: number;
  fullDeg: number;
  /** first advance at which the weights snap out instead of moving steadily; null when they do not */
  unstableFromDeg: number | null;
  /** beyond this advance the curve was not measured but carried on */
  extrapolatedFromDeg: number | null;
}

/**
 * Relative standard uncertainty of a predicted speed at an advance: the measured speed's own, and half of what each pair of
 * springs is in doubt, (u/n)² = (u_base/n_base)² + ¼ΣΣ(u²_preload + (u_rate·stretch)²)/F². Null while anything that enters is
 * not told.
 */
function relativeDoubt(i: z.infer<typeof swapSpringsInput>): ((deg: number, rpm: number) => number) | null {
  const { uBaselineRpm } = i;
  const known = [...i.from, ...i.to].every((s) => s.uRateNPerMm !== undefined && s.uPreloadN !== undefined);
  if (uBaselineRpm === undefined || !known) return null;
  return (deg, rpm) => {
    const stretched = i.extensionMmPerDeg * deg;
    const [to, from] = [i.to, i.from].map((side) => springForce(side, i.extensionMmPerDeg, deg)) as [number, number];
    if (to <= 0 || from <= 0 || rpm <= 0) return 0;
    const measured = rpm / Math.sqrt(to / from);
    let squares = (uBaselineRpm / measured) ** 2;
    for (const [side, force] of [
      [i.to, to],
      [i.from, from]
    ] as const)
      for (const s of side) squares += (s.uPreloadN! ** 2 + (s.uRateNPerMm! * stretched) ** 2) / force ** 2 / 4;
    return Math.sqrt(squares);
  };
}

/**
 * The advance curve with other springs and another stop, from a measured one.
 * At every advance weights and springs balance, and the weights' share depends on speed squared alone, so
 * n_new = n_base·√(T_to/T_from) needs no geometry. Beyond what was measured G = T/n² is carried on as a straight line.
 * Where the speed would fall as the advance grows the weights snap out: rpm is then its running maximum. With `snapOverDeg` only
 * a jump over more than that counts: a shorter one lies in what a straight ramp leaves out between its readings.
 * Errors in this order: curve-order, baseline-needs-zero, baseline-not-rising, baseline-slack, cannot-extrapolate.
 */
export function curveSwapSprings(i: z.infer<typeof swapSpringsInput>): Result<SwappedCurve> {
  const read = readBaseline(i.baseline, i.from, i.extensionMmPerDeg);
  if (!read.ok) return read;
  const b = read.out;
  const beyond = i.stopDeg > b.maxDeg + EPS;
  const carried = beyond ? extrapolateG(b, i.from, i.extensionMmPerDeg) : null;
  if (carried && !carried.ok) return carried;
  const d0 = b.lastBelow.deg;
  const points: SwappedCurve['points'] = [];
  let unstableFromDeg: number | null = null;
  let highest = -Infinity;
  let highestDeg = 0;
  let fellDeg: number | null = null;
  const over = i.snapOverDeg ?? 0;
  const doubt = relativeDoubt(i);
  for (const deg of gridTo(i.stopDeg, b.maxDeg)) {
    const to = springForce(i.to, i.extensionMmPerDeg, deg);
    let rpm: number;
    if (carried && deg > d0 + EPS) {
      const g = carried.out(deg);
      if (g <= 0) return fail('cannot-extrapolate', 'stopDeg', {});
      rpm = Math.sqrt(to / g);
    } else rpm = b.rpmAt(deg) * Math.sqrt(to / springForce(i.from, i.extensionMmPerDeg, deg));
    if (rpm < highest - EPS) {
      fellDeg ??= deg;
      if (deg - highestDeg > over + EPS) unstableFromDeg ??= fellDeg;
    } else {
      highestDeg = deg;
      fellDeg = null;
    }
    highest = Math.max(highest, rpm);
    points.push({ deg, rpm: highest, ...(doubt ? { uRpm: highest * doubt(deg, rpm) } : {}) });
  }
  const last = points[points.length - 1]!;
  return ok({
    points,
    startRpm: points[0]!.rpm,
    fullRpm: last.rpm,
    fullDeg: last.deg,
    unstableFromDeg,
    extrapolatedFromDeg: beyond ? d0 : null
  });
}
