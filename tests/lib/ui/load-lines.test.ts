import { describe, expect, it } from 'vitest';
import { FINE, timingLines } from '$lib/ui/curves/load-lines.ts';

const field = (total: (along: number, up: number) => number) =>
  Array.from({ length: FINE.along * FINE.up }, (_, n) =>
    total((n % FINE.along) / (FINE.along - 1), Math.floor(n / FINE.along) / (FINE.up - 1))
  );

describe('lines of equal timing', () => {
  it('run where the sum of speed and depression is the same', () => {
    const total = (along: number, up: number) => 10 + 20 * along + 10 * up;
    const lines = timingLines(field(total));
    expect(lines.map((l) => l.deg)).toEqual([12, 16, 20, 24, 28, 32, 36]);
    for (const l of lines) for (const [along, up] of l.runs.flat()) expect(total(along, up)).toBeCloseTo(l.deg, 6);
  });
  it('stand upright where depression adds nothing, and none runs along the edge', () => {
    const lines = timingLines(field((along) => 8 + 24 * along));
    for (const l of lines) {
      const places = l.runs.flat();
      for (const [along] of places) expect(along).toBeCloseTo((l.deg - 8) / 24, 6);
      expect(Math.min(...places.map(([, up]) => up))).toBeLessThan(0.02);
      expect(Math.max(...places.map(([, up]) => up))).toBeGreaterThan(0.98);
    }
  });
  it('are none where all is the same', () => {
    expect(timingLines(field(() => 12))).toEqual([]);
  });
});
