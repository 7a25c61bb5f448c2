import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mod, wrap180 } from '$core/numerics/angles.ts';
import { crankPlan } from '$core/calculations/crank/crank-plan.ts';
import { cycleEvidence } from '$core/calculations/cycle/cycle-evidence.ts';
import { signKinds } from '$core/calculations/cycle/schemas.ts';
import { cycleState } from '$core/calculations/cycle/cycle-state.ts';
import { anglesAtDrop, dropMm, dropSlope, slider } from '$core/calculations/piston/slider.ts';
import { tdcFit } from '$core/calculations/tdc/tdc-fit.ts';
import { tdcPairs } from '$core/calculations/tdc/tdc-pairs.ts';
import { wheelMeasure } from '$core/calculations/wheel/wheel-measure.ts';
import { wheelTicks } from '$core/calculations/wheel/wheel-ticks.ts';

/** Engines that can be: the rod longer than crank radius plus offset. */
const engine = fc
  .record({
    strokeMm: fc.double({ min: 20, max: 300, noNaN: true }),
    ratio: fc.double({ min: 1.4, max: 3, noNaN: true }),
    offset: fc.double({ min: -0.1, max: 0.1, noNaN: true })
  })
  .map(({ strokeMm, ratio, offset }) => ({
    strokeMm,
    rodMm: (strokeMm / 2) * ratio + 3,
    pinOffsetMm: (offset * strokeMm) / 2
  }));
const made = (e: { strokeMm: number; rodMm: number; pinOffsetMm: number }) => {
  const s = slider(e);
  if (!s.ok) throw new Error(s.error.message);
  return s.out;
};

describe('piston', () => {
  it('drop and angle are inverse on both sides of the top', () => {
    fc.assert(
      fc.property(engine, fc.double({ min: 0.0005, max: 0.98, noNaN: true }), (e, part) => {
        const s = made(e);
        const drop = part * s.maxDropMm;
        const a = anglesAtDrop(s, drop)!;
        expect(dropMm(s, a.afterDeg)).toBeCloseTo(drop, 7);
        expect(dropMm(s, -a.beforeDeg)).toBeCloseTo(drop, 7);
      })
    );
  });

  it('the slope is the derivative of the drop', () => {
    fc.assert(
      fc.property(engine, fc.double({ min: -170, max: 170, noNaN: true }), (e, theta) => {
        const s = made(e);
        const h = 1e-4;
        expect(dropSlope(s, theta)).toBeCloseTo((dropMm(s, theta + h) - dropMm(s, theta - h)) / (2 * h), 4);
      })
    );
  });
});

describe('true TDC', () => {
  const gauges = { wheel: { resolution: 0.5, accuracy: 0.25 }, dial: { resolution: 0.01, accuracy: 0.01 } };

  it('pairs at equal depth find the TDC they were made from, wherever the wheel is zeroed', () => {
    fc.assert(
      fc.property(
        engine,
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 0.01, max: 0.4, noNaN: true }),
        (e, tdc, part) => {
          const s = made(e);
          const drop = part * s.maxDropMm;
          const a = anglesAtDrop(s, drop)!;
          const r = tdcPairs({
            ...e,
            ...gauges,
            pairs: [{ beforeWheelDeg: tdc - a.beforeDeg, afterWheelDeg: tdc + a.afterDeg, dropMm: drop }]
          });
          expect(r.ok && Math.abs(wrap180(r.out.tdcWheelDeg - tdc))).toBeLessThan(1e-6);
        }
      )
    );
  });

  it('a fit of exact readings finds the TDC they were made from', () => {
    fc.assert(
      fc.property(
        engine,
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.constantFrom(1 as const, -1 as const),
        (e, w0, dialSense) => {
          const s = made(e);
          const readings = [-35, -22, -9, 12, 25, 33].map((t) => ({
            wheelDeg: mod(w0 + t, 360),
            dialMm: 5 - dialSense * dropMm(s, t)
          }));
          const r = tdcFit({ ...e, ...gauges, dialSense, readings });
          expect(r.ok && Math.abs(wrap180(r.out.tdcWheelDeg - w0))).toBeLessThan(1e-6);
          expect(r.ok && r.out.outliers).toEqual([]);
        }
      ),
      { numRuns: 40 }
    );
  });

  it('throws out the one reading that is wrong, among many as among few', () => {
    const e = { strokeMm: 92, rodMm: 171, pinOffsetMm: 0 };
    const s = made(e);
    for (const n of [9, 60]) {
      const readings = Array.from({ length: n }, (_, k) => {
        const t = -40 + (80 * k) / (n - 1);
        // a fixed wobble of the dial's last digit, so that the scatter is not zero
        return { wheelDeg: 357 + t, dialMm: 8 - dropMm(s, t) + ((k % 3) - 1) * 0.004 };
      });
      readings[5]!.dialMm += 0.8;
      const r = tdcFit({ ...e, ...gauges, wheel: { resolution: 0.01, accuracy: 0.01 }, dialSense: 1, readings });
      expect(r.ok && r.out.outliers).toEqual([5]);
      expect(r.ok && Math.abs(r.out.tdcWheelDeg - 357)).toBeLessThan(0.05);
    }
  });
});

