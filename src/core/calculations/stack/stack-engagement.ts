import type { z } from 'zod';
import { verdict, verdictOrNone, type Verdict } from '../verdict/verdict.ts';
import type { engagementInput } from './schemas.ts';

export interface Engagement {
  engagementMm: number;
  withoutGasketMm: number;
  uMm: number;
  /** null: no limit was given */
  verdict: Verdict | null;
  clearanceMm?: number;
  clearanceVerdict?: Verdict;
}

/**
 * How deep the distributor's drive sits in the oil-pump drive: length - gasket - offset - depth, and what is left of
 * the slot below it. No clearance left means that the distributor bottoms on the pump and clamps down on it.
 */
export function stackEngagement(i: z.infer<typeof engagementInput>): Engagement {
  const withoutGasketMm = i.lengthMm - i.featureOffsetMm - i.depthToDriveMm;
  const engagementMm = withoutGasketMm - i.gasketMm;
  const uMm = Math.hypot(i.uMm.length, i.uMm.depth, i.uMm.offset, i.uMm.gasket);
  const out: Engagement = {
    engagementMm,
    withoutGasketMm,
    uMm,
    verdict: verdictOrNone(engagementMm, uMm, i.minEngagementMm, null, i.scatterUnknown)
  };
  if (i.slotDepthMm === undefined) return out;
  // without a limit of its own nothing left is the limit: there it bottoms
  const clearanceMm = i.slotDepthMm - engagementMm;
  return {
    ...out,
    clearanceMm,
    clearanceVerdict: verdict(clearanceMm, uMm, i.minClearanceMm ?? 0, null, i.scatterUnknown)
  };
}
