import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bearingOf, bearingPoint, blockSpan, CENTRE, ringBlock } from '$lib/ui/instruments/cap/cap-geometry.ts';
import { DEPTH_UNITS, EXAGGERATED, GAP_UNITS, spread, stackPlaces } from '$lib/ui/instruments/stack/stack-geometry.ts';

const bare = { floatMm: 0.05, packingMm: 0, gasketMm: 0, engagementMm: 7.3, clearanceMm: 1.7 };

describe('the stack drawing', () => {
  it('opens the float by what the packing adds, while the block stands still', () => {
    const a = stackPlaces(bare);
    const b = stackPlaces({ ...bare, floatMm: 0.167, packingMm: 0.117 });
    expect(a.thrust - b.thrust).toBeCloseTo(0.117 * GAP_UNITS, 6);
    expect(b.blockTop).toBeCloseTo(a.blockTop, 6);
    expect(b.gearTop).toBe(a.gearTop);
  });
  it('draws gaps and depths each to one scale, and says how the two differ', () => {
    const a = stackPlaces(bare);
    const b = stackPlaces({ ...bare, engagementMm: 8.3, clearanceMm: 0.7 });
    expect(a.pumpTop - b.pumpTop).toBeCloseTo(DEPTH_UNITS, 6);
    expect(a.slotBottom - b.slotBottom).toBeCloseTo(DEPTH_UNITS, 6);
    expect(EXAGGERATED).toBe(GAP_UNITS / DEPTH_UNITS);
  });
  it('shows a drive that is clamped as one that overlaps', () => {
    const p = stackPlaces({ ...bare, floatMm: -0.04 });
    expect(p.clamped).toBe(true);
    expect(p.thrust).toBeGreaterThan(p.gearTop);
    expect(stackPlaces({ ...bare, floatMm: null }).clamped).toBe(false);
  });
  it('keeps labels apart, inside the drawing, and in the order of what they point to', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 348, noNaN: true }), { maxLength: 6 }), (ys) => {
        const out = spread(ys, 40, 40, 316);
        const sorted = [...out].sort((a, b) => a - b);
        for (let k = 1; k < sorted.length; k++) expect(sorted[k]! - sorted[k - 1]!).toBeGreaterThanOrEqual(40 - 1e-9);
        for (let a = 0; a < ys.length; a++)
          for (let b = 0; b < ys.length; b++) if (ys[a]! < ys[b]!) expect(out[a]!).toBeLessThan(out[b]!);
        for (const y of out) expect(y).toBeLessThanOrEqual(316 + 1e-9);
      })
    );
  });
});

describe('the cap', () => {
  it('gives back the bearing of any place at a bearing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 10, max: 150 }), (b, r) => {
        const p = bearingPoint(b, r);
        const off = Math.abs(bearingOf(p.x, p.y) - b);
        expect(Math.min(off, 360 - off)).toBeLessThan(1e-6);
      })
    );
  });
  it('never draws more of an obstacle than is blocked', () => {
    expect(blockSpan(334, 52)).toBe(34);
    expect(blockSpan(0, 350)).toBe(5);
    expect(ringBlock(10, 40, 100, 120)).not.toContain('NaN');
    expect(CENTRE.radius).toBeGreaterThan(100);
  });
});
