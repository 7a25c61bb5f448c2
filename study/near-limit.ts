import { stackEndFloat } from '../src/core/calculations/stack/stack-end-float.ts';
import { verdict, type VerdictState } from '../src/core/calculations/verdict/verdict.ts';
import { chances, type Chances } from './chances.ts';
import { floatOf } from './cases/float.ts';
import { settingOf, STROBE, WHEEL } from './cases/setting.ts';
import { times } from './trial.ts';

/** How often each verdict is given where the truth lies so far beyond the upper limit (below 0: inside). */
export interface AtLimit {
  beyond: number;
  shares: Record<VerdictState, number>;
}

export interface NearLimit {
  name: string;
  unit: string;
  at: AtLimit[];
}

const LOWER_FAR = 1000;
type Judge = (c: Chances, beyond: number) => VerdictState;

/** The setting of an engine by three strobe readings, judged by an upper limit. */
const setting: Judge = (c, beyond) => {
  const truth = 9 + c.within(5);
  const s = settingOf(c, STROBE, WHEEL, 3, 3, truth);
  return verdict(s.btdc, s.uDeg, -LOWER_FAR, truth - beyond).state;
};

/** An end float by washer and blades in so many places. */
const float =
  (places: number): Judge =>
  (c, beyond) => {
    const { truth, input } = floatOf(c, { blade: { step: 0.01, accuracy: 0.003, scatter: 0.02 }, places });
    return stackEndFloat({ ...input, spec: { minMm: null, maxMm: truth - beyond } }).verdict!.state;
  };

export function nearLimits(trials: number, seed: number): NearLimit[] {
  return [
    near('a setting by three strobe readings', '°', setting, 0.25, trials, seed),
    near('an end float, one place', 'mm', float(1), 0.02, trials, seed + 1),
    near('an end float, four places', 'mm', float(4), 0.01, trials, seed + 2)
  ];
}

function near(name: string, unit: string, of: Judge, step: number, trials: number, seed: number): NearLimit {
  const c = chances(seed);
  const at = times(13, (k) => (k - 6) * step).map((beyond) => {
    const count: Record<VerdictState, number> = { in: 0, out: 0, unsure: 0 };
    for (let k = 0; k < trials; k++) count[of(c, beyond)]++;
    const share = (s: VerdictState) => (100 * count[s]) / trials;
    return { beyond, shares: { in: share('in'), out: share('out'), unsure: share('unsure') } };
  });
  return { name, unit, at };
}

/** Verdicts that were wrong: in although beyond, out although inside. On the limit itself neither is. */
export const wrong = ({ beyond, shares }: AtLimit): number =>
  beyond > 1e-9 ? shares.in : beyond < -1e-9 ? shares.out : 0;
