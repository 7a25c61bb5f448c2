import { dropMm, dropSlope, slider, type Slider } from '../../src/core/calculations/piston/slider.ts';
import { tdcFit } from '../../src/core/calculations/tdc/tdc-fit.ts';
import { tdcPairs } from '../../src/core/calculations/tdc/tdc-pairs.ts';
import { wrap180 } from '../../src/core/numerics/angles.ts';
import { mean, sampleSd } from '../../src/core/numerics/statistics.ts';
import type { Chances } from '../chances.ts';
import { plainU, reader, times, told, type Case, type HandedGauge } from '../trial.ts';

const ENGINE = { strokeMm: 87, rodMm: 149 };
const made = slider(ENGINE);
if (!made.ok) throw new Error(made.error.message);
const S: Slider = made.out;

/** The angle on one side of the top at which the piston stands so deep, by Newton's steps. */
function angleAt(drop: number, near: number): number {
  let t = near;
  for (let k = 0; k < 8; k++) t -= (dropMm(S, t) - drop) / dropSlope(S, t);
  return t;
}

/** Dial with a fixed error: the same on both sides, or one that lags and turns its sign with the piston's way. */
interface Dial extends HandedGauge {
  lags?: boolean;
}
const offsets = (c: Chances, d: Dial): [number, number] => {
  const off = c.within(d.accuracy);
  return d.lags ? [off, -off] : [off, off];
};

/** Wheel readings before and after at one dial figure; the wheel's fixed error is that of each graduation. */
export function pairsOf(c: Chances, wheel: HandedGauge, dial: Dial, angle: number, n: number, zero: number) {
  const drop = c.step(dropMm(S, -angle), dial.step || 1e-6);
  const lag = offsets(c, dial);
  const off = [c.within(wheel.accuracy), c.within(wheel.accuracy)];
  return times(n, () => {
    const [before, after] = [-1, 1].map((side, k) => {
      const there = angleAt(Math.max(drop + lag[k]! + c.within(dial.step / 2), 0.02), side * angle);
      const seen = zero + there + off[k]! + (wheel.scatter ? c.normal(wheel.scatter) : 0);
      return wheel.step ? c.step(seen, wheel.step) : seen;
    });
    return { beforeWheelDeg: before!, afterWheelDeg: after!, dropMm: drop };
  });
}

export function topByPairs(c: Chances, wheel: HandedGauge, dial: Dial, angle: number, n: number, zero: number) {
  const pairs = pairsOf(c, wheel, dial, angle + c.within(1.5), n, zero);
  const out = tdcPairs({ pairs, ...ENGINE, wheel: told(c, wheel), dial: told(c, dial) });
  if (!out.ok) throw new Error(out.error.message);
  const slope = Math.abs(dropSlope(S, -angle));
  const fromGauges = Math.hypot(plainU(wheel), plainU(dial) / slope) / Math.SQRT2 / Math.sqrt(n);
  const middles = out.out.perPair.map((p) => wrap180(p.tdcWheelDeg - zero));
  return { ...out.out, before: 2 * Math.max(fromGauges, sampleSd(middles) / Math.sqrt(n)) };
}

function pairs(series: string, wheel: HandedGauge, dial: Dial, angle: number, n: number, allows?: string): Case {
  return {
    group: 'tdc.pairs',
    name: `${series}, ${n} pair${n === 1 ? '' : 's'}`,
    series: { name: series, n },
    ...(allows ? { allows } : {}),
    measure: (c) => {
      const zero = c.within(170);
      const top = topByPairs(c, wheel, dial, angle, n, zero);
      return { top: { error: wrap180(top.tdcWheelDeg - zero), half: 2 * top.uDeg, before: top.before } };
    }
  };
}

const FINE: Dial = { step: 0.01, accuracy: 0.01, scatter: 0 };
const RECTANGLE = 'the step or a fixed error rules: a rectangle or the sum of two';

