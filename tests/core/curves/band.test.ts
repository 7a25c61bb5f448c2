import { describe, expect, it } from 'vitest';
import { curveSwapSprings, type SwappedCurve } from '$core/calculations/curve/curve-swap-springs.ts';
import { springRate } from '$core/calculations/spring/spring-rate.ts';
import { advanceOf, bandOfPrediction, toldApart } from '$core/domains/recurve/prediction-band.ts';
import { predict, springOf } from '$core/domains/recurve/recurve-work.ts';
import { chances } from '../../../study/chances.ts';
import { CURVE, found, part, sweep } from '../../support/curve-jobs.ts';
import { engineWith } from '../../support/played.ts';

const baseline = [
  { rpm: 900, deg: 0 },
  { rpm: 2700, deg: 22 }
];
const known = { uRateNPerMm: 0.03, uPreloadN: 0.05 };
const from = [
  { rateNPerMm: 1.9, preloadN: 2.6, ...known },
  { rateNPerMm: 3.4, preloadN: 0.4, ...known }
];
const swap = (to: { rateNPerMm: number; preloadN: number }[], more: object = {}): SwappedCurve => {
  const out = curveSwapSprings({ baseline, from, to, extensionMmPerDeg: 0.11, stopDeg: 20, uBaselineRpm: 20, ...more });
  if (!out.ok) throw new Error(out.error.message);
  return out.out;
};
const pair = (preloadN: number) => [
  { rateNPerMm: 0.8, preloadN: 1.1, ...known },
  { rateNPerMm: 1.3, preloadN, ...known }
];

describe('the band of a predicted curve', () => {
  it('is not claimed while a spring is not known well', () => {
    expect(bandOfPrediction(swap([{ rateNPerMm: 0.8, preloadN: 1.1 }, from[0]!]))).toBeNull();
    expect(bandOfPrediction(swap(pair(2.1), { uBaselineRpm: undefined }))).toBeNull();
  });
  it('lies round the curve, and is nothing below the start and at the stop', () => {
    const c = swap(pair(2.1));
    const band = bandOfPrediction(c)!;
    for (const rpm of [900, 1200, 1600, 2000]) {
      const { least, most } = band(rpm);
      expect(least).toBeLessThanOrEqual(advanceOf(c, rpm));
      expect(most).toBeGreaterThanOrEqual(advanceOf(c, rpm));
    }
    expect(band(1600).most - band(1600).least).toBeGreaterThan(0.3);
    expect(band(300)).toEqual({ least: 0, most: 0 });
    expect(band(5000)).toEqual({ least: 20, most: 20 });
  });
  it('holds the true curve of springs that were rated with an error, nearly always', () => {
    const c = chances(20261);
    const off = (s: (typeof from)[number]) => ({
      ...s,
      rateNPerMm: s.rateNPerMm + 0.03 * c.normal(1),
      preloadN: s.preloadN + 0.05 * c.normal(1)
    });
    const truth = swap(pair(2.1));
    let held = 0;
    const trials = 400;
    for (let k = 0; k < trials; k++) {
      const shift = 20 * c.normal(1);
      const said = curveSwapSprings({
        baseline: baseline.map((p) => ({ ...p, rpm: p.rpm + shift })),
        from: from.map(off),
        to: pair(2.1).map(off),
        extensionMmPerDeg: 0.11,
        stopDeg: 20,
        uBaselineRpm: 20
      });
      if (!said.ok) continue;
      const { least, most } = bandOfPrediction(said.out)!(1700);
      const is = advanceOf(truth, 1700);
      if (is >= least && is <= most) held++;
    }
    expect((100 * held) / trials).toBeGreaterThan(92);
    expect((100 * held) / trials).toBeLessThan(99.5);
  });
  it('comes to a job from its own sweep, the data sheet and the tray', () => {
    const rated = found({ ...CURVE, springsRatePm: '0.04', springsForcePm: '0.08' });
    const gauge = { id: 's', name: 'S', resolution: 0.5, accuracy: 0.5, scatter: 0.3, scatterDof: 20 };
    const job = sweep(rated, 'baseline', [], gauge);
    const { recurve, sweeps } = job.state.work;
    expect(recurve.from![0]).toMatchObject({ uRateNPerMm: 0.02, uPreloadN: 0.04 });
    const ours = part('S-03', { rateNPerMm: 0.8, preloadN: 1.1, uRate: 0.02, uPreload: 0.04 });
    expect(springOf(ours)).toEqual({ rateNPerMm: 0.8, preloadN: 1.1, uRateNPerMm: 0.02, uPreloadN: 0.04 });
    const c = predict({ ...sweeps[0]!, uBaselineRpm: 25 }, recurve, [ours, ours], 20);
    expect(c?.ok && bandOfPrediction(c.out)).not.toBeNull();
    const plain = found();
    const none = predict({ ...sweeps[0]!, uBaselineRpm: 25 }, plain.state.work.recurve, [ours, ours], 20);
    expect(none?.ok && bandOfPrediction(none.out)).toBeNull();
    expect(engineWith(CURVE).values['springsRatePm']).toBeUndefined();
  });
});

