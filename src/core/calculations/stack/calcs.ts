import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative, scatterUnknown, verdictOut } from '../building-blocks.ts';
import { stackEndFloat } from './stack-end-float.ts';
import { stackEngagement } from './stack-engagement.ts';
import { stackMove } from './stack-move.ts';
import { stackPick } from './stack-pick.ts';
import { stackThermal } from './stack-thermal.ts';
import * as s from './schemas.ts';

export const stackCalcs = [
  define({
    name: 'stack.endFloat',
    title: 'End float by gauge washer and blades',
    formula:
      'float = mean washer − mean gap, a gap the sum of its blades (and half a step more where it is the thickest pack that enters); u² = max(uA washer, step)² + acc²/3 + max(uA gap, step)² + blades a place·acc²/3, uA from the learnt feel, else the readings’ own scatter',
    source: 'Sum of a stack of lengths; Guide to the expression of uncertainty in measurement (2008), 5.1 and G.3.2',
    errors: [],
    input: s.endFloatInput,
    output: z.strictObject({
      floatMm: n,
      washerMm: n,
      gapMm: n,
      uMm: notNegative,
      verdict: verdictOut.nullable(),
      preloaded: z.boolean(),
      scatterUnknown
    }),
    example: {
      in: {
        washerMm: [1.2],
        washerGauge: { resolution: 0.01, accuracy: 0.005 },
        gaps: [[0.9]],
        bladeGauge: { resolution: 0.01, accuracy: 0.005 },
        spec: { minMm: null, maxMm: 0.35 }
      },
      out: {
        floatMm: 0.3,
        washerMm: 1.2,
        gapMm: 0.9,
        uMm: 0.005773503,
        verdict: { state: 'unsure', pInSpec: 1 },
        preloaded: false,
        scatterUnknown: true
      }
    },
    calculate: stackEndFloat
  }),
  define({
    name: 'stack.pick',
    title: 'Which packings or shims to take',
    formula:
      'every multiset of up to maxPieces; result = current + sense·sum, u² = u² + Σ(k·u)² over the sizes, k pieces of one size sharing the error they were measured with; ordered by the chance of being in limits (to 1e-6), fewer pieces, nearer the target, ids',
    source: 'Enumeration; chance from the normal distribution',
    errors: [],
    input: s.pickInput,
    output: z.strictObject({
      idealMm: n,
      picks: z.array(
        z.strictObject({ ids: z.array(z.string()), sumMm: n, resultMm: n, uMm: notNegative, verdict: verdictOut })
      )
    }),
    example: {
      in: { currentMm: 0.3, uMm: 0.02, spec: { minMm: 0.2, maxMm: 0.42 }, sense: -1, tray: [] },
      out: {
        idealMm: -0.01,
        picks: [{ ids: [], sumMm: 0, resultMm: 0.3, uMm: 0.02, verdict: { state: 'in', pInSpec: 0.9999997 } }]
      }
    },
    calculate: stackPick
  }),
  define({
    name: 'stack.engagement',
    title: 'Engagement with the oil-pump drive, and clearance below',
    formula:
      'engagement = length − gasket − offset − depth; clearance = slot depth − engagement; u of the four in squares',
    source: 'Sum of a stack of lengths; Guide to the expression of uncertainty in measurement (2008), 5.1',
    errors: [],
    input: s.engagementInput,
    output: z.strictObject({
      engagementMm: n,
      withoutGasketMm: n,
      uMm: notNegative,
      verdict: verdictOut.nullable(),
      clearanceMm: n.optional(),
      clearanceVerdict: verdictOut.optional()
    }),
    example: {
      in: {
        lengthMm: 142.5,
        depthToDriveMm: 138.2,
        featureOffsetMm: -2.5,
        gasketMm: 0.8,
        minEngagementMm: 4,
        uMm: { length: 0.05, depth: 0.05, offset: 0.02, gasket: 0.03 }
      },
      out: { engagementMm: 6, withoutGasketMm: 6.8, uMm: 0.07937254, verdict: { state: 'in', pInSpec: 1 } }
    },
    calculate: stackEngagement
  }),
  define({
    name: 'stack.thermal',
    title: 'Float when hot',
    formula:
      'growth = L(αhousing − αshaft)(hot − cold); a shaft in its housing gains it, a housing between collars loses it',
    source:
      'Linear expansion; coefficients are usual engineering values, 1e-6 a kelvin: steel 11.7, cast iron 10.8, aluminium 23.1, bronze 18.5, magnesium 26',
    errors: [],
    input: s.thermalInput,
    output: z.strictObject({ growthMm: n, hotFloatMm: n }),
    example: {
      in: {
        lengthMm: 80,
        housing: 'magnesium',
        shaft: 'bronze',
        coldC: 15,
        hotC: 15,
        coldFloatMm: 0.05,
        arrangement: 'shaft-in-housing'
      },
      out: { growthMm: 0, hotFloatMm: 0.05 }
    },
    calculate: stackThermal
  }),
  define({
    name: 'stack.move',
    title: 'What setting the drive deeper changes',
    formula: 'engagement + d, clearance − d, contact + d/face, twist = 360·d/lead',
    source: 'Geometry of the stack and of the helix',
    errors: [],
    input: s.moveInput,
    output: z.strictObject({ engagementMm: n, clearanceMm: n, contactFraction: n, rotorTwistDeg: n.nullable() }),
    example: {
      in: { deeperMm: 2, engagementMm: 4.2, clearanceMm: 1.3, contactFraction: 0.95, faceWidthMm: 20, leadMm: 90 },
      out: { engagementMm: 6.2, clearanceMm: -0.7, contactFraction: 1.05, rotorTwistDeg: 8 }
    },
    calculate: stackMove
  })
];
