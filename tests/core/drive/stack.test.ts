import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runCalc } from '$core/index.ts';
import { gearCompare } from '$core/calculations/gear/gear-compare.ts';
import { driveGearReindex } from '$core/calculations/drive/drive-gear-reindex.ts';
import { driveWander } from '$core/calculations/drive/drive-wander.ts';
import { meshPattern } from '$core/calculations/mesh/mesh-pattern.ts';
import { stackPick } from '$core/calculations/stack/stack-pick.ts';
import { stackEndFloat } from '$core/calculations/stack/stack-end-float.ts';
import { stackEngagement } from '$core/calculations/stack/stack-engagement.ts';
import { stackMove } from '$core/calculations/stack/stack-move.ts';
import { stackThermal } from '$core/calculations/stack/stack-thermal.ts';
import { verdict } from '$core/calculations/verdict/verdict.ts';

describe('choosing shims', () => {
  const tray = fc
    .array(
      fc.record({
        thicknessMm: fc.integer({ min: 5, max: 60 }),
        count: fc.integer({ min: 0, max: 3 }),
        u: fc.integer({ min: 0, max: 5 })
      }),
      { minLength: 0, maxLength: 5 }
    )
    .map((all) =>
      all.map((t, k) => ({ id: `p${k}`, thicknessMm: t.thicknessMm / 100, uMm: t.u / 1000, count: t.count }))
    );

  /** Every multiset by counting, ranked by the words of the rule: the slow twin. */
  function slow(
    current: number,
    uMm: number,
    spec: { minMm: number; maxMm: number },
    sense: 1 | -1,
    all: { id: string; thicknessMm: number; uMm: number; count: number }[],
    max: number
  ) {
    let sets: string[][] = [[]];
    for (const piece of all) {
      const next: string[][] = [];
      for (const s of sets)
        for (let n = 0; n <= piece.count && s.length + n <= max; n++)
          next.push([...s, ...Array<string>(n).fill(piece.id)]);
      sets = next;
    }
    const by = new Map(all.map((t) => [t.id, t]));
    const target = (spec.minMm + spec.maxMm) / 2;
    return sets
      .map((ids) => {
        const result = current + sense * ids.reduce((t, id) => t + by.get(id)!.thicknessMm, 0);
        // pieces of one size were measured once: their errors add up
        const of = (id: string) => ids.filter((x) => x === id).length * by.get(id)!.uMm;
        const u = Math.sqrt([...new Set(ids)].reduce((t, id) => t + of(id) ** 2, uMm ** 2));
        return {
          ids,
          p: Math.round(verdict(result, u, spec.minMm, spec.maxMm).pInSpec * 1e6),
          off: Math.abs(result - target)
        };
      })
      .sort(
        (a, b) =>
          b.p - a.p ||
          a.ids.length - b.ids.length ||
          (Math.abs(a.off - b.off) > 1e-9 ? a.off - b.off : 0) ||
          (a.ids.join('\0') < b.ids.join('\0') ? -1 : 1)
      );
  }

  it('ranks as trying everything does', () => {
    fc.assert(
      fc.property(
        tray,
        fc.integer({ min: -40, max: 60 }),
        fc.constantFrom(1 as const, -1 as const),
        fc.integer({ min: 0, max: 3 }),
        (all, current, sense, max) => {
          const spec = { minMm: 0.08, maxMm: 0.2 };
          const picks = stackPick({
            currentMm: current / 100,
            uMm: 0.01,
            spec,
            sense,
            tray: all,
            maxPieces: max
          }).picks;
          expect(picks.map((p) => p.ids)).toEqual(
            slow(current / 100, 0.01, spec, sense, all, max)
              .slice(0, 5)
              .map((s) => s.ids)
          );
        }
      )
    );
  });

  it('takes a piece away from the float on a shaft, adds it under a pedestal', () => {
    const i = {
      currentMm: 0.5,
      uMm: 0,
      spec: { minMm: 0.1, maxMm: 0.2 },
      tray: [{ id: 'a', thicknessMm: 0.35, uMm: 0, count: 1 }],
      maxPieces: 3
    };
    const down = stackPick({ ...i, sense: -1 });
    expect(down.idealMm).toBeCloseTo(0.35);
    expect(down.picks[0]).toMatchObject({ ids: ['a'], verdict: { state: 'in' } });
    expect(stackPick({ ...i, sense: 1 }).picks[0]!.ids).toEqual([]);
  });

  it('refuses a tray that names a piece twice, and one open limit without a target', () => {
    const base = { currentMm: 0, uMm: 0, spec: { minMm: 0, maxMm: 1 }, sense: 1, tray: [] };
    const piece = { id: 'a', thicknessMm: 1, uMm: 0, count: 1 };
    expect(runCalc('stack.pick', { ...base, tray: [piece, piece] })).toMatchObject({ error: { code: 'bad-input' } });
    expect(runCalc('stack.pick', { ...base, spec: { minMm: 0, maxMm: null } })).toMatchObject({
      error: { path: 'spec.targetMm' }
    });
  });
});

