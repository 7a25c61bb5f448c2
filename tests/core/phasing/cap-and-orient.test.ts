import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mod } from '$core/numerics/angles.ts';
import { runCalc } from '$core/index.ts';
import { capMap } from '$core/calculations/cap/cap-map.ts';
import { driveOrient } from '$core/calculations/drive/drive-orient.ts';

const orders = [
  [1, 2, 4, 3],
  [1, 3, 4, 2],
  [1, 5, 3, 6, 2, 4],
  [1, 8, 4, 3, 6, 5, 7, 2],
  [1, 3, 2]
];
const anyOrder = fc.constantFrom(...orders);
const sense = fc.constantFrom('cw' as const, 'ccw' as const);

describe('cap.map', () => {
  const right = (order: number[], dir: 'cw' | 'ccw') => {
    const s = dir === 'cw' ? 1 : -1;
    return order.map((_, k) => order[mod(s * k, order.length)]!);
  };
  it('finds a rightly wired cap right, whatever the order and the sense', () => {
    fc.assert(
      fc.property(anyOrder, sense, (firingOrder, rotorDirection) => {
        const m = capMap({ firingOrder, rotorDirection, wires: right(firingOrder, rotorDirection) });
        expect(m.cause).toBe('right');
        expect(m.wrong).toEqual([]);
      })
    );
  });
  it('names any turn of all leads, half a cycle as such', () => {
    fc.assert(
      fc.property(anyOrder, sense, fc.integer({ min: 1, max: 7 }), (firingOrder, rotorDirection, by) => {
        const n = firingOrder.length;
        const places = by % n;
        fc.pre(places > 0);
        const good = right(firingOrder, rotorDirection);
        const s = rotorDirection === 'cw' ? 1 : -1;
        const wires = good.map((_, k) => good[mod(k - places * s * (rotorDirection === 'cw' ? 1 : -1), n)]!);
        const m = capMap({ firingOrder, rotorDirection, wires });
        expect(['half-cycle-out', 'one-place-round', 'shifted']).toContain(m.cause);
        expect(m.cause === 'half-cycle-out').toBe(m.places * 2 === n);
        expect(m.wrong).toHaveLength(n);
      })
    );
  });
  it('names any exchange of two leads by their cylinders, or the order laid the other way when that is the same thing', () => {
    fc.assert(
      fc.property(anyOrder, sense, fc.nat(7), fc.nat(7), (firingOrder, rotorDirection, a, b) => {
        const n = firingOrder.length;
        const [i, j] = [a % n, b % n];
        fc.pre(i !== j);
        const wires = right(firingOrder, rotorDirection);
        [wires[i], wires[j]] = [wires[j]!, wires[i]!];
        const m = capMap({ firingOrder, rotorDirection, wires });
        if (m.cause === 'two-swapped') expect([...m.swapped!].sort()).toEqual([wires[i], wires[j]].sort());
        else expect(m.cause).toBe('wrong-direction');
      })
    );
  });
  it('is mixed when nothing single explains it, and refuses a cylinder named twice', () => {
    const m = capMap({ firingOrder: [1, 5, 3, 6, 2, 4], rotorDirection: 'cw', wires: [1, 3, 5, 6, 4, 2] });
    expect(m.cause).toBe('mixed');
    const twice = runCalc('cap.map', { firingOrder: [1, 2, 4, 3], rotorDirection: 'cw', wires: [1, 1, 4, 3] });
    expect(!twice.ok && twice.error.code).toBe('bad-input');
  });
});

describe('drive.orient', () => {
  const input = fc.record({
    rotorDirection: sense,
    ratio: fc.constantFrom(0.5, 1),
    gearTeeth: fc.integer({ min: 5, max: 30 }),
    observed: fc.record({
      bearingDeg: fc.integer({ min: 0, max: 359 }),
      crankDeg: fc.integer({ min: -360, max: 360 })
    }),
    targetCrankDeg: fc.integer({ min: -30, max: 10 }),
    wantedBearingDeg: fc.integer({ min: 0, max: 359 }),
    symmetryDeg: fc.constantFrom(180, 360),
    tieDeg: fc.constant(0)
  });
  it('leaves no tooth that would stand nearer, and never more than half a tooth off', () => {
    fc.assert(
      fc.property(input, (i) => {
        const o = driveOrient(i);
        const nearest = Math.min(...o.choices.map((c) => Math.abs(c.offDeg)));
        expect(Math.abs(o.best.offDeg)).toBeCloseTo(nearest, 6);
        expect(Math.abs(o.best.offDeg)).toBeLessThanOrEqual(180 / i.gearTeeth + 1e-6);
        expect(o.choices).toHaveLength(i.gearTeeth);
        expect(o.best.crankDeg).toBeCloseTo(Math.abs(o.best.offDeg) / i.ratio, 9);
      })
    );
  });
  it('of two equal teeth takes the one whose error the housing cures with the rotor, keeping room to advance', () => {
    // ten teeth, 36° apart; wanted lies in the middle between two
    const at = {
      ratio: 0.5,
      gearTeeth: 10,
      observed: { bearingDeg: 100, crankDeg: 0 },
      targetCrankDeg: 0,
      symmetryDeg: 360,
      tieDeg: 0
    };
    const cw = driveOrient({ ...at, rotorDirection: 'cw', wantedBearingDeg: 118 });
    expect(cw.tie).toBe(true);
    expect(cw.best.offDeg).toBeCloseTo(18, 9);
    const ccw = driveOrient({ ...at, rotorDirection: 'ccw', wantedBearingDeg: 118 });
    expect(ccw.best.offDeg).toBeCloseTo(-18, 9);
  });
  it('is the same slot half a turn on when the slot is plain, and not when it is offset', () => {
    const at = {
      rotorDirection: 'cw' as const,
      ratio: 0.5,
      gearTeeth: 12,
      observed: { bearingDeg: 250, crankDeg: 0 },
      targetCrankDeg: 0,
      wantedBearingDeg: 70,
      tieDeg: 0
    };
    expect(driveOrient({ ...at, symmetryDeg: 180 }).best.toothStep).toBe(0);
    expect(Math.abs(driveOrient({ ...at, symmetryDeg: 360 }).best.toothStep)).toBe(6);
  });
});
