import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative, scatterUnknown } from '../building-blocks.ts';
import { tdcDwell } from './tdc-dwell.ts';
import { tdcFit } from './tdc-fit.ts';
import { tdcPairs } from './tdc-pairs.ts';
import * as s from './schemas.ts';

export const tdcCalcs = [
  define({
    name: 'tdc.dwell',
    title: 'How flat the top is for a dial, and how far down to read',
    formula:
      'dwell = crank angle over which the drop stays below the dial’s step; recommended: smallest whole angle of 5 to 60° at which u² = (uwheel² + (udial/slope)²)/2 reaches the target',
    source:
      'Propagation of uncertainty (Guide to the expression of uncertainty in measurement (2008), 5.1) through the slope of the exact slider-crank',
    errors: ['geometry-impossible', 'drop-out-of-range'],
    input: s.tdcDwellInput,
    output: z.strictObject({
      dwellDeg: notNegative,
      recommended: z.strictObject({ angleDeg: n, dropMm: n, uDeg: n }).nullable(),
      reason: z.enum(['wheel-too-coarse', 'dial-too-coarse']).optional()
    }),
    example: {
      in: {
        strokeMm: 76,
        rodMm: 128,
        pinOffsetMm: -1.5,
        dial: { resolution: 0.02, accuracy: 0.03 },
        wheel: { resolution: 1, accuracy: 0.5 }
      },
      out: { dwellDeg: 3.264802, recommended: null, reason: 'wheel-too-coarse' }
    },
    calculate: tdcDwell
  }),
  define({
    name: 'tdc.pairs',
    title: 'True TDC from readings at equal depth on both sides',
    formula:
      'middle of each pair less the pin’s bias; mean about the first; u² = max(uA, steps)² + fixed², uA = s/√n·t(ν)/2 from the middles’ scatter pooled with the learnt one (over √2), steps² = (res²wheel + res²dial/slope²)/24, fixed² = acc²wheel/6 + acc²dial/(3·slope²)',
    source:
      'Symmetry of the slider-crank about its top; Guide to the expression of uncertainty in measurement (2008), 4.2 and G.3.2',
    errors: ['pair-swapped', 'drop-out-of-range', 'geometry-impossible'],
    input: s.tdcPairsInput,
    output: z.strictObject({
      tdcWheelDeg: n,
      errorDeg: n,
      uDeg: notNegative,
      spreadDeg: notNegative,
      perPair: z.array(z.strictObject({ tdcWheelDeg: n, spanDeg: n, biasDeg: n, uDeg: notNegative })),
      scatterUnknown,
      disagree: z.literal(true).optional()
    }),
    example: {
      in: { pairs: [{ beforeWheelDeg: 340, afterWheelDeg: 26 }], wheel: { resolution: 0.5, accuracy: 0.25 } },
      out: { tdcWheelDeg: 3, errorDeg: 3, uDeg: 0.1443376, spreadDeg: 0, scatterUnknown: true }
    },
    calculate: tdcPairs
  }),
  define({
    name: 'tdc.fit',
    title: 'True TDC from many dial readings',
    formula:
      'least squares of dial = d0 − sense·drop(wheel − w0) over w0 and d0; outliers one at a time while n ≥ 6: |r|/√(1 − h) over the larger of the others’ robust spread, taken as the dial’s or as the wheel’s, and the gauges’ own, beyond max(4, t(0.01/n; n − 3)); u² = max(Σ((j − j̄)r/(1 − h))²·(t(n − 2)/2)², Σ(j − j̄)²(res²/12 + j²u²wheel))/A² + (acc/√3·|Σ(j − j̄)·sign θ|/A)², A = Σ(j − j̄)²',
    source:
      'Gauss-Newton with d0 projected out; valleys found by a scan of the whole wheel; sandwich covariance with leverages; the 4 and the one in a hundred are our own assumption',
    errors: ['too-few-readings', 'one-sided', 'geometry-impossible'],
    input: s.tdcFitInput,
    output: z.strictObject({
      tdcWheelDeg: n,
      errorDeg: n,
      dialAtTdcMm: n,
      uDeg: notNegative,
      rmsMm: notNegative,
      outliers: z.array(z.number().int())
    }),
    example: {
      in: {
        readings: [
          { wheelDeg: 92, dialMm: 4.47 },
          { wheelDeg: 125, dialMm: 10.94 },
          { wheelDeg: 153, dialMm: 4.08 }
        ],
        strokeMm: 76,
        rodMm: 128,
        pinOffsetMm: 1.5,
        wheel: { resolution: 1, accuracy: 0.5 },
        dial: { resolution: 0.02, accuracy: 0.02 }
      },
      out: {
        tdcWheelDeg: 122.0188,
        errorDeg: 122.0188,
        dialAtTdcMm: 10.99934,
        uDeg: 0.2893039,
        rmsMm: 0.005195864,
        outliers: []
      }
    },
    calculate: tdcFit
  })
];
