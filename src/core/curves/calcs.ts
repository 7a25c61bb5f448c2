import { define } from '../registry/define.ts';
import { curveAt, curveTotal, vacuumHold } from './curve.ts';
import { curveCompare } from './curve-compare.ts';
import { curveFit } from './curve-fit.ts';
import { curveInterval } from './curve-interval.ts';
import { curveMatch } from './curve-match.ts';
import * as s from './schemas.ts';
import { springRate } from './spring-rate.ts';
import { curveSwapSprings } from './swap-springs.ts';

export const curveCalcs = [
  define('curve.at', 'Advance of a curve at speeds', s.curveAtInput, curveAt),
  define('curve.total', 'Total timing over speed and depression', s.curveTotalInput, curveTotal),
  define('spring.rate', 'A spring\u2019s rate from hanging weights', s.springRateInput, springRate),
  define('curve.swapSprings', 'The curve with other springs and stop', s.swapSpringsInput, curveSwapSprings),
  define('curve.match', 'The best springs and stop of the tray', s.curveMatchInput, (i) => curveMatch(i)),
  define('curve.fit', 'The plain shape behind a measured curve', s.curveFitInput, curveFit),
  define('curve.compare', 'A measured curve against its band', s.curveCompareInput, curveCompare),
  define('curve.interval', 'Spacing of the sparks: run-out and lobe error', s.curveIntervalInput, curveInterval),
  define('vacuum.hold', 'Does the vacuum unit hold?', s.vacuumHoldInput, vacuumHold)
];
