import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cycleEvidence, mostTelling } from '$core/calculations/cycle/cycle-evidence.ts';
import { cycleState } from '$core/calculations/cycle/cycle-state.ts';
import { methodOutlook } from '$core/calculations/tdc/method-reach.ts';
import { tdcMethods } from '$core/calculations/tdc/tdc-methods.ts';
import { CHECK_MM, tapeDrawing, wheelDrawing } from '$core/calculations/wheel/printed-scale.ts';
import { signKinds } from '$core/calculations/cycle/schemas.ts';
import { dropMm, slider } from '$core/calculations/piston/slider.ts';
import { tdcFit } from '$core/calculations/tdc/tdc-fit.ts';
import { tdcPairs } from '$core/calculations/tdc/tdc-pairs.ts';
import { chances } from '../../../study/chances.ts';

const engine = { strokeMm: 92, rodMm: 171 };
const wheel = { resolution: 0.5, accuracy: 0.25 };
const dial = { resolution: 0.01, accuracy: 0.02 };

describe('what each way of finding TDC would reach', () => {
  const reach = (m: (typeof tdcMethods)[number], more = {}) =>
    methodOutlook(m, { slider: engine, wheel, dial, markU: null, ...more }).uDeg;

  // worked out apart from this code, from the circle equations by bisection
  it.each([
    ['highest', 0.8896989901967333],
    ['rod', 6.140397690066177],
    // steps (0.5/√12)/√2 beside a fixed 0.25/√3/√2, which more pairs do not lessen
    ['stop', 0.14433756729740643],
    ['pairs', 0.154675]
  ] as const)('%s', (m, u) => {
    expect(reach(m)).toBeCloseTo(u, 4);
  });

  it('is what the readings then give', () => {
    const found = tdcPairs({ pairs: [1, 2, 3].map(() => ({ beforeWheelDeg: 345, afterWheelDeg: 15 })), wheel });
    expect(found.ok && found.out.uDeg).toBeCloseTo(reach('stop')!, 9);
  });

  it('by many readings: what tdc.fit would say of such readings, by steady hands and by such as scatter', () => {
    const at = [-40, -30, -20, -10, 10, 20, 30, 40];
    const s = slider(engine);
    if (!s.ok) throw new Error();
    const fitU = (wheelOff: () => number, dialOff: () => number) => {
      const readings = at.map((t) => ({ wheelDeg: t + wheelOff(), dialMm: -dropMm(s.out, t) + dialOff() }));
      const fit = tdcFit({ ...engine, readings, dialSense: 1, wheel, dial });
      if (!fit.ok) throw new Error(fit.error.message);
      return fit.out.uDeg;
    };
    expect(reach('fit')).toBeCloseTo(
      fitU(
        () => 0,
        () => 0
      ),
      9
    );
    const hands = { wheel: { ...wheel, scatter: 0.6 }, dial: { ...dial, scatter: 0.03 } };
    const { normal } = chances(41);
    const said = Array.from({ length: 400 }, () =>
      fitU(
        () => normal(0.6),
        () => normal(0.03)
      )
    );
    const typical = Math.sqrt(said.reduce((sum, u) => sum + u * u, 0) / said.length);
    expect(reach('fit', hands)! / typical).toBeGreaterThan(0.85);
    expect(reach('fit', hands)! / typical).toBeLessThan(1.15);
    expect(reach('fit', hands)!).toBeGreaterThan(1.5 * reach('fit')!);
  });

  it('says why it cannot be said', () => {
    expect(methodOutlook('mark', { slider: engine, wheel, dial, markU: null }).why).toContain('no earlier job');
    expect(methodOutlook('pairs', { slider: null, wheel, dial, markU: null }).why).toContain('stroke and rod');
    expect(methodOutlook('stop', { slider: engine, wheel: null, dial, markU: null }).why).toContain('no degree wheel');
    expect(methodOutlook('fit', { slider: engine, wheel, dial: null, markU: null }).why).toContain('no dial');
    expect(methodOutlook('fit', { slider: { strokeMm: 92, rodMm: 40 }, wheel, dial, markU: null }).why).toContain(
      'cannot follow'
    );
    expect(reach('mark', { markU: 0.2 })).toBe(0.2);
  });

  // pairs are read at the smallest angle that is good enough, so a finer wheel may be read nearer the top: never worse than asked
  const ENOUGH = 0.15 * Math.SQRT2;
  it('never gets worse with a finer wheel, unless it stays within what is asked', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('highest', 'rod', 'stop', 'pairs', 'fit'),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        (m, k) => {
          const fine = { resolution: 0.5 * k, accuracy: 0.25 * k };
          expect(reach(m as 'fit', { wheel: fine })!).toBeLessThanOrEqual(
            Math.max(reach(m as 'fit')!, m === 'pairs' ? ENOUGH : 0) + 1e-9
          );
        }
      )
    );
  });
});

