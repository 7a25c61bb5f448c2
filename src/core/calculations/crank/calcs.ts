import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative, turn } from '../building-blocks.ts';
import { crankPlan } from './crank-plan.ts';
import * as s from './schemas.ts';

export const crankCalcs = [
  define({
    name: 'crank.plan',
    title: 'How to turn the crank to a target',
    formula:
      'forward = (target − current) mod period, one period more while slack would remain; or back past the target by the slack, then forward; the shorter travel wins, a tie goes forward; never back by half a turn or more, nor where turning back is forbidden',
    source: 'Rule of the trade: the last move is in the running direction, beyond all slack',
    errors: [],
    input: s.crankPlanInput,
    output: z.strictObject({
      steps: z.array(
        z.strictObject({
          move: z.enum(['forward', 'backward']),
          turn,
          degrees: n,
          fromDeg: n,
          toDeg: n,
          passes: z.array(n),
          ringTeeth: n.optional()
        })
      ),
      totalDeg: notNegative,
      thenCheckStroke: z.boolean()
    }),
    example: {
      in: {
        cycleDeg: 720,
        currentDeg: 40,
        targetDeg: 40,
        strokeKnown: true,
        approach: 'forward',
        backlashDeg: 10,
        lastMove: 'forward',
        runningDirection: 'cw',
        view: 'front'
      },
      out: { steps: [], totalDeg: 0, thenCheckStroke: false }
    },
    calculate: crankPlan
  })
];
