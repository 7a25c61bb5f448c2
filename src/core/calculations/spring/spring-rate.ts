import type { z } from 'zod';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { distinct, fitLine, type Line } from '../../numerics/line.ts';
import { stretch } from '../../numerics/student.ts';
import { stepU, USUAL_DOF, type Gauge } from '../gauge/hand.ts';
import type { springRateInput } from './schemas.ts';

/** Standard gravity, m/s² (exact by definition). */
const G = 9.80665;

/**
 * A spring's rate from weights hung on it: least squares F = a + kL with F = m·g. The doubt lies in the lengths: uRate is
 * rate·s/√Σ(L-mean)², s the scatter of a length as learnt of its gauge, pooled with the fit's own residuals and stretched for
 * few of them, and never below the gauge's step; without a gauge the fit's own alone, and null for two loads, through which a
 * line goes whatever they are. The installed force may come out negative: the spring is slack. Error `too-few-readings`.
 */
export function springRate(
  i: z.infer<typeof springRateInput>
): Result<{ rateNPerMm: number; uRate: number | null; installedForceN?: number }> {
  const lengths = i.loads.map((l) => l.lengthMm);
  if (distinct(lengths) < 2)
    return fail('too-few-readings', 'loads', { have: distinct(lengths), need: 2, what: 'different lengths' });
  const line = fitLine(
    lengths,
    i.loads.map((l) => (l.massG * G) / 1000)
  );
  return ok({
    rateNPerMm: line.slope,
    uRate: uOfRate(line, i.loads.length - 2, i.lengthGauge),
    ...(i.installedLengthMm === undefined ? {} : { installedForceN: line.intercept + line.slope * i.installedLengthMm })
  });
}

function uOfRate(line: Line, left: number, lengths: Gauge | undefined): number | null {
  const rate = Math.abs(line.slope);
  // the fit's residuals as lengths
  const own = left > 0 && rate > 0 ? line.rss / rate ** 2 / left : 0;
  const step = lengths ? stepU(lengths) : 0;
  if (lengths?.scatter !== undefined) {
    const known = lengths.scatterDof ?? USUAL_DOF;
    const s = Math.sqrt((known * lengths.scatter ** 2 + left * own) / (known + left));
    return (rate * Math.max(s * stretch(known + left), step)) / Math.sqrt(line.sxx);
  }
  return left > 0 ? (rate * Math.max(Math.sqrt(own) * stretch(left), step)) / Math.sqrt(line.sxx) : null;
}
