import * as fit from './fit-steps.ts';
import * as shared from './shared-steps.ts';
import * as time from './timing-steps.ts';
import { step, type RunSheet } from '../job/run-sheet.ts';

const SAFE = 'Make safe';
const CRANK = 'Bring the crank to the setting';
const SET = 'Set it at rest';
const START = 'Close up and start';

/** The timing set at rest, by whichever way suits the trigger, to the first start. */
export const staticTiming: RunSheet = {
  id: 'static-timing',
  title: 'Set the timing at rest, first start',
  short: 'static timing',
  begins: ['distributor-seated', 'gear-meshed', 'oil-drive-engaged', 'gasket-fitted'],
  steps: [
    shared.intake({
      id: 'intake',
      phase: SAFE,
      values: ['staticBtdc', 'rotorDirection', 'ratio', 'firingOrder']
    }),
    shared.makeSafe({ id: 'safe', phase: SAFE }),
    time.setGap({ id: 'gap', phase: SAFE }),
    shared.plugsOut({ id: 'plugs', phase: CRANK }),
    shared.barOn({ id: 'bar', phase: CRANK }),
    shared.wheelOn({ id: 'wheel', phase: CRANK }),
    shared.trueTdc({ id: 'tdc', phase: CRANK }),
    shared.judgeMark({ id: 'mark', phase: CRANK }),
    shared.probeOut({ id: 'probe-out', phase: CRANK }),
    shared.proveStroke({ id: 'stroke', phase: CRANK }),
    shared.toReference({ id: 'ref', phase: CRANK }),
    fit.roomBothWays({ id: 'room', phase: SET }),
    time.identifyTrigger({ id: 'trigger', phase: SET }),
    fit.indexHousing({
      id: 'index',
      phase: SET,
      needs: ['distributor-seated', 'crank-at-reference', 'compression-confirmed', 'slack-taken-up']
    }),
    step({
      id: 'again',
      phase: SET,
      title: 'Repeated from a fresh approach',
      say: 'Turn the crank well back and forward again onto the setting, and test without touching the housing.',
      why: 'A repeat is the only witness of the error that there is.',
      accept: 'It repeats within the uncertainty.',
      ifSkipped: 'One lucky reading is trusted.',
      tools: ['bar'],
      helper: 'advised',
      hazards: ['barring-tool'],
      needs: ['housing-indexed']
    }),
    time.biasChosen({ id: 'bias', phase: SET }),
    fit.clampSnug({ id: 'snug', phase: SET }),
    fit.capOn({ id: 'cap', phase: START }),
    fit.leadsInOrder({ id: 'leads', phase: START }),
    fit.hoseOff({ id: 'hose', phase: START }),
    fit.strobeOn({ id: 'strobe-on', phase: START }),
    fit.nothingLeft({ id: 'sweep-list', phase: START }),
    fit.firstStart({ id: 'start', phase: START }),
    fit.strobeInitial({ id: 'strobe', phase: START }),
    fit.clampFinal({ id: 'clamp-final', phase: START }),
    shared.closeLog({ id: 'close', phase: START })
  ]
};
