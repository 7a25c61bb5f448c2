import { define } from '../registry/define.ts';
import * as s from './schemas.ts';
import { staticAdjust } from './static-adjust.ts';

export const staticCalcs = [
  define('static.adjust', 'Housing turn from measured to target timing', s.staticAdjustInput, staticAdjust)
];