describe('the stack', () => {
  const blade = { resolution: 0.01, accuracy: 0.01 };
  it('is clamped when the gap is as large as the washer', () => {
    const f = stackEndFloat({
      washerMm: [1],
      washerGauge: blade,
      gaps: [[0.5, 0.5]],
      bladeGauge: blade,
      spec: { minMm: 0.1, maxMm: null }
    });
    expect(f).toMatchObject({ floatMm: 0, preloaded: true, verdict: { state: 'out' } });
  });

  it('counts every stacked blade’s own doubt', () => {
    const one = stackEndFloat({
      washerMm: [1],
      washerGauge: blade,
      gaps: [[0.8]],
      bladeGauge: blade,
      spec: { minMm: null, maxMm: null }
    });
    const two = stackEndFloat({
      washerMm: [1],
      washerGauge: blade,
      gaps: [[0.4, 0.4]],
      bladeGauge: blade,
      spec: { minMm: null, maxMm: null }
    });
    expect(two.floatMm).toBeCloseTo(one.floatMm);
    expect(two.uMm).toBeGreaterThan(one.uMm);
  });

  it('moves engagement and clearance against each other, whatever is changed', () => {
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), (deeper) => {
        const base = {
          lengthMm: 60,
          depthToDriveMm: 50,
          featureOffsetMm: 2,
          slotDepthMm: 9,
          minEngagementMm: 4,
          uMm: { length: 0, depth: 0, offset: 0, gasket: 0 }
        };
        const before = stackEngagement({ ...base, gasketMm: 4 });
        const after = stackEngagement({ ...base, gasketMm: 4 - deeper });
        const moved = stackMove({
          deeperMm: deeper,
          engagementMm: before.engagementMm,
          clearanceMm: before.clearanceMm!,
          contactFraction: 0.5,
          faceWidthMm: 10,
          leadMm: 80
        });
        expect(moved.engagementMm).toBeCloseTo(after.engagementMm, 9);
        expect(moved.clearanceMm).toBeCloseTo(after.clearanceMm!, 9);
        expect(moved.rotorTwistDeg).toBeCloseTo(4.5 * deeper, 9);
      })
    );
  });

  it('gains and loses the same growth in the two arrangements', () => {
    const i = {
      lengthMm: 80,
      housing: 'aluminium' as const,
      shaft: 'steel' as const,
      coldC: 20,
      hotC: 90,
      coldFloatMm: 0.2
    };
    const trapped = stackThermal({ ...i, arrangement: 'shaft-in-housing' });
    const embraced = stackThermal({ ...i, arrangement: 'housing-between-collars' });
    expect(trapped.growthMm).toBeCloseTo(0.06384, 9);
    expect(trapped.hotFloatMm - 0.2).toBeCloseTo(0.2 - embraced.hotFloatMm, 12);
  });
});

describe('gears', () => {
  it('says deeper by what brings the patch to the middle', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 100 }), (a, b) => {
        const [low, high] = [Math.min(a, b) / 10, Math.max(a, b) / 10];
        const p = meshPattern({ contactLowMm: low, contactHighMm: high, faceWidthMm: 10, tolerance: 0.1 });
        const again = meshPattern({
          contactLowMm: 5 - (high - low) / 2,
          contactHighMm: 5 + (high - low) / 2,
          faceWidthMm: 10,
          tolerance: 0.1
        });
        expect((low + high) / 2 + p.deeperMm).toBeCloseTo(5, 9);
        expect(again.state).toBe('centred');
        expect(p.state === 'low').toBe(p.centreFraction < 0.4 - 1e-9);
      })
    );
  });

  it('lets nothing wander without float and backlash, and in proportion to them', () => {
    const i = { helixAngleDeg: 40, pitchDiameterMm: 30, ratio: 0.5 };
    expect(driveWander({ ...i, endFloatMm: 0, backlashMm: 0 }).totalCrankDeg).toBe(0);
    const one = driveWander({ ...i, endFloatMm: 0.2, backlashMm: 0.1 });
    const two = driveWander({ ...i, endFloatMm: 0.4, backlashMm: 0.2 });
    expect(two.totalCrankDeg).toBeCloseTo(2 * one.totalCrankDeg, 12);
  });

  it('shifts nothing when turned by whole teeth, half a pitch by half a turn of an odd gear', () => {
    expect(driveGearReindex({ teeth: 12, rotateDeg: 180, ratio: 0.5 }).rotorShiftDeg).toBeCloseTo(0, 12);
    expect(driveGearReindex({ teeth: 13, rotateDeg: 180, ratio: 0.5 })).toMatchObject({
      rotorShiftDeg: 180 / 13,
      crankDeg: 360 / 13
    });
    expect(driveGearReindex({ teeth: 13, rotateDeg: -180, ratio: 0.5 }).rotorShiftDeg).toBeCloseTo(180 / 13, 12);
  });

  it('stops what cannot run together, says what was not compared, and always sends to the cam’s maker', () => {
    const gear = { teeth: 13, hand: 'right' as const, moduleMm: 2 };
    const same = gearCompare({
      old: gear,
      new: { ...gear, moduleMm: undefined, dp: 12.7 },
      camMaterial: 'steel',
      gearMaterial: 'nitrided-iron'
    });
    expect(same).toEqual({ ok: true, findings: [{ code: 'confirm-with-cam-maker', severity: 'note' }] });
    const wrong = gearCompare({
      old: gear,
      new: { ...gear, teeth: 12, hand: 'left' },
      camMaterial: 'cast-iron',
      gearMaterial: 'hardened-steel'
    });
    expect(wrong.findings.filter((f) => f.severity === 'stop').map((f) => f.code)).toEqual([
      'teeth-differ',
      'hand-differs',
      'material-clash'
    ]);
    expect(
      gearCompare({ old: {}, new: {}, camMaterial: 'steel', gearMaterial: 'bronze' }).findings.map((f) => f.code)
    ).toEqual([
      'not-compared:teeth',
      'not-compared:hand',
      'not-compared:module',
      'sacrificial-gear',
      'confirm-with-cam-maker'
    ]);
  });
});
