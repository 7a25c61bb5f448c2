import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { breakGrid } from '$core/calculations/curve/break-grid.ts';

/** The level at a speed by the hats themselves, to hold the running sums against. */
function hats(breaks: number[], x: number): number[] {
  const last = breaks.length - 1;
  if (x <= breaks[0]!) return breaks.map((_, k) => (k === 0 ? 1 : 0));
  if (x >= breaks[last]!) return breaks.map((_, k) => (k === last ? 1 : 0));
  return breaks.map((b, k) => {
    const [low, high] = [breaks[k - 1], breaks[k + 1]];
    if (low !== undefined && x > low && x <= b) return (x - low) / (b - low);
    if (high !== undefined && x > b && x < high) return (high - x) / (high - b);
    return 0;
  });
}

/** Residual of the best levels by descent along each level in turn, slow and sure. */
function slowRss(x: number[], y: number[], breaks: number[]): number {
  const rows = x.map((v) => hats(breaks, v));
  const level = breaks.map(() => 0);
  const off = () => y.map((v, k) => v - rows[k]!.reduce((s, w, j) => s + w * level[j]!, 0));
  for (let pass = 0; pass < 4000; pass++)
    for (let j = 0; j < level.length; j++) {
      const r = off();
      const den = rows.reduce((s, w) => s + w[j]! ** 2, 0);
      if (den > 0) level[j]! += rows.reduce((s, w, k) => s + w[j]! * r[k]!, 0) / den;
    }
  return off().reduce((s, r) => s + r * r, 0);
}

describe('breaks tried on a grid', () => {
  it('leave what the hats themselves leave, for two breaks and for three', () => {
    const points = fc.array(
      fc.tuple(fc.integer({ min: 500, max: 4000 }), fc.double({ min: 0, max: 35, noNaN: true })),
      {
        minLength: 8,
        maxLength: 14
      }
    );
    fc.assert(
      fc.property(points, fc.uniqueArray(fc.integer({ min: 0, max: 9 }), { minLength: 2, maxLength: 3 }), (ps, at) => {
        const sorted = [...ps].sort((a, b) => a[0] - b[0]);
        const x = sorted.map((p) => p[0]);
        fc.pre(x[x.length - 1]! > x[0]! + 100);
        const y = sorted.map((p) => p[1]);
        const { grid, rssOf } = breakGrid(Float64Array.from(x), Float64Array.from(y), 10);
        const places = [...at].sort((a, b) => a - b);
        const breaks = places.map((k) => grid[k]!);
        const fast = rssOf(places);
        // a level that hardly a point speaks of is settled by neither way
        fc.pre(breaks.every((_, j) => x.reduce((s, v) => s + hats(breaks, v)[j]! ** 2, 0) > 0.05));
        const slow = slowRss(x, y, breaks);
        if (fast !== Infinity) expect(Math.abs(fast - slow)).toBeLessThan(1e-3 * (1 + slow));
      }),
      { numRuns: 60 }
    );
  });
  it('answers that a level which no point speaks of is not settled', () => {
    const x = Float64Array.from([1000, 1010, 1020, 3000, 3010, 3020]);
    const { rssOf } = breakGrid(x, Float64Array.from([1, 1, 1, 9, 9, 9]), 22);
    expect(rssOf([5, 10, 15])).toBe(Infinity);
    expect(rssOf([1, 20])).toBeCloseTo(0, 9);
  });
});
