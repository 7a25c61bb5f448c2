import { allBack } from '../domains/walk/slots.ts';
import { rearSupport } from '../domains/pump/steps.ts';
import { slots as pumpSlots } from '../domains/pump/slots.ts';
import { slots as crankSlots } from '../domains/crank/slots.ts';
import { BY_PUMP, crank, engine, pump, sheet, step } from './authoring.ts';

const PLAN = 'Plan the angle';
const FIND = 'Find the crank';
const FIT = 'Fit the pump';
const PRESS = 'Press the gear on';
const PROVE = 'Prove and close';

/** An inline pump with its own lock, on a taper without a key, its gear pressed on with an offset of the crank. */
export const lockedOffset = sheet({
  id: 'locked-offset',
  title: 'Fit a locked pump with a gear offset',
  short: 'locked pump, offset gear',
  fits: [BY_PUMP],
  calls: { 'plugs-out': { on: 'injectors out', off: 'injectors in' } },
  begins: [],
  reference: 'gearOffsetBtdc',
  referenceSlot: 'offset-decided',
  next: 'bleeding',
  steps: [
    engine.intake({
      id: 'intake',
      phase: PLAN,
      say: 'Check the timing wanted, the pump\u2019s setting at its lock, both torques, flange and support.',
      values: ['pumpCode', 'pumpBtdc', 'lockBtdc', 'firstTorqueNm', 'finalTorqueNm']
    }),
    step({
      id: 'ledger',
      phase: PLAN,
      title: 'Ledger closed',
      say: 'Type the pump\u2019s setting as on its tag, with all its decimals, then where the crank is to stand when the gear is pressed on; a second person adds it up.',
      why: 'Mixed or rounded figures leave nobody knowing the total.',
      accept: 'Both terms together are the timing wanted.',
      ifSkipped: 'A total that nobody planned.',
      minutes: 5,
      helper: 'advised',
      sets: ['offset-planned'],
      needs: ['data-confirmed'],
      slots: [pumpSlots['lock-setting'], pumpSlots['offset-decided']],
      choices: [
        {
          id: 'ledger-read',
          question: 'The ledger was added up by',
          options: [
            { id: 'one', label: 'one person' },
            { id: 'two', label: 'two persons' }
          ]
        }
      ],
      values: ['pumpBtdc', 'lockBtdc', 'lockWithinDeg', 'gearOffsetBtdc'],
      schools: ['offset-home'],
      surface: 'ledger'
    }),
    engine.makeSafe({ id: 'safe', phase: FIND }),
    engine.plugsOut({
      id: 'plugs',
      phase: FIND,
      title: 'Injectors out, openings covered',
      say: 'Clean round the injectors, take out number one at least, cover the openings not in use.',
      tools: ['injector tools', 'blower', 'covers']
    }),
    engine.barOn({ id: 'bar', phase: FIND }),
    pump.coverOff({ id: 'cover', phase: FIND }),
    crank.wheelOn({ id: 'wheel', phase: FIND }),
    crank.trueTdc({ id: 'tdc', phase: FIND }),
    crank.probeOut({ id: 'probe-out', phase: FIND }),
    crank.measureSlack({ id: 'slack', phase: FIND }),
    crank.proveStroke({ id: 'stroke', phase: FIND }),
    step({
      id: 'pin',
      phase: FIND,
      title: 'Timing pin in at TDC',
      say: 'Bring the crank forward to number one\u2019s firing TDC, feel the pin home under the weight of a finger, read the wheel there.',
      why: 'It keeps TDC while the pump goes on, and it is a second witness for the wheel.',
      accept: 'It enters freely.',
      ifSkipped: 'The crank strays while the pump is fitted.',
      tools: ['timing pin'],
      minutes: 3,
      sets: ['engine-pin-in'],
      needs: ['compression-confirmed'],
      slots: [crankSlots.stands],
      choices: [
        {
          id: 'pin-goes-in',
          question: 'The pin goes into',
          options: [
            { id: 'crank', label: 'crank or flywheel: it enters at both TDCs' },
            { id: 'cam', label: 'the cam gear: it enters at the firing TDC alone' }
          ]
        }
      ],
      surface: 'plan',
      goal: 'firing-tdc',
      schools: ['overshoot'],
      acts: ['pins-crank', 'turns-crank']
    }),
    pump.lockPump({ id: 'lock', phase: FIT }),
    step({
      id: 'fittings',
      phase: FIT,
      title: 'Hidden fittings on, oil feed first',
      say: 'On the bench: fit oil feed, rear fittings and seals, and set their direction.',
      why: 'Some cannot be reached later.',
      handles: { 'end.oil': 'first, tight', 'end.flange': 'rear fittings and seals as well' },
      accept: 'Tight and aligned.',
      ifSkipped: 'The pump comes off again, or runs dry.',
      tools: ['spanners', 'seals'],
      minutes: 15,
      sets: ['pump-oil-line-on']
    }),
    step({
      id: 'hang',
      phase: FIT,
      title: 'Pump hung on its flange',
      say: 'Wet the seal, lift with a hoist or two people, start the flange nuts, pull the flange up evenly by hand, then tighten.',
      why: 'It is heavy and overhangs.',
      handles: { 'end.flange': 'pulled up evenly by hand', 'end.gear': 'free on its taper' },
      accept: 'Flange flush, nothing cocked.',
      ifSkipped: 'A broken case or flange.',
      tools: ['hoist', 'spanners'],
      minutes: 20,
      helper: 'yes',
      hazards: ['lift', 'pinch'],
      sets: ['pump-on', 'pump-gear-loose', 'lines-loose'],
      needs: ['pump-locked']
    }),
    step({
      id: 'bracket',
      phase: FIT,
      title: 'Rear support on',
      say: 'Bracket loose first, flange tight, then the bracket.',
      why: 'The overhang breaks cover or flange.',
      handles: { 'end.bracket': 'loose first, then tight', 'end.flange': 'tight in between' },
      accept: 'It carries the pump and pulls on nothing.',
      ifSkipped: 'A broken flange.',
      minutes: 5,
      sets: ['support-bracket-on'],
      onlyIf: rearSupport
    }),
    step({
      id: 'pin-out',
      phase: PRESS,
      title: 'Timing pin out, and shown',
      say: 'Take the pin out, show it to the second person, lay it on the tray.',
      why: 'A forgotten pin breaks, and so does its housing.',
      accept: 'Seen outside.',
      ifSkipped: 'Pin and housing broken.',
      minutes: 1,
      helper: 'advised',
      clears: ['engine-pin-in']
    }),
    crank.toReference({
      id: 'to-offset',
      schools: ['overshoot', 'slack'],
      phase: PRESS,
      title: 'Crank back, then forward to the offset',
      say: 'Turn back well past the offset, beyond all slack, then slowly forward onto it.',
      why: 'The slack must lie on the running side when the gear is pressed on.',
      ifSkipped: 'The offset is short by the slack.',
      needs: ['compression-confirmed', 'barring-tool-fitted', 'pump-gear-loose'],
      mustBeOff: ['engine-pin-in'],
      acts: ['reaches-reference', 'turns-crank']
    }),
    pump.taperCleaned({ id: 'taper', phase: PRESS }),
    pump.keyLooked({ id: 'key', phase: PRESS }),
    pump.gearOn({ id: 'gear', phase: PRESS }),
    pump.firstTorque({ id: 'first', phase: PRESS }),
    pump.lockOut({ id: 'unlock', phase: PRESS }),
    pump.finalTorque({ id: 'final', phase: PRESS }),
    pump.lockTried({ id: 'prove-lock', phase: PROVE }),
    step({
      id: 'prove-pin',
      phase: PROVE,
      title: 'Proved: the pin enters at TDC',
      say: 'Lock out, a finger\u2019s load on the pin, turn by tiny steps to TDC, read the wheel where it enters; take it out at once and show it.',
      why: 'It checks the wheel by a witness of its own.',
      accept: 'It enters at zero within its clearance, and is seen outside again.',
      ifSkipped: 'A wheel that moved is not noticed.',
      tools: ['timing pin', 'bar'],
      minutes: 4,
      helper: 'yes',
      hazards: ['barring-tool', 'pinch'],
      role: 'pin-proof',
      needs: ['pump-timing-verified'],
      mustBeOff: ['pump-locked'],
      slots: [crankSlots.stands],
      values: ['pinWithinDeg'],
      surface: 'proof',
      goal: 'firing-tdc',
      acts: ['turns-crank']
    }),
    step({
      id: 'restore',
      phase: PROVE,
      title: 'Running plug in, tools counted',
      say: 'Fit the lock\u2019s hole with its own plug in its running place, cap and seal it; count the tools.',
      why: 'The lock\u2019s hole is the pump\u2019s running closure.',
      handles: { 'end.lock': 'out; its own plug in, sealed' },
      accept: 'Count back equals count out.',
      ifSkipped: 'A lock left in destroys the pump at the first crank.',
      minutes: 4,
      hazards: ['dropped-part'],
      slots: allBack,
      mustBeOff: ['pump-locked', 'engine-pin-in']
    }),
    pump.allOff({ id: 'off', phase: PROVE }),
    pump.coverOn({ id: 'cover-on', phase: PROVE, needs: ['pump-timing-verified'] }),
    engine.closeLog({ id: 'close', phase: PROVE, mustBeOff: ['drive-cover-off', 'pump-locked', 'engine-pin-in'] })
  ]
});
