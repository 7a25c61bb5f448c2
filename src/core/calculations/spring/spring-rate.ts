import type { z } from 'zod';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { distinct, fitLine, type Line } from '../../numerics/line.ts';
import { mean } from '../../numerics/statistics.ts';
import { stretch } from '../../numerics/student.ts';
import { stepU, USUAL_DOF, type Gauge } from '../gauge/hand.ts';
import type { springRateInput } from './schemas.ts';

export interface RatedSpring {
  rateNPerMm: number;
  /** standard uncertainty of the rate, N/mm; null where nothing tells it */
  uRate: number | null;
  /** its pull at the installed length, N */
  installedForceN?: number;
  /** standard uncertainty of that pull, N */
  uInstalledForceN?: number | null;
}

/** Standard gravity, m/s² (exact by definition). */
const G = 9.80665;

/**
 * A spring's rate from weights hung on it: least squares F = a + kL with F = m·g. The doubt lies in the lengths: uRate is
 * rate·s/√Σ(L-mean)², s the scatter of a length as learnt of its gauge, pooled with the fit's own residuals and stretched for
 * few of them, and never below the gauge's step; without a gauge the fit's own alone, and null for two loads, through which a
 * line goes whatever they are. The installed force may come out negative: the spring is slack; its doubt is that of the line
 * there and of the installed length itself, uF = rate·s·√(1 + 1/n + (L-mean)²/Σ(L-mean)²). Error `too-few-readings`.
 */
export function springRate(i: z.infer<typeof springRateInput>): Result<RatedSpring> {
  const lengths = i.loads.map((l) => l.lengthMm);
  if (distinct(lengths) < 2)
    return fail('too-few-readings', 'loads', { have: distinct(lengths), need: 2, what: 'different lengths' });
  const line = fitLine(
    lengths,
    i.loads.map((l) => (l.massG * G) / 1000)
  );
  const u = uOfForce(line, i.loads.length - 2, i.lengthGauge);
  return ok({
    rateNPerMm: line.slope,
    uRate: u === null ? null : u / Math.sqrt(line.sxx),
    ...(i.installedLengthMm === undefined ? {} : installed(line, lengths, i.installedLengthMm, u))
  });
}

function installed(line: Line, lengths: readonly number[], at: number, u: number | null) {
  const away = at - mean(lengths);
  return {
    installedForceN: line.intercept + line.slope * at,
    uInstalledForceN: u === null ? null : u * Math.sqrt(1 + 1 / lengths.length + away ** 2 / line.sxx)
  };
}

/** What one length read in error comes to as a force, N; null where nothing tells how lengths scatter. */
function uOfForce(line: Line, left: number, lengths: Gauge | undefined): number | null {
  const rate = Math.abs(line.slope);
  // the fit's residuals as lengths
  const own = left > 0 && rate > 0 ? line.rss / rate ** 2 / left : 0;
  const step = lengths ? stepU(lengths) : 0;
  if (lengths?.scatter !== undefined) {
    const known = lengths.scatterDof ?? USUAL_DOF;
    const s = Math.sqrt((known * lengths.scatter ** 2 + left * own) / (known + left));
    return rate * Math.max(s * stretch(known + left), step);
  }
  return left > 0 ? rate * Math.max(Math.sqrt(own) * stretch(left), step) : null;
}
