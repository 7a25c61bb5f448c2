import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n } from '../building-blocks.ts';
import { pointsDwell } from './points-dwell.ts';
import * as s from './schemas.ts';

export const pointsCalcs = [
  define({
    name: 'points.dwell',
    title: 'Dwell, and what changing it does to timing',
    formula: 'share = 100·dwell·cylinders/360; shift = −(new − old)/2/ratio: half of the change opens later',
    source: 'Both ends of the closed time move alike about the lobe; gear ratio',
    errors: [],
    input: s.pointsDwellInput,
    output: z.strictObject({ dwellPct: n, newDwellPct: n, timingShiftDeg: n }),
    example: {
      in: { cylinders: 4, dwellDeg: 50, newDwellDeg: 54, ratio: 0.5 },
      out: { dwellPct: 55.55556, newDwellPct: 60, timingShiftDeg: -4 }
    },
    calculate: pointsDwell
  })
];
