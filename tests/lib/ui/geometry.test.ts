import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { slider } from '$core/calculations/piston/slider.ts';
import {
  arrowAt,
  HAND,
  handTo,
  knobAt,
  lapPath,
  lapPoint,
  lapRadius,
  placeAt,
  placeTouched,
  shapeFor,
  tickPath
} from '$lib/ui/instruments/two-lap-dial/dial-geometry.ts';
import { placeOf, transformOf, type Motion } from '$lib/ui/instruments/motion.ts';
import { bearingArc, bearingPoint, CENTRE, terminals, turnArrow } from '$lib/ui/instruments/cap/cap-geometry.ts';
import { crownAt, FACE, layout, magnified, moves, pose } from '$lib/ui/instruments/piston/piston-geometry.ts';

/** Where a motion brings a point of a drawing, by the CSS it becomes for a box of the part: it acts from the last to the first. */
function moved(motion: Motion, about: { x: number; y: number }, from: { x: number; y: number }) {
  const box = { x: about.x - 7, y: about.y - 90, width: 14, height: 120 };
  let [x, y] = [from.x - about.x, from.y - about.y];
  for (const [, what, a, b] of [
    ...transformOf(motion, box).matchAll(/(\w+)\(([-\d.e]+)(?:deg|%)?(?:, ([-\d.e]+)%)?\)/g)
  ].reverse()) {
    const by = Number(a);
    if (what === 'translate') [x, y] = [x + (by / 100) * box.width, y + (Number(b) / 100) * box.height];
    else if (what === 'scaleY') y *= by;
    else {
      const turn = (by * Math.PI) / 180;
      [x, y] = [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
    }
  }
  return { x: x + about.x, y: y + about.y };
}
const near = (p: { x: number; y: number }, q: { x: number; y: number }) => Math.hypot(p.x - q.x, p.y - q.y);

describe('a moving part', () => {
  it('lies over its own box of the drawing, and turns about a place of the drawing that may lie outside it', () => {
    expect(placeOf({ x: 30, y: 20, width: 60, height: 40 }, { width: 300, height: 400 }, { x: 60, y: 80 })).toEqual({
      left: '10.0000%',
      top: '5.0000%',
      width: '20.0000%',
      height: '10.0000%',
      origin: '50.000% 150.000%'
    });
  });

  it('is shifted by lengths of the drawing, whatever its box measures', () => {
    expect(
      transformOf({ shift: { x: 15, y: -10 }, turn: 90, stretch: 0.5 }, { x: 0, y: 0, width: 60, height: 40 })
    ).toBe('translate(25.00%, -25.00%) rotate(90.00deg) scaleY(0.5000)');
    expect(transformOf({ turn: 0 }, { x: 0, y: 0, width: 60, height: 40 })).toBe('rotate(0.00deg)');
  });
});

describe('two-lap dial', () => {
  const four = shapeFor(720);
  const two = shapeFor(360);

  it('stands the knob on the lap, and ends the hand just short of it', () => {
    for (const s of [four, two])
      for (let t = 0; t < s.cycleDeg; t += 17) {
        const hub = { x: s.cx, y: s.cy };
        expect(near(moved(knobAt(s, t), hub, hub), lapPoint(s, t))).toBeLessThan(0.05);
        const end = moved(handTo(s, t), hub, { x: s.cx, y: s.cy - HAND });
        expect(near(end, lapPoint(s, t, -9))).toBeLessThan(0.05);
      }
  });

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

  it('keeps the rod between piston and crank, and the probe on the crown, wherever the crank stands', () => {
    for (const runs of [1, -1] as const)
      for (let d = -180; d <= 180; d += 15) {
        const p = pose(l, s.out, d, runs);
        const m = moves(l, p);
        const crank = { x: l.cx, y: l.cy };
        const gudgeon = { x: l.cx, y: l.crownTop + l.crownUp };
        const foot = { x: l.cx, y: FACE.cy + FACE.r };
        expect(near(moved(m.web, crank, { x: l.cx, y: l.cy - l.crank }), p.pin)).toBeLessThan(0.05);
        expect(near(moved(m.rod, gudgeon, { x: gudgeon.x, y: gudgeon.y + l.rod }), p.pin)).toBeLessThan(0.2);
        expect(near(moved(m.rod, gudgeon, gudgeon), p.gudgeon)).toBeLessThan(0.05);
        expect(moved(m.piston, crank, { x: l.cx, y: l.crownTop }).y).toBeCloseTo(p.crownY, 1);
        expect(moved(m.probe, foot, { x: l.cx, y: l.crownTop + 2 * l.crank }).y).toBeCloseTo(p.crownY, 1);
      }
  });

  it('draws a depth that was read where the crown stands at that depth', () => {
    const p = pose(l, s.out, 20, 1);
    // the drop at 20 degrees after the top, from the triangle of crank and rod
    const a = (20 * Math.PI) / 180;
    const drop = 46 + 171 - 46 * Math.cos(a) - Math.sqrt(171 ** 2 - (46 * Math.sin(a)) ** 2);
    expect(crownAt(l, s.out, drop)).toBeCloseTo(p.crownY, 6);
    expect(crownAt(l, s.out, 0)).toBe(l.crownTop);
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
