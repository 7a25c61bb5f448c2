import { BY_DISTRIBUTOR, cap, crank, distributor, engine, sheet, step, timing } from './authoring.ts';

const SAFE = 'Make safe';
const CRANK = 'Bring the crank to the setting';
const SET = 'Set it with the engine still';
const START = 'Close up and start';

/** Oil is primed where it may have run dry; where it stayed in, nothing has to be. */
const ranDry = {
  fact: 'oilStayed',
  question: 'Did it run last with the oil that is in it?',
  yes: 'It did',
  no: 'New, drained, or stood for long',
  when: false,
  flag: 'oil-primed'
};

/** The timing set at rest, by whichever way suits the trigger, to the first start. */
export const staticTiming = sheet({
  id: 'static-timing',
  title: 'Static timing, first start',
  short: 'static timing',
  fits: [BY_DISTRIBUTOR],
  begins: ['distributor-seated', 'gear-meshed', 'oil-drive-engaged', 'gasket-fitted'],
  reference: 'staticBtdc',
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      values: ['staticBtdc', 'rotorDirection', 'ratio', 'firingOrder']
    }),
    engine.makeSafe({ id: 'safe', phase: SAFE }),
    timing.setGap({ id: 'gap', phase: SAFE }),
    engine.plugsOut({ id: 'plugs', phase: CRANK }),
    engine.barOn({ id: 'bar', phase: CRANK }),
    crank.wheelOn({ id: 'wheel', phase: CRANK }),
    crank.trueTdc({ id: 'tdc', phase: CRANK }),
    crank.probeOut({ id: 'probe-out', phase: CRANK }),
    crank.judgeMark({ id: 'mark', phase: CRANK }),
    crank.measureSlack({ id: 'slack', phase: CRANK }),
    crank.proveStroke({ id: 'stroke', phase: CRANK }),
    crank.toReference({ id: 'ref', phase: CRANK, schools: ['overshoot', 'slack'] }),
    timing.roomBothWays({ id: 'room', phase: SET }),
    timing.identifyTrigger({ id: 'trigger', phase: SET }),
    timing.indexHousing({
      id: 'index',
      phase: SET,
      needs: ['distributor-seated', 'crank-at-reference', 'compression-confirmed', 'backlash-taken-up']
    }),
    timing.powerOff({ id: 'power-off', phase: SET }),
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
      needs: ['housing-indexed'],
      acts: ['turns-crank']
    }),
    cap.rotorTip({ id: 'tip', phase: SET }),
    timing.biasChosen({ id: 'bias', phase: SET }),
    distributor.clampSnug({ id: 'snug', phase: SET }),
    cap.capOn({ id: 'cap', phase: START }),
    cap.leadsInOrder({ id: 'leads', phase: START }),
    timing.hoseOff({ id: 'hose', phase: START }),
    timing.strobeOn({ id: 'strobe-on', phase: START }),
    crank.toolsOff({ id: 'off', phase: START }),
    distributor.oilPrimed({ id: 'prime', phase: START, onlyIf: ranDry }),
    timing.nothingLeft({ id: 'sweep-list', phase: START }),
    timing.firstStart({ id: 'start', phase: START }),
    timing.strobeInitial({ id: 'strobe', phase: START }),
    timing.idleSet({ id: 'idle-set', phase: START }),
    timing.clampFinal({ id: 'clamp-final', phase: START }),
    timing.hoseOn({ id: 'hose-on', phase: START }),
    engine.closeLog({ id: 'close', phase: START, mustBeOff: ['vacuum-plugged'] })
  ]
});
