import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative } from '../building-blocks.ts';
import { pumpChart } from './pump-chart.ts';
import { pumpClosure } from './pump-closure.ts';
import { pumpCorrect } from './pump-correct.ts';
import { pumpDial } from './pump-dial.ts';
import { pumpPhasing } from './pump-phasing.ts';
import { pumpTotal } from './pump-total.ts';
import { pumpZero } from './pump-zero.ts';
import * as s from './schemas.ts';

const inOrOut = z.enum(['in', 'out']);

export const pumpCalcs = [
  define({
    name: 'pump.chart',
    title: 'A pump’s chart, read at a timing or at a lift',
    formula: 'monotone cubic through the points in order of their timing; a lift is the root of the same curve',
    source: 'Fritsch and Carlson (1980), Fritsch and Butland (1984)',
    errors: ['chart-mismatch', 'chart-kind', 'chart-order', 'outside-chart'],
    input: s.pumpChartInput,
    output: z.strictObject({ btdc: n, liftMm: n, slopeMmPerDeg: n, kind: z.enum(s.chartKinds).nullable() }),
    example: {
      in: {
        chart: {
          pumpCode: 'QD.3',
          points: [
            { btdc: 8, liftMm: 2.2 },
            { btdc: 12, liftMm: 1.6 },
            { btdc: 16, liftMm: 1 }
          ]
        },
        pumpCode: 'qd3',
        btdc: 10
      },
      out: { btdc: 10, liftMm: 1.9, slopeMmPerDeg: -0.15, kind: null }
    },
    calculate: pumpChart
  }),
  define({
    name: 'pump.closure',
    title: 'A pump’s timing by the one lift at which its port closes',
    formula:
      'timing = mean crank + (mean lift − closure)/slope; slope = −1 over that of the least squares of crank over lift',
    source: 'Least squares; a port closes at one lift whatever the timing',
    errors: ['too-few-readings', 'lift-not-rising'],
    input: s.pumpClosureInput,
    output: z.strictObject({ btdc: n, errorDeg: n.nullable(), slopeMmPerDeg: n, spreadMm: notNegative }),
    example: {
      in: {
        closureMm: 3,
        lifts: [
          { liftMm: 2.7, btdc: 16 },
          { liftMm: 3.1, btdc: 14 }
        ],
        targetBtdc: 15
      },
      out: { btdc: 14.5, errorDeg: -0.5, slopeMmPerDeg: 0.2, spreadMm: 0.282842712474619 }
    },
    calculate: pumpClosure
  }),
  define({
    name: 'pump.zero',
    title: 'Zero on the base circle',
    formula: 'the first run of readings whose spread is within the dial’s step; zero is their median',
    source: 'The plunger does not move on the base circle of its cam',
    errors: [],
    input: s.pumpZeroInput,
    output: z.strictObject({ found: z.boolean(), index: n.nullable(), zeroMm: n.nullable() }),
    example: {
      in: { readingsMm: [0.8, 0.3, 0.05, 0.04, 0.05], resolutionMm: 0.01 },
      out: { found: true, index: 2, zeroMm: 0.05 }
    },
    calculate: pumpZero
  }),
  define({
    name: 'pump.dial',
    title: 'A lift by turns of the dial and its pointer',
    formula: 'turns·one turn + pointer',
    source: 'Arithmetic',
    errors: [],
    input: s.pumpDialInput,
    output: z.strictObject({ liftMm: n }),
    example: { in: { perRevMm: 1, revs: 2, pointerMm: 0.5 }, out: { liftMm: 2.5 } },
    calculate: pumpDial
  }),
  define({
    name: 'pump.correct',
    title: 'How far the pump or its gear is turned for a timing',
    formula: 'change = target − measured; gear = |change|·ratio; arc = bolt radius·gear',
    source: 'Proportion of the drive; arc of a circle',
    errors: [],
    input: s.pumpCorrectInput,
    output: z.strictObject({
      changeCrankDeg: n,
      gearDeg: notNegative,
      arcMm: notNegative.optional(),
      enough: z.boolean()
    }),
    example: {
      in: { measuredBtdc: 12, targetBtdc: 14, ratio: 0.5, slotLeftDeg: { advance: 0.8, retard: 5 } },
      out: { changeCrankDeg: 2, gearDeg: 1, enough: false }
    },
    calculate: pumpCorrect
  }),
  define({
    name: 'pump.total',
    title: 'The ledger of a locked pump and its gear’s offset',
    formula: 'total = pump + gear offset; short = target − total; crank set at target − pump',
    source: 'Sum of angles of the crank',
    errors: [],
    input: s.pumpTotalInput,
    output: z.strictObject({ totalBtdc: n, shortDeg: n.optional(), crankSetBtdc: n }),
    example: {
      in: { pumpBtdc: 9, gearOffsetDeg: 3, targetBtdc: 14 },
      out: { totalBtdc: 12, shortDeg: 2, crankSetBtdc: 5 }
    },
    calculate: pumpTotal
  }),
  define({
    name: 'pump.phasing',
    title: 'Spacing of a pump’s elements, and the shims that correct it',
    formula: 'error = angle − first − i·360/n; shim = error·velocity, to whole shims, a half away from zero',
    source: 'Even places round the cam; lift is velocity times angle',
    errors: [],
    input: s.pumpPhasingInput,
    output: z.strictObject({
      elements: z.array(z.strictObject({ element: n, errorDeg: n, shimChangeMm: n, state: inOrOut })),
      state: inOrOut
    }),
    example: {
      in: {
        order: [1, 2],
        angles: [
          { element: 1, pumpDeg: 10 },
          { element: 2, pumpDeg: 191 }
        ],
        toleranceDeg: 0.5,
        camVelocityMmPerDeg: 0.25,
        shimStepMm: 0.1
      },
      out: {
        elements: [
          { element: 1, errorDeg: 0, shimChangeMm: 0, state: 'in' },
          { element: 2, errorDeg: 1, shimChangeMm: 0.3, state: 'out' }
        ],
        state: 'out'
      }
    },
    calculate: pumpPhasing
  })
];
