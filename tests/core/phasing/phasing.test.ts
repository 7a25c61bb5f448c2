import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mod, wrap180 } from '$core/numerics/angles.ts';
import { driveEngage } from '$core/calculations/drive/drive-engage.ts';
import { driveIndex } from '$core/calculations/drive/drive-index.ts';
import { driveStab } from '$core/calculations/drive/drive-stab.ts';
import { rotorPhasing } from '$core/calculations/rotor/rotor-phasing.ts';

const turn = fc.constantFrom('cw' as const, 'ccw' as const);

describe('which tooth to drop in on', () => {
  const input = fc.record({
    rotorDirection: turn,
    ratio: fc.constant(0.5),
    gearTeeth: fc.integer({ min: 5, max: 15 }),
    observed: fc.record({
      rotorBearingDeg: fc.integer({ min: 0, max: 359 }),
      crankDeg: fc.integer({ min: -100, max: 700 })
    }),
    targetCrankDeg: fc.integer({ min: -30, max: 10 }),
    terminals: fc.record({
      count: fc.constantFrom(4, 6, 8),
      firstOffsetDeg: fc.integer({ min: 0, max: 359 }),
      anyAsNumberOne: fc.boolean()
    }),
    housing: fc.record({
      minBearingDeg: fc.integer({ min: 0, max: 359 }),
      maxBearingDeg: fc.integer({ min: 0, max: 359 })
    })
  });

  it('gives only places that the housing can take, each with the room it claims', () => {
    fc.assert(
      fc.property(input, (i) => {
        const r = driveIndex(i);
        if (i.housing.minBearingDeg === i.housing.maxBearingDeg) {
          expect(r).toMatchObject({ ok: false, error: { code: 'arc-empty' } });
          return;
        }
        if (!r.ok) throw new Error(r.error.message);
        const arc = mod(i.housing.maxBearingDeg - i.housing.minBearingDeg, 360);
        const s = i.rotorDirection === 'cw' ? 1 : -1;
        for (const c of r.out.candidates) {
          // turned back by its advance room the housing stands at one end of its arc, by its retard room at the other
          const ends = [
            c.housingBearingDeg - s * c.advanceRoomDeg * i.ratio,
            c.housingBearingDeg + s * c.retardRoomDeg * i.ratio
          ];
          const wanted =
            s > 0
              ? [i.housing.minBearingDeg, i.housing.maxBearingDeg]
              : [i.housing.maxBearingDeg, i.housing.minBearingDeg];
          for (const k of [0, 1]) expect(Math.abs(wrap180(ends[k]! - wanted[k]!))).toBeLessThan(1e-6);
          expect(c.advanceRoomDeg + c.retardRoomDeg).toBeCloseTo(arc / i.ratio, 6);
        }
        const scores = r.out.candidates.map((c) => c.score);
        expect(scores.every((x, k) => k === 0 || x <= scores[k - 1]! + 1e-9)).toBe(true);
        expect(r.out.best === null).toBe(r.out.nearest !== null);
        expect(r.out.feasibleCount).toBeGreaterThanOrEqual(r.out.candidates.length);
      })
    );
  });

  it('moves the rotor by whole teeth from where the crank carries it', () => {
    fc.assert(
      fc.property(input, (i) => {
        const r = driveIndex(i);
        if (!r.ok || !r.out.best) return;
        const s = i.rotorDirection === 'cw' ? 1 : -1;
        const carried = i.observed.rotorBearingDeg + s * i.ratio * (i.targetCrankDeg - i.observed.crankDeg);
        const teeth = ((r.out.best.rotorBearingDeg - carried) * i.gearTeeth) / 360;
        expect(Math.abs(teeth - Math.round(teeth))).toBeLessThan(1e-6);
        expect(Math.abs(r.out.best.toothStep)).toBeLessThanOrEqual(i.gearTeeth / 2);
      })
    );
  });
});

describe('letting it down', () => {
  it('ends at the target, turned by the gear’s hand', () => {
    for (const gearHand of ['right', 'left'] as const) {
      const s = driveStab({ gearHand, targetBearingDeg: 10, twistDeg: 25 });
      const end = s.startBearingDeg + (s.dropTurns === 'cw' ? 25 : -25);
      expect(mod(end, 360)).toBeCloseTo(10, 9);
    }
  });
});

describe('the oil-pump drive', () => {
  it('falls in after the crank has carried the tang to the slot, and the two ways end alike', () => {
    fc.assert(
      fc.property(
        turn,
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 0, max: 359 }),
        fc.constantFrom(60, 180, 360),
        fc.integer({ min: 0, max: 719 }),
        (rotorDirection, tang, slot, symmetryDeg, current) => {
          const r = driveEngage({
            rotorDirection,
            ratio: 0.5,
            cycleDeg: 720,
            currentCrankDeg: current,
            targetCrankDeg: -8,
            tangBearingDeg: tang,
            slotBearingDeg: slot,
            symmetryDeg
          });
          const s = rotorDirection === 'cw' ? 1 : -1;
          const left = (a: number) => Math.min(mod(a, symmetryDeg), symmetryDeg - mod(a, symmetryDeg));
          expect(left(tang + s * 0.5 * r.crankToDropDeg - slot)).toBeLessThanOrEqual(0.5 + 1e-9);
          expect(left(slot + r.slotTurnDeg - tang)).toBeLessThanOrEqual(0.5 + 1e-9);
          expect(Math.abs(r.slotTurnDeg)).toBeLessThanOrEqual(symmetryDeg / 2 + 1e-9);
          expect(mod(current + r.totalCrankDeg + 8, 720)).toBeCloseTo(0, 6);
          expect(r.slotTurn === 'none').toBe(r.slotTurnDeg === 0);
        }
      )
    );
  });
});

describe('rotor against terminal', () => {
  const cap = { tipRadiusMm: 30, tipWidthMm: 6, terminalWidthMm: 5, radialGapMm: 0.8, terminals: 6 };
  it('is best with the base offset in the middle of what shifts it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 24, noNaN: true }),
        fc.double({ min: -12, max: 12, noNaN: true }),
        (range, off) => {
          const best = rotorPhasing({ ...cap, baseOffsetDeg: range / 2, shiftRangeDeg: [0, range] });
          const other = rotorPhasing({ ...cap, baseOffsetDeg: range / 2 + off, shiftRangeDeg: [0, range] });
          const worst = (r: typeof best) => Math.min(...r.ends.map((e) => e.overlapMm));
          expect(worst(best)).toBeGreaterThanOrEqual(worst(other) - 1e-9);
          expect(best.bestBaseOffsetDeg).toBeCloseTo(range / 2, 12);
        }
      )
    );
  });
});