/** A sweep through the top with the dial left on the piston. */
function fit(series: string, wheel: HandedGauge, dial: Dial, n: number, allows?: string): Case {
  const places = times(n, (k) => -45 + (90 * k) / (n - 1)).map((x) => (Math.abs(x) < 4 ? 4 * (x < 0 ? -1 : 1) : x));
  return {
    group: 'tdc.fit',
    name: `${series}, ${n} readings`,
    series: { name: series, n },
    ...(allows ? { allows } : {}),
    measure: (c) => {
      const zero = c.within(170);
      const lag = offsets(c, dial);
      const start = c.within(30);
      const readWheel = reader(c, wheel);
      const read = places.map((p) => {
        const theta = p + c.within(1.5);
        const d = start - dropMm(S, theta) + lag[theta < 0 ? 0 : 1] + (dial.scatter ? c.normal(dial.scatter) : 0);
        return { wheelDeg: readWheel(zero + theta), dialMm: c.step(d, dial.step) };
      });
      const out = tdcFit({ readings: read, ...ENGINE, dialSense: 1, wheel: told(c, wheel), dial: told(c, dial) });
      if (!out.ok) throw new Error(out.error.message);
      const before = 2 * plainFitU(read, out.out.tdcWheelDeg, wheel, dial);
      return { top: { error: wrap180(out.out.tdcWheelDeg - zero), half: 2 * out.out.uDeg, before } };
    }
  };
}

/** σ²(JᵀJ)⁻¹ with the residuals' own variance, never below the gauges' mean: as it was once reckoned. */
function plainFitU(
  read: readonly { wheelDeg: number; dialMm: number }[],
  top: number,
  wheel: HandedGauge,
  dial: HandedGauge
): number {
  const theta = read.map((r) => wrap180(r.wheelDeg - top));
  const resid = read.map((r, k) => r.dialMm + dropMm(S, theta[k]!));
  const slope = theta.map((t) => dropSlope(S, t));
  const [mr, ms] = [mean(resid), mean(slope)];
  const rss = resid.reduce((t, r) => t + (r - mr) ** 2, 0);
  const a = slope.reduce((t, s) => t + (s - ms) ** 2, 0);
  const gauges = slope.reduce((t, s) => t + plainU(dial) ** 2 + (s * plainU(wheel)) ** 2, 0);
  return Math.sqrt(Math.max(rss / (read.length - 2), gauges / read.length) / a);
}

export const tdc: Case[] = [
  ...[1, 2, 3, 5].map((n) => pairs('fine wheel, hand 0.5°', { step: 0.1, accuracy: 0.1, scatter: 0.5 }, FINE, 30, n)),
  ...[1, 3, 5].map((n) =>
    pairs('wheel of whole degrees', { step: 1, accuracy: 0, scatter: 0.2 }, FINE, 30, n, RECTANGLE)
  ),
  ...[1, 3, 5].map((n) =>
    pairs('graduations off by up to 0.5°', { step: 0.1, accuracy: 0.5, scatter: 0.1 }, FINE, 30, n, RECTANGLE)
  ),
  ...[1, 3, 5].map((n) =>
    pairs(
      'a dial that lags',
      { step: 0.1, accuracy: 0.05, scatter: 0.1 },
      { step: 0.01, accuracy: 0.05, scatter: 0, lags: true },
      15,
      n,
      RECTANGLE
    )
  ),
  ...[5, 8, 20, 60].map((n) =>
    fit('dial scatters 0.03 mm', { step: 0.1, accuracy: 0, scatter: 0 }, { step: 0.01, accuracy: 0, scatter: 0.03 }, n)
  ),
  ...[20, 60].map((n) =>
    fit('wheel by a hand of 0.5°', { step: 0.5, accuracy: 0, scatter: 0.5 }, { ...FINE, accuracy: 0 }, n)
  ),
  ...[20, 60].map((n) =>
    fit(
      'a dial that lags',
      { step: 0.1, accuracy: 0, scatter: 0.1 },
      { step: 0.01, accuracy: 0.05, scatter: 0.01, lags: true },
      n,
      RECTANGLE
    )
  )
];
