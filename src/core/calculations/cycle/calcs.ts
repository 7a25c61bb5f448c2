import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n } from '../building-blocks.ts';
import { cycleEvidence } from './cycle-evidence.ts';
import { cycleState } from './cycle-state.ts';
import * as s from './schemas.ts';

export const cycleCalcs = [
  define({
    name: 'cycle.state',
    title: 'Every cylinder’s stroke and valves',
    formula:
      'phase of cylinder i = crank − offset(i) mod cycle, offset i·cycle/n or as given; strokes of 180°; valve arcs from the four events, ends included',
    source: 'Definition of the four-stroke cycle',
    errors: [],
    input: s.cycleStateInput,
    output: z.strictObject({
      cylinders: z.array(
        z.strictObject({
          cylinder: n,
          phaseDeg: n,
          stroke: z.enum(['power', 'exhaust', 'intake', 'compression', 'down', 'up']),
          intake: z.boolean().nullable(),
          exhaust: z.boolean().nullable(),
          overlap: z.boolean().nullable()
        })
      ),
      next: z.strictObject({ cylinder: n, inDeg: n }),
      companion: n.nullable()
    }),
    example: {
      in: { cycleDeg: 720, firingOrder: [1, 2], offsetsDeg: [0, 450], crankDeg: 460 },
      out: {
        cylinders: [
          { cylinder: 1, phaseDeg: 460, stroke: 'intake', intake: true, exhaust: false, overlap: false },
          { cylinder: 2, phaseDeg: 10, stroke: 'power', intake: false, exhaust: false, overlap: false }
        ],
        next: { cylinder: 1, inDeg: 260 },
        companion: null
      }
    },
    calculate: cycleState
  }),
  define({
    name: 'cycle.evidence',
    title: 'Compression or exhaust, from the signs',
    formula:
      'odds = prior odds · product of likelihood ratios; number one’s valves and cam marks are one witness, X = 0.96·Πp + 0.04·Πq, the companion’s valves another, L = 0.98·A·B + 0.02·A’·B’, the rotor one, X = 0.95·p + 0.05·q, the others each by itself; compression from 0.95, exhaust to 0.05, else unsure; contradictory when one sign speaks 5 to 1 for and another 5 to 1 against',
    source:
      'Bayes’ rule, signs without a common cause taken as independent; the likelihood ratios are our own assumption, in likelihood',
    errors: [],
    input: s.cycleEvidenceInput,
    output: z.strictObject({
      pCompression: n,
      state: z.enum(['compression', 'exhaust', 'unsure']),
      contradictory: z.boolean()
    }),
    example: {
      in: { evidence: [{ kind: 'airPushedOut', seen: true }] },
      out: { pCompression: 0.9375, state: 'unsure', contradictory: false }
    },
    calculate: cycleEvidence
  })
];
