import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import { normalQuantile } from '../../numerics/normal.ts';
import { remembered } from '../../numerics/remembered.ts';
import { ok, type Result } from '../../errors/result.ts';
import { verdict, type VerdictState } from '../verdict/verdict.ts';
import { interpolate, rising } from './knots.ts';
import type { curveCompareInput } from './schemas.ts';

export type JudgedState = VerdictState | 'unjudged';
export interface JudgedPoint {
  rpm: number;
  deg: number;
  minDeg: number | null;
  maxDeg: number | null;
  state: JudgedState;
  pInSpec: number | null;
}

/**
 * A measured curve against its band, point by point; outside the band's speeds nothing is judged. hysteresisDeg is the
 * largest difference between readings taken going down and the line through those taken going up; sticky when it is more
 * than 1.5° and more than chance makes of the largest of so many, z·√2·u with z = Φ⁻¹(1 - 0.025/m) for m speeds. Error `curve-order` for a band whose speeds do not rise.
 */
export function curveCompare(i: z.infer<typeof curveCompareInput>): Result<{
  points: JudgedPoint[];
  state: JudgedState;
  hysteresisDeg: number | null;
  sticky: boolean;
}> {
  const xs = i.spec.map((s) => s.rpm);
  const wrong = rising(xs, 'The speed of the limits', 'spec');
  if (wrong) return wrong;
  const low = i.spec.map((s) => s.minDeg);
  const high = i.spec.map((s) => s.maxDeg);
  const points = i.measured.map(({ rpm, deg }): JudgedPoint => {
    if (rpm < xs[0]! - EPS || rpm > xs[xs.length - 1]! + EPS)
      return { rpm, deg, minDeg: null, maxDeg: null, state: 'unjudged', pInSpec: null };
    const minDeg = interpolate(xs, low, rpm);
    const maxDeg = interpolate(xs, high, rpm);
    return { rpm, deg, minDeg, maxDeg, ...verdict(deg, i.uDeg, minDeg, maxDeg) };
  });
  const has = (s: JudgedState) => points.some((p) => p.state === s);
  const state = has('out') ? 'out' : has('unsure') ? 'unsure' : has('in') ? 'in' : 'unjudged';
  const differences = downAgainstUp(i.measured);
  const hysteresisDeg = differences.length === 0 ? null : Math.max(...differences);
  return ok({
    points,
    state,
    hysteresisDeg,
    sticky:
      hysteresisDeg !== null && hysteresisDeg > Math.max(1.5, byChance(differences.length) * Math.SQRT2 * i.uDeg) + EPS
  });
}

/** How far each reading taken going down lies from the line through those taken going up, in degrees. */
function downAgainstUp(measured: { rpm: number; deg: number; dir?: 'up' | 'down' | undefined }[]): number[] {
  const up = measured.filter((m) => m.dir === 'up').sort((a, b) => a.rpm - b.rpm);
  if (up.length === 0) return [];
  const xs = up.map((m) => m.rpm);
  const ys = up.map((m) => m.deg);
  return measured
    .filter((m) => m.dir === 'down' && m.rpm >= xs[0]! - EPS && m.rpm <= xs[xs.length - 1]! + EPS)
    .map((m) => Math.abs(m.deg - interpolate(xs, ys, m.rpm)));
}

/** How many standard uncertainties the largest of m normal differences reaches once in twenty. */
const byChance = remembered((m: number) => normalQuantile(1 - 0.025 / m), 200);
