import { z } from 'zod';
import { finite, notNegative, positive, wholeFromOne } from '../building-blocks.ts';

export const magnetoLagInput = z.strictObject({
  runBtdc: finite.describe('running spark, crank degrees before TDC'),
  lagDeg: notNegative.describe('lag of the impulse coupling, degrees of the magneto'),
  ratio: positive.describe('magneto turns for one of the crank')
});

export const magnetoCouplingInput = z.strictObject({
  teeth: wholeFromOne,
  offDeg: finite.describe('how far the drive stands from where it should, degrees of the magneto')
});
