import type { Rule } from '../../job/rule.ts';
import type { TimingVocabulary } from './vocabulary.ts';

/** Raised only where it matters which of two TDCs fires: not on a two-stroke, not where nothing is indexed. */
const STROKE_NOT_PROVED: Rule<TimingVocabulary['flag']> = {
  id: 'IL.10',
  worked: true,
  on: ['damper-verified'],
  off: ['compression-confirmed', 'housing-indexed'],
  bar: 'Both TDCs carry the mark: stroke not proved',
  never: 'Index or fit to number one before the stroke is proved.',
  because: 'The mark comes up on compression and on exhaust; a distributor fitted on the wrong one is half a turn out.',
  first: 'stroke proved by two signs',
  ifItHappened: 'Lift the rotor, turn the crank once, prove the stroke, index again.',
  harm: 'result',
  forbids: ['indexes'],
  loses: ['housing-indexed']
};

/** An idle speed that was read above the onset of the advance: what is read then is not the initial timing alone. */
const IDLE_ABOVE_ONSET: Rule<TimingVocabulary['flag']> = {
  id: 'IL.27',
  worked: true,
  on: [],
  off: [],
  bar: 'Idle above the onset: no initial timing',
  never: 'Set or log the initial timing at an idle above the onset of the advance.',
  because: 'The reading contains advance already.',
  first: 'idle below the onset, or springs that hold until above it',
  ifItHappened: 'Lower the idle, or look at the springs, and read it again.',
  harm: 'result',
  forbids: ['reads-initial'],
  loses: ['base-timing-set']
};

/** A distributor or its drive was newly fitted, and nobody has turned the housing both ways. */
const ROOM_NOT_JUDGED: Rule<TimingVocabulary['flag']> = {
  id: 'IL.47',
  worked: true,
  on: [],
  off: [],
  bar: 'Room to turn not judged: do not close the job',
  never: 'Close the job before there is room to turn the housing both ways.',
  because: 'The timing could not be set later.',
  first: 'room to turn the housing both ways',
  ifItHappened: 'Change tooth or tower now.',
  harm: 'result',
  forbids: ['closes-log'],
  loses: []
};

/** Every fit pairs tip, tower and trigger anew, and nobody has looked at them together. */
const PHASE_NOT_SEEN: Rule<TimingVocabulary['flag']> = {
  id: 'IL.98',
  worked: true,
  on: [],
  off: [],
  bar: 'Rotor phase not looked at: do not close the job',
  never: 'Close the job before tip and tower were looked at with the trigger just firing.',
  because: 'A tip that stands clear of its tower burns rotor and cap, and crossfires.',
  first: 'rotor phase looked at, at no and at full vacuum',
  ifItHappened: 'Open the step again and look at it.',
  harm: 'result',
  forbids: ['closes-log'],
  loses: []
};

