import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { flywheelMarks } from '$core/calculations/flywheel/flywheel-marks.ts';
import { magnetoCoupling } from '$core/calculations/magneto/magneto-coupling.ts';
import { magnetoLag } from '$core/calculations/magneto/magneto-lag.ts';
import { pumpChart } from '$core/calculations/pump/pump-chart.ts';
import { pumpCorrect } from '$core/calculations/pump/pump-correct.ts';
import { pumpPhasing } from '$core/calculations/pump/pump-phasing.ts';
import { pumpTotal } from '$core/calculations/pump/pump-total.ts';
import { throttleStop } from '$core/calculations/throttle/throttle-stop.ts';
import { pchip } from '$core/numerics/pchip.ts';

const rising = fc
  .array(fc.tuple(fc.double({ min: 0.2, max: 5, noNaN: true }), fc.double({ min: 0.01, max: 1, noNaN: true })), {
    minLength: 3,
    maxLength: 30
  })
  .map((steps) => {
    let [btdc, liftMm] = [0, 0];
    return steps.map(([x, y]) => ({ btdc: (btdc += x), liftMm: (liftMm += y) }));
  });

describe('a pump’s chart', () => {
  it('goes through its points, never turns between them, and a lift read back gives its timing', () => {
    fc.assert(
      fc.property(rising, fc.double({ min: 0, max: 1, noNaN: true }), (points, share) => {
        const at = (more: { btdc: number } | { liftMm: number }) =>
          pumpChart({ chart: { pumpCode: 'a-1', points }, pumpCode: 'A1', ...more });
        for (const p of points) {
          const read = at({ btdc: p.btdc });
          expect(read.ok && read.out.liftMm).toBeCloseTo(p.liftMm, 9);
        }
        const [first, last] = [points[0]!, points[points.length - 1]!];
        const btdc = first.btdc + share * (last.btdc - first.btdc);
        const lift = at({ btdc });
        if (!lift.ok) throw new Error(lift.error.message);
        expect(lift.out.slopeMmPerDeg).toBeGreaterThanOrEqual(-1e-12);
        // where the curve is all but level a lift says little of the timing
        if (lift.out.slopeMmPerDeg < 1e-3) return;
        const back = at({ liftMm: lift.out.liftMm });
        expect(back.ok && back.out.btdc).toBeCloseTo(btdc, 5);
      }),
      { numRuns: 200 }
    );
  });
  it('of another pump, or of none, is refused before anything else is looked at', () => {
    const none = { pumpCode: ' - ', points: [] };
    expect(pumpChart({ chart: none, pumpCode: '-', btdc: 3 })).toMatchObject({
      ok: false,
      error: { code: 'chart-mismatch' }
    });
  });
  it('reads a straight line straight', () => {
    const line = pchip([0, 1, 3, 4], [0, 2, 6, 8]);
    expect(line.at(2.2)).toEqual({ y: expect.closeTo(4.4, 12), slope: expect.closeTo(2, 12) });
    expect(line.inverse(7)).toBeCloseTo(3.5, 12);
  });
});

describe('what is left of a slot', () => {
  const change = (targetBtdc: number) =>
    pumpCorrect({ measuredBtdc: 12, targetBtdc, ratio: 0.5, boltRadiusMm: 60, slotLeftDeg: { advance: 1, retard: 3 } });
  it('counts for the way it is turned', () => {
    expect(change(14)).toMatchObject({ gearDeg: 1, enough: true });
    expect(change(14.1).enough).toBe(false);
    expect(change(7)).toMatchObject({ changeCrankDeg: -5, gearDeg: 2.5, enough: true });
    expect(change(14).arcMm).toBeCloseTo((60 * Math.PI) / 180, 12);
  });
});

