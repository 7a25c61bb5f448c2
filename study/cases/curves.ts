import { curveFit } from '../../src/core/calculations/curve/curve-fit.ts';
import { curveSwapSprings } from '../../src/core/calculations/curve/curve-swap-springs.ts';
import { springRate } from '../../src/core/calculations/spring/spring-rate.ts';
import { plainU, reader, times, told, type Case, type HandedGauge, type Trial } from '../trial.ts';

const TACHO: HandedGauge = { step: 10, accuracy: 20, scatter: 5 };

/** A sweep up over one ramp: what its fit says of initial, total, start, full and slope. */
function sweep(name: string, strobe: HandedGauge, speeds: readonly number[]): Case {
  return {
    group: 'curve.fit',
    name,
    measure: (c) => {
      const [start, full] = [1000 + c.within(100), 2600 + c.within(100)];
      const [low, high] = [8 + c.within(1), 32 + c.within(1)];
      const truth = (rpm: number) => low + (high - low) * Math.min(1, Math.max(0, (rpm - start) / (full - start)));
      const [readDeg, readRpm] = [reader(c, strobe), reader(c, TACHO)];
      const points = speeds.map((s) => {
        const at = s + c.within(40);
        return { rpm: readRpm(at), deg: readDeg(truth(at)) };
      });
      // a job asks for a second ramp only from twelve points on
      const fit = curveFit({
        points,
        maxRamps: points.length >= 12 ? 2 : 1,
        strobe: told(c, strobe),
        tacho: told(c, TACHO)
      });
      if (!fit.ok) throw new Error(fit.error.message);
      const f = fit.out;
      const slope = (a: number, b: number, from: number, to: number) => (1000 * (b - a)) / (to - from);
      const of = (error: number, u: number | null): Trial => ({ error, half: u === null ? null : 2 * u });
      const initial = f.knots[0]!.deg;
      return {
        initial: { ...of(initial - low, f.uInitialDeg), before: 2 * plainU(strobe) },
        total: { ...of(f.fullDeg - high, f.uTotalDeg), before: 2 * plainU(strobe) },
        start: of(f.startRpm - start, f.uStartRpm),
        full: of(f.fullRpm - full, f.uFullRpm),
        slope: of(slope(initial, f.fullDeg, f.startRpm, f.fullRpm) - slope(low, high, start, full), f.uSlope)
      };
    }
  };
}

const G = 9.80665e-3;
/** A spring rated by weights: its rate, and its pull at rest. */
function rated(loads: readonly number[]): Case {
  const rule: HandedGauge = { step: 0.01, accuracy: 0, scatter: 0.1 };
  return {
    group: 'spring.rate',
    name: `${loads.length} weights, lengths scatter 0.1 mm`,
    series: { name: 'a spring by weights', n: loads.length },
    measure: (c) => {
      const [k, free] = [2.2 + c.within(0.7), 25 + c.within(5)];
      const read = reader(c, rule);
      const rest = free + 1.5;
      const out = springRate({
        loads: loads.map((massG) => ({ massG, lengthMm: read(free + (massG * G) / k) })),
        lengthGauge: told(c, rule),
        installedLengthMm: read(rest)
      });
      if (!out.ok) throw new Error(out.error.message);
      const { rateNPerMm, uRate, installedForceN, uInstalledForceN } = out.out;
      return {
        rate: { error: rateNPerMm - k, half: uRate === null ? null : 2 * uRate },
        'pull at rest': {
          error: installedForceN! - k * 1.5,
          half: uInstalledForceN == null ? null : 2 * uInstalledForceN
        }
      };
    }
  };
}

/** Other springs from a measured curve: the speed at which six degrees are in. */
const swapped: Case = {
  group: 'curve.swapSprings',
  name: 'springs known to 3 % and 0.15 N, speeds to 15 rpm',
  measure: (c) => {
    const [ext, uRate, uForce, uSpeed] = [0.1, 0.03, 0.15, 15];
    const spring = (rateNPerMm: number, preloadN: number) => ({
      is: { rateNPerMm, preloadN },
      said: {
        rateNPerMm: rateNPerMm * (1 + c.normal(uRate)),
        preloadN: preloadN + c.normal(uForce),
        uRateNPerMm: uRate * rateNPerMm,
        uPreloadN: uForce
      }
    });
    const from = [spring(2.1, 2.9), spring(2.5, 2.4)];
    const to = [spring(2.7, 4.1), spring(3.1, 3.4)];
    const force = (pair: typeof from, deg: number) =>
      pair.reduce((t, s) => t + s.is.preloadN + s.is.rateNPerMm * ext * deg, 0);
    const speed = (deg: number, pair: typeof from) =>
      1000 * Math.sqrt(force(pair, deg) / force(from, 0)) * (1 + 0.02 * deg);
    const off = c.normal(uSpeed);
    const out = curveSwapSprings({
      baseline: times(13, (deg) => ({ rpm: speed(deg, from) + off, deg })),
      from: from.map((s) => s.said),
      to: to.map((s) => s.said),
      extensionMmPerDeg: ext,
      stopDeg: 12,
      uBaselineRpm: uSpeed
    });
    if (!out.ok) throw new Error(out.error.message);
    const at = out.out.points.find((p) => Math.abs(p.deg - 6) < 1e-9)!;
    return { 'speed at 6°': { error: at.rpm - speed(6, to), half: at.uRpm === undefined ? null : 2 * at.uRpm } };
  }
};

const DENSE = times(16, (k) => 600 + 200 * k);
export const curves: Case[] = [
  sweep('strobe by a hand of 0.5°, 16 points', { step: 0.1, accuracy: 0.2, scatter: 0.5 }, DENSE),
  sweep('strobe of whole degrees, 16 points', { step: 1, accuracy: 0.5, scatter: 0.3 }, DENSE),
  sweep(
    'strobe by a hand of 0.5°, 8 points',
    { step: 0.1, accuracy: 0.2, scatter: 0.5 },
    [700, 900, 1300, 1700, 2100, 2500, 2900, 3300]
  ),
  rated([500, 2500]),
  rated([500, 1500, 2500]),
  rated([400, 800, 1200, 1600, 2000, 2400]),
  swapped
];
