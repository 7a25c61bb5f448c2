import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative } from '../building-blocks.ts';
import { magnetoCoupling } from './magneto-coupling.ts';
import { magnetoLag } from './magneto-lag.ts';
import * as s from './schemas.ts';

export const magnetoCalcs = [
  define({
    name: 'magneto.lag',
    title: 'Where an impulse coupling snaps',
    formula:
      'lag of the crank = lag/ratio; snap = running spark − lag; kicks back where the snap lies over 2° before TDC',
    source: 'Proportion of the drive; 2° is our own rule of thumb for a crank turned by hand',
    errors: [],
    input: s.magnetoLagInput,
    output: z.strictObject({ lagCrankDeg: notNegative, snapBtdc: n, kickback: z.boolean() }),
    example: { in: { runBtdc: 24, lagDeg: 12, ratio: 0.5 }, out: { lagCrankDeg: 24, snapBtdc: 0, kickback: false } },
    calculate: magnetoLag
  }),
  define({
    name: 'magneto.coupling',
    title: 'Teeth to move a magneto’s drive, and what is left over',
    formula: 'pitch = 360/teeth; move = −off/pitch, a half away from zero; left = off + move·pitch',
    source: 'Arithmetic',
    errors: [],
    input: s.magnetoCouplingInput,
    output: z.strictObject({ pitchDeg: n, moveTeeth: n, leftDeg: n }),
    example: { in: { teeth: 36, offDeg: 23 }, out: { pitchDeg: 10, moveTeeth: -2, leftDeg: 3 } },
    calculate: magnetoCoupling
  })
];
