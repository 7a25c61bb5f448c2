import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import type { pumpZeroInput } from './schemas.ts';

/**
 * Where the plunger rests on its base circle while the crank is backed: the first run of readings that no longer differ by
 * more than the dial shows. Zero is their median. Not found: index and zero are null, and the crank is backed further.
 */
export function pumpZero({ readingsMm, resolutionMm, minRun }: z.output<typeof pumpZeroInput>): {
  found: boolean;
  index: number | null;
  zeroMm: number | null;
} {
  for (let k = 0; k + minRun <= readingsMm.length; k++) {
    const run = readingsMm.slice(k, k + minRun).sort((a, b) => a - b);
    if (run[minRun - 1]! - run[0]! > resolutionMm + EPS) continue;
    const zeroMm = (run[(minRun - 1) >> 1]! + run[minRun >> 1]!) / 2;
    return { found: true, index: k, zeroMm };
  }
  return { found: false, index: null, zeroMm: null };
}
