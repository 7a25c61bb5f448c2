import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative } from '../building-blocks.ts';
import { curveAt } from './curve-at.ts';
import { curveCompare } from './curve-compare.ts';
import { curveFit } from './curve-fit.ts';
import { curveInterval } from './curve-interval.ts';
import { curveMatch } from './curve-match.ts';
import { curveSwapSprings } from './curve-swap-springs.ts';
import { curveTotal } from './curve-total.ts';
import * as s from './schemas.ts';

/** The curve of the examples, and the springs that it was measured with. */
const MEASURED = {
  baseline: [
    { rpm: 600, deg: 0 },
    { rpm: 900, deg: 0 },
    { rpm: 1500, deg: 8 },
    { rpm: 3000, deg: 17 },
    { rpm: 4500, deg: 17 }
  ],
  from: [
    { rateNPerMm: 1.2, preloadN: 3 },
    { rateNPerMm: 4.5, preloadN: -2.8 }
  ]
};

/** A standard uncertainty, or null where the readings do not settle it. */
const u = notNegative.nullable();
const judged = z.enum(['in', 'out', 'unsure', 'unjudged']);

export const curveCalcs = [
  define({
    name: 'curve.at',
    title: 'Advance of a curve at speeds',
    formula: 'straight between knots, flat outside',
    source: 'Linear interpolation',
    errors: ['curve-order'],
    input: s.curveAtInput,
    output: z.strictObject({ deg: z.array(n) }),
    example: { in: { knots: [{ rpm: 500, deg: 2 }], rpm: [100, 500, 900] }, out: { deg: [2, 2, 2] } },
    calculate: curveAt
  }),
  define({
    name: 'curve.total',
    title: 'Total timing over speed and depression',
    formula: 'total = initial + centrifugal(rpm) + vacuum(kPa)',
    source: 'Definition of total timing; linear interpolation',
    errors: ['curve-order'],
    input: s.curveTotalInput,
    output: z.strictObject({
      rows: z.array(z.strictObject({ rpm: n, kpa: n, initial: n, centrifugal: n, vacuum: n, total: n }))
    }),
    example: {
      in: {
        initialBtdc: 6,
        centrifugal: [
          { rpm: 1000, deg: 0 },
          { rpm: 3000, deg: 16 }
        ],
        vacuum: [],
        at: [{ rpm: 2000, kpa: 45 }]
      },
      out: { rows: [{ rpm: 2000, kpa: 45, initial: 6, centrifugal: 8, vacuum: 0, total: 14 }] }
    },
    calculate: curveTotal
  }),
  define({
    name: 'curve.swapSprings',
    title: 'The curve with other springs and stop',
    formula:
      'n new = n base·√(Tto/Tfrom) at every advance, T = Σ(preload + rate·stretch·advance); beyond what was measured G = T/n² carried on as a straight line; rpm its running maximum; (uRpm/n)² = (u_base/n_base)² + ¼Σ(u²_preload + (u_rate·stretch)²)/T² over both pairs, where all of it is told',
    source: 'Weights and springs balance at every advance, and the weights’ share goes with speed squared',
    errors: ['curve-order', 'baseline-needs-zero', 'baseline-not-rising', 'baseline-slack', 'cannot-extrapolate'],
    input: s.swapSpringsInput,
    output: z.strictObject({
      points: z.array(z.strictObject({ deg: n, rpm: n, uRpm: n.optional() })),
      startRpm: n,
      fullRpm: n,
      fullDeg: n,
      unstableFromDeg: n.nullable(),
      extrapolatedFromDeg: n.nullable()
    }),
    example: {
      in: {
        ...MEASURED,
        to: [
          { rateNPerMm: 2.2, preloadN: -1.5 },
          { rateNPerMm: 3.1, preloadN: -0.9 }
        ],
        extensionMmPerDeg: 0.12,
        stopDeg: 8
      },
      out: {
        points: [
          { deg: 0, rpm: 0 },
          { deg: 0.25, rpm: 0 },
          { deg: 0.5, rpm: 0 },
          { deg: 0.75, rpm: 0 },
          { deg: 1, rpm: 0 },
          { deg: 1.25, rpm: 0 },
          { deg: 1.5, rpm: 0 },
          { deg: 1.75, rpm: 0 },
          { deg: 2, rpm: 0 },
          { deg: 2.25, rpm: 0 },
          { deg: 2.5, rpm: 102.7591 },
          { deg: 2.75, rpm: 210.5339 },
          { deg: 3, rpm: 282.2317 },
          { deg: 3.25, rpm: 341.4057 },
          { deg: 3.5, rpm: 393.7531 },
          { deg: 3.75, rpm: 441.7157 },
          { deg: 4, rpm: 486.5989 },
          { deg: 4.25, rpm: 529.1933 },
          { deg: 4.5, rpm: 570.0176 },
          { deg: 4.75, rpm: 609.4328 },
          { deg: 5, rpm: 647.7006 },
          { deg: 5.25, rpm: 681.8481 },
          { deg: 5.5, rpm: 705.8857 },
          { deg: 5.75, rpm: 734.1665 },
          { deg: 6, rpm: 774.3357 },
          { deg: 6.25, rpm: 812.0222 },
          { deg: 6.5, rpm: 847.6527 },
          { deg: 6.75, rpm: 881.5552 },
          { deg: 7, rpm: 913.9876 },
          { deg: 7.25, rpm: 945.1562 },
          { deg: 7.5, rpm: 975.2286 },
          { deg: 7.75, rpm: 1004.343 },
          { deg: 8, rpm: 1032.613 }
        ],
        startRpm: 0,
        fullRpm: 1032.613,
        fullDeg: 8,
        unstableFromDeg: null,
        extrapolatedFromDeg: null
      }
    },
    calculate: curveSwapSprings
  }),
  define({
    name: 'curve.match',
    title: 'The best springs and stop of the tray',
    formula:
      'every pair of springs and stop through curve.swapSprings on a grid of a quarter degree; initial = weighted mean misfit, in its range and on its steps; order: fewer violations, rms misfit (to 1e-9), springs, stop',
    source: 'Enumeration; physics of curve.swapSprings',
    errors: ['curve-order', 'baseline-needs-zero', 'baseline-not-rising', 'baseline-slack'],
    input: s.curveMatchInput,
    output: z.strictObject({
      evaluated: n,
      ranked: z.array(
        z.strictObject({
          springs: z.tuple([z.string(), z.string()]),
          stop: z.string(),
          initialBtdc: n,
          misfitDeg: n,
          violations: z.array(z.enum(['total', 'creep', 'unstable'])),
          startRpm: n,
          fullRpm: n
        })
      )
    }),
    example: {
      in: {
        ...MEASURED,
        extensionMmPerDeg: 0.12,
        target: [
          { rpm: 1000, deg: 8 },
          { rpm: 3000, deg: 20 }
        ],
        tray: {
          springs: [
            { id: 'one', rateNPerMm: 1.2, preloadN: 3, count: 1 },
            { id: 'two', rateNPerMm: 2, preloadN: 2, count: 0 }
          ],
          stops: [{ id: 't', deg: 15 }]
        },
        initial: { minBtdc: 2, maxBtdc: 9 },
        limits: {}
      },
      out: { evaluated: 0, ranked: [] }
    },
    calculate: (i) => curveMatch(i)
  }),
  define({
    name: 'curve.fit',
    title: 'The plain shape behind a measured curve',
    formula:
      'flat, one straight ramp or two, flat; levels by linear least squares, breaks refined by damped Gauss-Newton; one or two ramps by BIC = n ln(rss/n + 0.04) + p ln n, p = 4 or 8; u from the covariance of breaks and levels, s² = max(rss/(n − p)·(t(n − p)/2)², step²/12), with the fixed errors of strobe and tachometer; slope in degrees a thousand rpm',
    source:
      'Levenberg-Marquardt and the Bayesian information criterion; the 0.04 (0.2° of reading error) is our own assumption',
    errors: ['too-few-readings'],
    input: s.curveFitInput,
    output: z.strictObject({
      ramps: z.union([z.literal(1), z.literal(2)]),
      knots: z.array(z.strictObject({ rpm: n, deg: n })),
      startRpm: n,
      fullRpm: n,
      fullDeg: n,
      rmsDeg: notNegative,
      uInitialDeg: u,
      uTotalDeg: u,
      uStartRpm: u,
      uFullRpm: u,
      uSlope: u
    }),
    example: {
      in: {
        points: [
          { rpm: 600, deg: 0 },
          { rpm: 850, deg: 0 },
          { rpm: 1100, deg: 0.4594595 },
          { rpm: 1350, deg: 2.756757 },
          { rpm: 1600, deg: 5.054054 },
          { rpm: 1850, deg: 7.351351 },
          { rpm: 2100, deg: 9.648649 },
          { rpm: 2350, deg: 11.94595 },
          { rpm: 2600, deg: 14.24324 },
          { rpm: 2850, deg: 16.54054 },
          { rpm: 3100, deg: 17 },
          { rpm: 3350, deg: 17 },
          { rpm: 3600, deg: 17 }
        ]
      },
      out: {
        ramps: 1,
        knots: [
          { rpm: 1050, deg: -1.49055e-15 },
          { rpm: 2900, deg: 17 }
        ],
        startRpm: 1050,
        fullRpm: 2900,
        fullDeg: 17,
        rmsDeg: 2.223749e-10
      }
    },
    calculate: curveFit
  }),
  define({
    name: 'curve.compare',
    title: 'A measured curve against its band',
    formula:
      'each point judged against the interpolated band; hysteresis = largest |down − line through up|; sticky beyond the larger of 1.5° and z·√2·u, z = Φ⁻¹(1 − 0.025/m) for m speeds',
    source: 'Linear interpolation; the 1.5° and the 3 are our own assumption',
    errors: ['curve-order'],
    input: s.curveCompareInput,
    output: z.strictObject({
      points: z.array(
        z.strictObject({
          rpm: n,
          deg: n,
          minDeg: n.nullable(),
          maxDeg: n.nullable(),
          state: judged,
          pInSpec: n.nullable()
        })
      ),
      state: judged,
      hysteresisDeg: n.nullable(),
      sticky: z.boolean()
    }),
    example: {
      in: {
        measured: [
          { rpm: 1600, deg: 7 },
          { rpm: 3200, deg: 20.25 }
        ],
        spec: [
          { rpm: 800, minDeg: 0, maxDeg: 2 },
          { rpm: 1600, minDeg: 7, maxDeg: 11 },
          { rpm: 3200, minDeg: 16, maxDeg: 20 }
        ],
        uDeg: 0
      },
      out: {
        points: [
          { rpm: 1600, deg: 7, minDeg: 7, maxDeg: 11, state: 'in', pInSpec: 1 },
          { rpm: 3200, deg: 20.25, minDeg: 16, maxDeg: 20, state: 'out', pInSpec: 0 }
        ],
        state: 'out',
        hysteresisDeg: null,
        sticky: false
      }
    },
    calculate: curveCompare
  }),
  define({
    name: 'curve.interval',
    title: 'Spacing of the sparks: run-out and lobe error',
    formula:
      'error = firing point − even place − mean; run-out = amplitude of the first harmonic of the errors, explained = its share of their squares; run-out from a share of 0.7, else a lobe',
    source: 'Fourier’s first harmonic of a closed circle; the 0.7 is our own assumption',
    errors: ['too-few-readings'],
    input: s.curveIntervalInput,
    output: z.strictObject({
      errors: z.array(z.strictObject({ cylinder: n, errorDeg: n })),
      maxErrorDeg: notNegative,
      runOutDeg: notNegative,
      runOutPhaseDeg: n,
      explained: n,
      state: z.enum(['in', 'out']),
      cause: z.enum(['even', 'unknown', 'run-out', 'lobe'])
    }),
    example: {
      in: {
        angles: [
          { cylinder: 1, distributorDeg: 12 },
          { cylinder: 3, distributorDeg: 102 },
          { cylinder: 4, distributorDeg: 192 },
          { cylinder: 2, distributorDeg: 282 }
        ],
        toleranceDeg: 0
      },
      out: {
        errors: [
          { cylinder: 1, errorDeg: 0 },
          { cylinder: 3, errorDeg: 0 },
          { cylinder: 4, errorDeg: 0 },
          { cylinder: 2, errorDeg: 0 }
        ],
        maxErrorDeg: 0,
        runOutDeg: 0,
        runOutPhaseDeg: 0,
        explained: 0,
        state: 'in',
        cause: 'even'
      }
    },
    calculate: curveInterval
  })
];
