import { define } from '../registry/define.ts';
import { pointsDwell } from './points-dwell.ts';
import * as s from './schemas.ts';
import { staticAdjust } from './static-adjust.ts';
import { staticGain } from './static-gain.ts';
import { timingBudget } from './timing-budget.ts';

export const staticCalcs = [
  define('static.adjust', 'Housing turn from measured to target timing', s.staticAdjustInput, staticAdjust),
  define('static.gain', 'What a millimetre at the rim does', s.staticGainInput, staticGain),
  define('points.dwell', 'Dwell, and what changing it does to timing', s.pointsDwellInput, pointsDwell),
  define('timing.budget', 'What makes up the uncertainty of a setting', s.timingBudgetInput, timingBudget)
];
