import { gaugeCombine } from '../../src/core/calculations/gauge/gauge-combine.ts';
import { markCheck } from '../../src/core/calculations/mark/mark-check.ts';
import { sampleSd } from '../../src/core/numerics/statistics.ts';
import type { Chances } from '../chances.ts';
import { plainU, reader, times, told, type Case, type HandedGauge } from '../trial.ts';
import { topByPairs } from './tdc.ts';

const FINE = { step: 0.01, accuracy: 0.01, scatter: 0 };

/** A setting by strobe with the mark's error taken off: the wheel zeroed on the mark gives that error by pairs. */
export function settingOf(
  c: Chances,
  strobe: HandedGauge,
  wheel: HandedGauge,
  pairs: number,
  n: number,
  truth: number
) {
  const mark = c.within(6);
  const top = topByPairs(c, wheel, FINE, 30, pairs, -mark);
  const { errorDeg } = markCheck({ markBtdc: -top.errorDeg, uDeg: top.uDeg });
  const read = reader(c, strobe);
  const readings = times(n, () => read(truth + mark));
  const mean = gaugeCombine({ readings, gauge: told(c, strobe) });
  return {
    btdc: mean.mean - errorDeg,
    uDeg: Math.hypot(mean.u, top.uDeg),
    before: 2 * Math.hypot(sampleSd(readings) / Math.sqrt(n), plainU(strobe), top.before / 2)
  };
}

function setting(series: string, strobe: HandedGauge, wheel: HandedGauge, pairs: number, n: number): Case {
  return {
    group: 'a setting by strobe',
    name: `${series}, ${n} reading${n === 1 ? '' : 's'}`,
    series: { name: series, n },
    measure: (c) => {
      const truth = 9 + c.within(5);
      const s = settingOf(c, strobe, wheel, pairs, n, truth);
      return { setting: { error: s.btdc - truth, half: 2 * s.uDeg, before: s.before } };
    }
  };
}

export const STROBE: HandedGauge = { step: 0.1, accuracy: 0.2, scatter: 0.5 };
export const WHEEL: HandedGauge = { step: 0.1, accuracy: 0.1, scatter: 0.3 };
export const settings: Case[] = [
  ...[1, 2, 3, 5].map((n) => setting('strobe by a hand of 0.5°, mark by 3 pairs', STROBE, WHEEL, 3, n)),
  setting('strobe of whole degrees, mark by 1 pair', { step: 1, accuracy: 0.5, scatter: 0.2 }, WHEEL, 1, 3)
];