describe('a sweep whose speeds', () => {
  const swept = (tacho: boolean) => {
    const job = found();
    const gauge = {
      id: 't',
      name: 'T',
      kind: 'tacho' as const,
      resolution: 10,
      accuracy: 20,
      scatter: 5,
      scatterDof: 20
    };
    for (const r of job.log) if (r.kind === 'reading' && r.slot === 'sweep-rpm') r.gauge = tacho ? gauge : null;
    return job.state.work.sweeps[0]!;
  };
  it('were read with a gauge nobody named says nothing of how sure its speeds are', () => {
    const { fit, uBaselineRpm } = swept(false);
    expect([fit!.uStartRpm, fit!.uFullRpm, fit!.uSlope, uBaselineRpm]).toEqual([null, null, null, null]);
    expect(fit!.uTotalDeg).not.toBeNull();
  });
  it('were read with a tachometer are no surer than it', () => {
    const { fit, uBaselineRpm } = swept(true);
    expect(fit!.uStartRpm!).toBeGreaterThan(20 / Math.sqrt(3) - 1e-9);
    expect(uBaselineRpm).toBe(Math.max(fit!.uStartRpm!, fit!.uFullRpm!));
  });
});

describe('two picks', () => {
  const pick = (preloadN: number, initialBtdc = 9) => ({
    curve: swap(pair(preloadN), { uBaselineRpm: 0 }),
    initialBtdc
  });
  it('that differ by less than their springs are in doubt cannot be told apart', () => {
    expect(toldApart(pick(2.1), pick(2.12), [900, 1500, 2000])).toBe(false);
  });
  it('that differ by more can, by springs or by their initial timing', () => {
    expect(toldApart(pick(2.1), pick(3.2), [900, 1500, 2000])).toBe(true);
    expect(toldApart(pick(2.1), pick(2.1, 11), [900, 1500, 2000])).toBe(true);
  });
  it('are not compared where nobody knows how well the springs are rated', () => {
    const bare = { curve: swap([{ rateNPerMm: 0.8, preloadN: 1.1 }, from[0]!]), initialBtdc: 9 };
    expect(toldApart(bare, pick(2.1), [1500])).toBeNull();
  });
});

describe('a spring’s force at rest', () => {
  it('is less sure the further its rest lies from the lengths it was rated at', () => {
    const loads = [
      { massG: 100, lengthMm: 14.2 },
      { massG: 400, lengthMm: 16 },
      { massG: 700, lengthMm: 17.9 }
    ];
    const u = (installedLengthMm: number) => {
      const out = springRate({ loads, installedLengthMm });
      return out.ok ? out.out.uInstalledForceN! : NaN;
    };
    expect(u(16)).toBeGreaterThan(0);
    expect(u(12)).toBeGreaterThan(1.2 * u(16));
    const two = springRate({ loads: loads.slice(0, 2), installedLengthMm: 15 });
    expect(two.ok && two.out.uInstalledForceN).toBeNull();
  });
});
