import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { slider } from '$core/calculations/piston/slider.ts';
import {
  arrowAt,
  lapPath,
  lapPoint,
  lapRadius,
  placeAt,
  placeTouched,
  shapeFor,
  tickPath
} from '$lib/ui/instruments/two-lap-dial/dial-geometry.ts';
import { bearingArc, bearingPoint, CENTRE, terminals, turnArrow } from '$lib/ui/instruments/cap/cap-geometry.ts';
import { layout, magnified, pose } from '$lib/ui/instruments/piston/piston-geometry.ts';

describe('two-lap dial', () => {
  const four = shapeFor(720);
  const two = shapeFor(360);

  it('puts the firing TDC above the overlap TDC, and lets the laps cross at the bottom', () => {
    expect(lapPoint(four, 0).y).toBeLessThan(lapPoint(four, 360).y - 40);
    expect(lapRadius(four, 180)).toBeCloseTo(lapRadius(four, 540), 9);
    expect(lapPoint(four, 0).x).toBeCloseTo(lapPoint(four, 360).x, 9);
  });

  it('is one closed path over the cycle', () => {
    const start = lapPoint(four, 0);
    const end = lapPoint(four, 720);
    expect(end.x).toBeCloseTo(start.x, 6);
    expect(end.y).toBeCloseTo(start.y, 6);
    expect(lapRadius(two, 0)).toBe(lapRadius(two, 200));
  });

  it('follows a pointer round both laps without jumping, and reads back the place it drew', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 719 }), fc.integer({ min: -90, max: 90 }), (from, step) => {
        const to = (((from + step) % 720) + 720) % 720;
        const p = lapPoint(four, to);
        expect(placeAt(four, p.x, p.y, from)).toBeCloseTo(to, 6);
      })
    );
  });

  it('takes a first touch for the lap that was touched', () => {
    for (const t of [0, 60, 300, 360, 420, 660]) {
      const p = lapPoint(four, t);
      expect(placeTouched(four, p.x, p.y)).toBeCloseTo(t, 6);
    }
    const p = lapPoint(two, 250);
    expect(placeTouched(two, p.x, p.y)).toBeCloseTo(250, 6);
  });

  it('draws a tick for every ten degrees of the cycle', () => {
    const count = (d: string) => d.split('M').length - 1;
    expect(count(tickPath(four, 'long'))).toBe(8);
    expect(count(tickPath(four, 'short'))).toBe(64);
    expect(count(tickPath(two, 'long')) + count(tickPath(two, 'short'))).toBe(36);
  });

  it('draws an arc from where it starts to where it ends, and turns the head with the way', () => {
    const d = lapPath(four, 350, 380);
    const first = lapPoint(four, 350);
    expect(d.startsWith(`M${first.x.toFixed(1)} ${first.y.toFixed(1)}`)).toBe(true);
    expect(arrowAt(four, 90, true)).toContain('rotate(90.0)');
    expect(arrowAt(four, 90, false)).toContain('rotate(270.0)');
  });
});

describe('cap from above', () => {
  it('puts the towers in firing order in the way the rotor runs', () => {
    expect(terminals([1, 2, 4, 3], 'ccw', 170).map((t) => [t.cylinder, t.bearing])).toEqual([
      [1, 170],
      [2, 80],
      [4, 350],
      [3, 260]
    ]);
    expect(terminals([1, 2], 'cw', 350, [0, 270], 0.5).map((t) => t.bearing)).toEqual([350, 125]);
  });

  it('has 0 at the top and turns clockwise', () => {
    expect(bearingPoint(0, 10)).toEqual({ x: CENTRE.cx, y: CENTRE.cy - 10 });
    expect(bearingPoint(90, 10).x).toBeCloseTo(CENTRE.cx + 10);
    expect(bearingArc(300, 200, 50)).toContain(' 0 1 1 ');
    expect(bearingArc(0, 90, 50)).toContain(' 0 0 1 ');
  });

  it('points the head of a turn the way of the turn', () => {
    expect(turnArrow('cw', 60, 50, 100).head).toContain('rotate(85.0)');
    expect(turnArrow('ccw', 60, 50, 100).head).toContain('rotate(215.0)');
  });
});

describe('piston and dial', () => {
  const s = slider({ strokeMm: 92, rodMm: 171 });
  if (!s.ok) throw new Error('geometry');
  const l = layout(s.out);

  it('stands at the top at TDC and at the same height at equal angles on both sides', () => {
    const top = pose(l, s.out, 0, 1);
    expect(top.crownY).toBeCloseTo(l.crownTop);
    expect(pose(l, s.out, 14, 1).crownY).toBeCloseTo(pose(l, s.out, -14, 1).crownY);
    expect(pose(l, s.out, 14, 1).pin.x).toBeGreaterThan(l.cx);
    expect(pose(l, s.out, 14, -1).pin.x).toBeLessThan(l.cx);
  });

  it('draws small drops larger and the whole stroke as it is, never backwards', () => {
    expect(magnified(0.001, 92, 3) / 0.001).toBeCloseTo(3, 2);
    expect(magnified(92, 92, 3)).toBeCloseTo(92);
    let last = -1;
    for (let d = 0; d <= 92; d += 0.5) {
      const m = magnified(d, 92, 3);
      expect(m).toBeGreaterThan(last);
      last = m;
    }
  });

  it('turns the needle once for a turn of the dial', () => {
    const deep = pose(l, s.out, 60, 1, 1).needleDeg;
    expect(pose(l, s.out, 60, 1, 0.5).needleDeg).toBeCloseTo(2 * deep);
  });
});