describe('turning plan', () => {
  const input = fc.record({
    cycleDeg: fc.constantFrom(720 as const, 360 as const),
    currentDeg: fc.integer({ min: -400, max: 1100 }),
    targetDeg: fc.integer({ min: -400, max: 1100 }),
    strokeKnown: fc.boolean(),
    approach: fc.constantFrom('forward' as const, 'backUp' as const),
    backlashDeg: fc.integer({ min: 0, max: 30 }),
    lastMove: fc.constantFrom('forward' as const, 'backward' as const, 'unknown' as const),
    runningDirection: fc.constantFrom('cw' as const, 'ccw' as const),
    view: fc.constantFrom('front' as const, 'rear' as const)
  });

  it('carried out, ends on the target and last moved forward by at least the slack', () => {
    fc.assert(
      fc.property(input, (i) => {
        const plan = crankPlan(i);
        const period = i.strokeKnown ? i.cycleDeg : 360;
        let at = i.currentDeg;
        for (const s of plan.steps) at += s.move === 'forward' ? s.degrees : -s.degrees;
        expect(mod(at - i.targetDeg, period)).toBeCloseTo(0, 6);
        const last = plan.steps[plan.steps.length - 1];
        if (last) {
          expect(last.move).toBe('forward');
          if (i.lastMove !== 'forward' || plan.steps.length > 1)
            expect(last.degrees).toBeGreaterThanOrEqual((i.backlashDeg ? 1.5 * i.backlashDeg + 2 : 0) - 1e-9);
        } else expect(i.lastMove === 'forward' || i.backlashDeg === 0).toBe(true);
        expect(plan.totalDeg).toBeLessThanOrEqual(period + 1.5 * i.backlashDeg + 2 + 1e-9);
      })
    );
  });

  it('the same turn looks the other way from the other end', () => {
    fc.assert(
      fc.property(input, (i) => {
        const front = crankPlan({ ...i, view: 'front' }).steps;
        const rear = crankPlan({ ...i, view: 'rear' }).steps;
        expect(rear.map((s) => s.degrees)).toEqual(front.map((s) => s.degrees));
        expect(rear.every((s, k) => s.turn !== front[k]!.turn)).toBe(true);
      })
    );
  });

  it('names every TDC on the way and none that it starts or ends on', () => {
    const base = {
      cycleDeg: 720 as const,
      strokeKnown: true,
      approach: 'forward' as const,
      backlashDeg: 10,
      lastMove: 'forward' as const,
      runningDirection: 'cw' as const,
      view: 'front' as const
    };
    expect(crankPlan({ ...base, currentDeg: 350, targetDeg: 10 }).steps[0]!.passes).toEqual([360, 0]);
    expect(crankPlan({ ...base, currentDeg: 0, targetDeg: 360 }).steps[0]!.passes).toEqual([]);
  });
});

describe('strokes', () => {
  it('each cylinder of an even engine fires once in a cycle, in the order given', () => {
    const order = [1, 5, 3, 6, 2, 4];
    const seen = order.map((_, k) => cycleState({ cycleDeg: 720, firingOrder: order, crankDeg: k * 120 }).next);
    expect(seen.map((s) => s.cylinder)).toEqual(order);
    expect(seen.every((s) => s.inDeg === 0)).toBe(true);
  });

  it('a sign and its opposite move the odds the right way, in any order', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...signKinds), { minLength: 1 }),
        fc.array(fc.boolean(), { minLength: 7, maxLength: 7 }),
        (kinds, seen) => {
          const evidence = kinds.map((kind, k) => ({ kind, seen: seen[k]! }));
          const p = cycleEvidence({ evidence, prior: 0.5 }).pCompression;
          expect(cycleEvidence({ evidence: [...evidence].reverse(), prior: 0.5 }).pCompression).toBeCloseTo(p, 12);
          if (seen.slice(0, kinds.length).every(Boolean)) expect(p).toBeGreaterThan(0.85);
          if (seen.slice(0, kinds.length).every((x) => !x)) expect(p).toBeLessThan(0.25);
        }
      )
    );
  });
});

describe('degree scale', () => {
  it('an angle measured from its own arc or chord is that angle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 800, noNaN: true }),
        fc.integer({ min: -179, max: 179 }),
        (diameterMm, d) => {
          const { ticks } = wheelTicks({ diameterMm, fromDeg: d, toDeg: d, stepDeg: 1 });
          expect(wheelMeasure({ diameterMm, arcMm: ticks[0]!.arcMm }).deg).toBeCloseTo(d, 8);
          expect(wheelMeasure({ diameterMm, chordMm: ticks[0]!.chordMm }).deg).toBeCloseTo(d, 6);
        }
      )
    );
  });
});
