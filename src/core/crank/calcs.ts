import { define } from '../registry/define.ts';
import { crankPlan } from './crank-plan.ts';
import { cycleEvidence } from './cycle-evidence.ts';
import { cycleState } from './cycle-state.ts';
import { markCheck } from './mark-check.ts';
import { pistonAngle, pistonAt } from './piston.ts';
import * as s from './schemas.ts';
import { tdcDwell } from './tdc-dwell.ts';
import { tdcFit } from './tdc-fit.ts';
import { tdcPairs } from './tdc-pairs.ts';
import { wheelMeasure, wheelTicks } from './wheel.ts';

export const crankCalcs = [
  define('piston.at', 'Piston drop at a crank angle', s.pistonAtInput, pistonAt),
  define('piston.angle', 'Crank angles at a piston drop', s.pistonAngleInput, pistonAngle),
  define('tdc.dwell', 'How flat the top is for a dial, and how far down to read', s.tdcDwellInput, tdcDwell),
  define('tdc.pairs', 'True TDC from readings at equal depth on both sides', s.tdcPairsInput, tdcPairs),
  define('tdc.fit', 'True TDC from many dial readings', s.tdcFitInput, tdcFit),
  define('mark.check', 'The mark\u2019s error and whether it has moved', s.markCheckInput, markCheck),
  define('wheel.ticks', 'Ticks of a degree scale on a rim', s.wheelTicksInput, wheelTicks),
  define('wheel.measure', 'Angle from an arc or a chord on a rim', s.wheelMeasureInput, wheelMeasure),
  define('crank.plan', 'How to turn the crank to a target', s.crankPlanInput, crankPlan),
  define('cycle.state', 'Every cylinder\u2019s stroke and valves', s.cycleStateInput, cycleState),
  define('cycle.evidence', 'Compression or exhaust, from the signs', s.cycleEvidenceInput, cycleEvidence)
];