describe('ledgers and spacings', () => {
  it('a gear pressed on where the ledger says leaves nothing short', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 40, noNaN: true }),
        fc.double({ min: -20, max: 40, noNaN: true }),
        (pump, target) => {
          const { crankSetBtdc } = pumpTotal({ pumpBtdc: pump, gearOffsetDeg: 0, targetBtdc: target });
          const done = pumpTotal({ pumpBtdc: pump, gearOffsetDeg: crankSetBtdc, targetBtdc: target });
          expect(done.shortDeg).toBeCloseTo(0, 9);
        }
      )
    );
  });
  it('elements shimmed as they are told lie within half a shim', () => {
    const base = { order: [1, 3, 2], toleranceDeg: 0.5, camVelocityMmPerDeg: 0.25, shimStepMm: 0.05 };
    const off = pumpPhasing({
      ...base,
      angles: [
        { element: 1, pumpDeg: 359 },
        { element: 3, pumpDeg: 120.3 },
        { element: 2, pumpDeg: 238.1 }
      ]
    });
    for (const e of off.elements) {
      const left = e.errorDeg - e.shimChangeMm / base.camVelocityMmPerDeg;
      expect(Math.abs(left)).toBeLessThanOrEqual(base.shimStepMm / 2 / base.camVelocityMmPerDeg + 1e-9);
    }
    expect(off.state).toBe('out');
  });
});

describe('a magneto', () => {
  it('that snaps well before TDC kicks back; one that snaps at TDC does not', () => {
    expect(magnetoLag({ runBtdc: 28, lagDeg: 5, ratio: 0.5 }).kickback).toBe(true);
    expect(magnetoLag({ runBtdc: 20, lagDeg: 10, ratio: 0.5 })).toMatchObject({ snapBtdc: 0, kickback: false });
  });
  it('is moved to the nearest tooth, whichever way it is off', () => {
    for (const offDeg of [-31, -4.9, 0, 5.1, 17]) {
      const { moveTeeth, leftDeg, pitchDeg } = magnetoCoupling({ teeth: 36, offDeg });
      expect(Number.isInteger(moveTeeth) && !Object.is(moveTeeth, -0)).toBe(true);
      expect(Math.abs(leftDeg)).toBeLessThanOrEqual(pitchDeg / 2 + 1e-9);
    }
  });
});

describe('marks of a two-stroke', () => {
  const engine = { strokeMm: 61, rodMm: 119, flywheelDiameterMm: 190, toleranceDeg: 1 };
  it('all shifted alike show no error, one alone shows its own', () => {
    const marks = (third: number) =>
      flywheelMarks({
        ...engine,
        firingOrder: [1, 2, 3],
        btdc: 15,
        measured: [
          { cylinder: 1, wheelDeg: 50 },
          { cylinder: 2, wheelDeg: 170 },
          { cylinder: 3, wheelDeg: third }
        ]
      });
    const alike = marks(290);
    expect(alike.ok && alike.out).toMatchObject({ worstDeg: expect.closeTo(0, 9), state: 'in' });
    const one = marks(292.5);
    expect(one.ok && one.out.marks[2]!.errorDeg).toBeCloseTo(2.5, 9);
    expect(one.ok && one.out.marks[2]!.errorMm).toBeCloseTo((2.5 * Math.PI * 190) / 360, 9);
  });
  it('a drop gives back the angle it was worked out from', () => {
    const by = flywheelMarks({ ...engine, pinOffsetMm: 0.7, firingOrder: [1], btdc: 21 });
    if (!by.ok) throw new Error(by.error.message);
    const back = flywheelMarks({ ...engine, pinOffsetMm: 0.7, firingOrder: [1], dropMm: by.out.dropMm });
    expect(back.ok && back.out.btdc).toBeCloseTo(21, 9);
  });
});

it('a stop screw turned as it is told meets the target', () => {
  const of = (turns: number) => ({ turns, btdc: 18 + 1.7 * turns });
  const told = throttleStop({ readings: [of(0), of(0.5), of(1.25)], targetBtdc: 23 });
  if (!told.ok) throw new Error(told.error.message);
  expect(of(1.25 + told.out.turnsFromLast).btdc).toBeCloseTo(23, 9);
});
