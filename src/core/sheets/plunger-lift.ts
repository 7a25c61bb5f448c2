import { BY_PUMP, crank, engine, pump, sheet } from './authoring.ts';

const SAFE = 'Make safe';
const FIND = 'Find the crank';
const FOUND = 'How the pump stands';
const SET = 'Set the gear';
const CLOSE = 'Prove and close';

/** An inline pump timed by the lift of its plunger and the chart that was made for it. */
export const plungerLift = sheet({
  id: 'plunger-lift',
  title: 'Time an inline pump by plunger lift',
  short: 'pump by plunger lift',
  fits: [BY_PUMP],
  calls: { 'plugs-out': { on: 'injectors out', off: 'injectors in' } },
  begins: ['pump-on'],
  reference: 'pumpBtdc',
  // a lift that stands at TDC is set with the crank at TDC; one that closes the port with the crank at the timing wanted
  referenceAtTdc: { chosen: 'chart-kind', field: 'chartKind', is: 'lift-at-tdc' },
  next: 'bleeding',
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      say: 'Read the pump\u2019s own plate; check code, plunger and cam, timing wanted and its limits, slot and bolts.',
      values: ['pumpCode', 'pumpBtdc', 'pumpRatio', 'strokeMm', 'rodMm', 'runningDirection']
    }),
    pump.chartProved({ id: 'chart', phase: SAFE }),
    engine.makeSafe({ id: 'safe', phase: SAFE }),
    engine.plugsOut({
      id: 'plugs',
      phase: SAFE,
      title: 'Injectors out, openings covered',
      say: 'Clean round the injectors, take out number one at least, cap its line, cover the openings not in use.',
      tools: ['injector tools', 'blower', 'caps', 'covers']
    }),
    engine.barOn({ id: 'bar', phase: SAFE }),
    pump.coverOff({ id: 'cover', phase: SAFE }),
    crank.wheelOn({ id: 'wheel', phase: FIND }),
    crank.trueTdc({ id: 'tdc', phase: FIND }),
    crank.judgeMark({ id: 'mark', phase: FIND }),
    crank.probeOut({ id: 'probe-out', phase: FIND }),
    crank.measureSlack({ id: 'slack', phase: FIND }),
    crank.proveStroke({ id: 'stroke', phase: FIND }),
    pump.valveOut({ id: 'valve-out', phase: FOUND }),
    pump.dialOn({ id: 'dial', phase: FOUND }),
    pump.wholeCycle({ id: 'lift', phase: FOUND, title: 'Lift as it was found', schools: ['overshoot', 'slack'] }),
    pump.decideTurn({ id: 'decide', phase: FOUND }),
    pump.gearFreed({ id: 'free', phase: SET }),
    pump.crankToMark({ id: 'to-mark', phase: SET }),
    pump.tightened({ id: 'tighten', phase: SET }),
    pump.wholeCycle({
      id: 'verify',
      phase: CLOSE,
      title: 'Whole cycle measured again',
      why: 'One reading is no proof, and tightening drags the gear.',
      accept: 'Inside its limits by the whole of its doubt.',
      ifSkipped: 'A mistake sealed under the cover.',
      role: 'lift-proof',
      sets: ['indicator-zeroed', 'backlash-taken-up', 'pump-timing-verified'],
      mustBeOff: ['pump-gear-loose']
    }),
    pump.valveIn({ id: 'valve-in', phase: CLOSE }),
    pump.allOff({
      id: 'off',
      phase: CLOSE,
      say: 'Take off wheel, pointer and bar, injectors back in, count all tools.'
    }),
    pump.coverOn({ id: 'cover-on', phase: CLOSE, needs: ['pump-timing-verified'] }),
    engine.closeLog({ id: 'close', phase: CLOSE, mustBeOff: ['drive-cover-off', 'delivery-valve-out'] })
  ]
});
