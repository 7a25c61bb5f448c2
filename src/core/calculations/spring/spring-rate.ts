import type { z } from 'zod';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { distinct, fitLine } from '../../numerics/line.ts';
import type { springRateInput } from './schemas.ts';

/** Standard gravity, m/s² (exact by definition). */
const G = 9.80665;

/**
 * A spring's rate from weights hung on it: least squares F = a + kL with F = m·g. uRate from the scatter, 0 for two
 * loads. The installed force may come out negative: the spring is slack. Error `too-few-readings`.
 */
export function springRate(
  i: z.infer<typeof springRateInput>
): Result<{ rateNPerMm: number; uRate: number; installedForceN?: number }> {
  const lengths = i.loads.map((l) => l.lengthMm);
  if (distinct(lengths) < 2)
    return fail('too-few-readings', 'loads', { have: distinct(lengths), need: 2, what: 'different lengths' });
  const line = fitLine(
    lengths,
    i.loads.map((l) => (l.massG * G) / 1000)
  );
  const n = i.loads.length;
  return ok({
    rateNPerMm: line.slope,
    uRate: n > 2 ? Math.sqrt(line.rss / (n - 2) / line.sxx) : 0,
    ...(i.installedLengthMm === undefined ? {} : { installedForceN: line.intercept + line.slope * i.installedLengthMm })
  });
}