export const rules: Rule<TimingVocabulary['flag']>[] = [
  PHASE_NOT_SEEN,
  STROKE_NOT_PROVED,
  IDLE_ABOVE_ONSET,
  {
    id: 'IL.09',
    on: ['gear-meshed', 'compression-confirmed'],
    off: ['crank-at-reference', 'engine-running'],
    bar: 'Crank off the reference: do not index',
    never: 'Index the housing while the crank is off the reference.',
    because: 'The turn that seated it, or another, has moved the crank.',
    ifItHappened: 'Bring the crank to the reference, last movement forward, and index again.',
    harm: 'result',
    forbids: ['indexes'],
    loses: ['housing-indexed']
  },
  {
    id: 'IL.23',
    on: ['ignition-live'],
    off: ['leads-fitted'],
    bar: 'Ignition on, leads loose: touch none, ground each',
    never: 'Touch leads, tester or coil, or leave a lead ungrounded, with the ignition on.',
    because: 'High voltage; the coil is overloaded; vapour catches fire.',
    first: 'ignition off, every loose lead grounded',
    ifItHappened: 'Isolate, see to whoever was hit, ground the leads, ventilate.',
    harm: 'person',
    forbids: ['touches-leads', 'pulls-leads', 'cranks-by-power'],
    loses: []
  },
  {
    id: 'IL.24',
    on: ['ignition-live'],
    off: ['fuel-disabled', 'engine-running'],
    where: [{ chosen: 'trigger', is: 'spark' }],
    bar: 'Ignition on, fuel open: no spark test at rest',
    never: 'Swing the housing for a spark test while fuel can reach the cylinders.',
    because: 'Every flash may also trigger the injection.',
    ifItHappened: 'Isolate, ventilate, plugs out, let the cylinders dry before it is cranked.',
    harm: 'person',
    forbids: ['indexes'],
    loses: ['housing-indexed']
  },
  {
    id: 'IL.26',
    on: [],
    off: ['vacuum-plugged'],
    where: [{ fact: 'vacuumUnit', is: true }],
    bar: 'Vacuum hose on: no initial timing',
    never: 'Set or log the initial timing with the vacuum hose on.',
    because: 'Vacuum adds advance and hides the initial timing.',
    ifItHappened: 'Plug the hose, read again, and take the figure before as doubtful.',
    harm: 'result',
    forbids: ['reads-initial'],
    loses: ['base-timing-set']
  },
  {
    id: 'IL.28',
    on: [],
    off: ['gap-set'],
    where: [{ chosen: 'trigger-is', is: 'contacts', field: 'triggerKind' }],
    bar: 'Gap not set: no timing yet',
    never: 'Set the timing before the gap is set.',
    because: 'Putting the gap right later moves the timing.',
    ifItHappened: 'Set the gap, then set the timing again.',
    harm: 'result',
    forbids: ['indexes', 'reads-initial'],
    loses: ['housing-indexed', 'base-timing-set']
  },
  {
    id: 'IL.29',
    on: [],
    off: ['trigger-verified'],
    where: [{ chosen: 'trigger-is', not: 'contacts', field: 'triggerKind' }],
    bar: 'Firing edge not known: do not trust the pole',
    never: 'Trust the alignment of the poles before the firing edge is known.',
    because: 'Entering and leaving edge lie about a pole\u2019s width apart.',
    ifItHappened: 'Read the wiring data, and prove it with the strobe.',
    harm: 'result',
    forbids: ['indexes'],
    loses: ['housing-indexed']
  },
  {
    id: 'IL.31',
    on: [],
    off: ['advance-locked'],
    where: [{ chosen: 'reference-angle', is: 'total' }],
    bar: 'Advance not locked: do not set it at the total',
    never: 'Set the housing with the crank at the total figure while the advance can move.',
    because: 'The engine then runs at that total and all its mechanical advance on top.',
    first: 'advance proved locked, or the crank at the initial setting instead',
    ifItHappened:
      'Set it again at the initial setting, read the total by strobe before any load; if it ran so, look for knock damage.',
    harm: 'machine',
    forbids: ['indexes'],
    loses: ['housing-indexed', 'base-timing-set']
  },
  ROOM_NOT_JUDGED,
  {
    id: 'IL.94',
    on: ['bias-on'],
    off: [],
    bar: 'Bias in the setting: no sweep, no load, no closing',
    never: 'Sweep to the total, load the engine or close the job with a bias in the setting.',
    because: 'A bias helps one start; kept, it knocks or overheats the engine.',
    first: 'initial timing set by the strobe',
    ifItHappened: 'Set the initial timing by the strobe; if it ran under load, look for knock or heat damage.',
    harm: 'machine',
    forbids: ['loads', 'sweeps', 'closes-log'],
    loses: []
  },
  {
    id: 'IL.72',
    on: ['strobe-connected', 'engine-running'],
    off: [],
    bar: 'Strobe leads on a running engine: keep clear of the fan',
    never: 'Lean leads near the fan, or look along its plane, on a running engine.',
    because: 'Leads and sleeves are caught, and blades fail.',
    first: 'engine stopped',
    ifItHappened: 'Stop the engine, see to people, route the leads anew.',
    harm: 'person',
    forbids: ['reaches-in'],
    loses: ['strobe-connected']
  },
  {
    id: 'IL.88',
    on: [],
    off: ['fixed-mode'],
    where: [{ chosen: 'advance-is', is: 'electronic', field: 'advanceKind' }],
    bar: 'Control unit moves the spark: no initial timing',
    never: 'Set or judge the initial timing while the control unit moves the spark.',
    because: 'It changes while it is being measured.',
    ifItHappened: 'Put the unit in its fixed mode, read again, compare what it commands with what is seen.',
    harm: 'result',
    forbids: ['reads-initial'],
    loses: ['base-timing-set']
  }
];
