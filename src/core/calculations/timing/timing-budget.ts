import type { z } from 'zod';
import type { timingBudgetInput } from './schemas.ts';

/**
 * What makes up the uncertainty of a setting: terms added in squares (a half-width is taken as rectangular, /√3), the
 * expanded uncertainty 2u, and each term's share of the variance, largest first.
 */
export function timingBudget({ terms }: z.infer<typeof timingBudgetInput>) {
  const us = terms.map((t) => ({ name: t.name, uDeg: t.uDeg ?? t.halfWidthDeg! / Math.sqrt(3) }));
  const variance = us.reduce((sum, t) => sum + t.uDeg ** 2, 0);
  const uDeg = Math.sqrt(variance);
  const shares = us.map((t) => ({ ...t, share: variance === 0 ? 0 : t.uDeg ** 2 / variance }));
  shares.sort((a, b) =>
    Math.abs(b.share - a.share) > 1e-9 ? b.share - a.share : a.name < b.name ? -1 : a.name > b.name ? 1 : 0
  );
  return { uDeg, expandedDeg: 2 * uDeg, shares };
}