describe('the sign that would settle it best', () => {
  it('leaves the least expected doubt, as trying every outcome shows', () => {
    const entropy = (p: number) => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p));
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.98, noNaN: true }),
        fc.subarray([...signKinds], { minLength: 1 }),
        (prior, left) => {
          // the chance of seeing a sign follows from the two posteriors and the prior they must average to
          const doubt = (kind: (typeof signKinds)[number]) => {
            const yes = cycleEvidence({ evidence: [{ kind, seen: true }], prior }).pCompression;
            const no = cycleEvidence({ evidence: [{ kind, seen: false }], prior }).pCompression;
            const seen = (prior - no) / (yes - no);
            return seen * entropy(yes) + (1 - seen) * entropy(no);
          };
          const least = Math.min(...left.map(doubt));
          expect(doubt(mostTelling([], left, prior)!)).toBeCloseTo(least, 9);
        }
      )
    );
    expect(mostTelling([], [])).toBeNull();
  });
});

describe('firing orders of one to twelve cylinders', () => {
  it.each([1, 2, 3, 4, 5, 6, 8, 10, 12])('%d cylinders, even', (n) => {
    const firingOrder = [1, ...Array.from({ length: n - 1 }, (_, k) => n - k)];
    const s = cycleState({ cycleDeg: 720, firingOrder, crankDeg: 0 });
    expect(s.cylinders.map((c) => c.cylinder)).toEqual([...firingOrder].sort((a, b) => a - b));
    expect(s.next).toEqual({ cylinder: 1, inDeg: 0 });
    expect(s.companion).toBe(n % 2 === 0 && n > 1 ? firingOrder[n / 2] : null);
  });

  it('finds the companion of an uneven engine by its angles', () => {
    const s = cycleState({ cycleDeg: 720, firingOrder: [1, 2, 3, 4], offsetsDeg: [0, 90, 360, 450], crankDeg: 350 });
    expect(s.companion).toBe(3);
    expect(s.next).toEqual({ cylinder: 3, inDeg: 10 });
  });

  it('knows only up and down on a two-stroke', () => {
    const s = cycleState({ cycleDeg: 360, firingOrder: [1, 2, 3], crankDeg: 100 });
    expect(s.cylinders.map((c) => c.stroke)).toEqual(['down', 'up', 'up']);
    expect(s.cylinders.every((c) => c.intake === null)).toBe(true);
    expect(s.companion).toBeNull();
  });
});

describe('printed scales', () => {
  const verticals = (d: ReturnType<typeof tapeDrawing>) => d.lines.filter((l) => l.x1 === l.x2 && l.weight !== 0.3);

  it('spaces the ticks of a tape by the rim’s own millimetres a degree', () => {
    const d = tapeDrawing({ diameterMm: 164, fromBtdc: -10, toBtdc: 40, stepDeg: 2 });
    const x = verticals(d).map((l) => l.x1);
    expect(x).toHaveLength(26);
    expect(x[25]! - x[0]!).toBeCloseTo((Math.PI * 164 * 50) / 360, 9);
    const zero = verticals(d).find((l) => l.weight === 0.6)!;
    expect(x[25]! - zero.x1).toBeCloseTo(57.24679946541401, 9);
    const check = d.lines.find((l) => l.y1 === l.y2 && l.weight === 0.3)!;
    expect(check.x2 - check.x1).toBe(CHECK_MM);
  });

  it('counts the tens in dots, filled before TDC and open after it', () => {
    const d = tapeDrawing({ diameterMm: 164, fromBtdc: -20, toBtdc: 70, stepDeg: 5 });
    expect(d.circles.filter((c) => c.fill)).toHaveLength(1 + 2 + 3 + 4 + 5 + 6 + 7);
    expect(d.circles.filter((c) => !c.fill)).toHaveLength(1 + 2);
  });

  it('cuts a long tape into strips that share their end tick and fit across A4', () => {
    const d = tapeDrawing({ diameterMm: 400, fromBtdc: -20, toBtdc: 160, stepDeg: 1 });
    expect(d.width).toBeLessThanOrEqual(297);
    const rows = [...new Set(verticals(d).map((l) => l.y1))];
    expect(rows.length).toBe(3);
    const ticks = rows.map((y) => verticals(d).filter((l) => l.y1 === y).length);
    expect(ticks.reduce((a, b) => a + b, 0)).toBe(181 + rows.length - 1);
    expect(d.texts.filter((t) => t.text.startsWith('strip'))).toHaveLength(rows.length);
  });

  it('lays the figures of a wheel against the way the crank runs', () => {
    const cw = wheelDrawing({ diameterMm: 180, stepDeg: 1, runningDirection: 'cw' });
    const ccw = wheelDrawing({ diameterMm: 180, stepDeg: 1, runningDirection: 'ccw' });
    const ninety = (d: typeof cw) => d.texts.find((t) => t.text === '90')!.x - d.width / 2;
    expect(ninety(cw)).toBeLessThan(-50);
    expect(ninety(ccw)).toBeGreaterThan(50);
    expect(cw.lines.length).toBe(360 + 2 + 3);
    expect(cw.circles[0]!.r).toBe(90);
  });
});
