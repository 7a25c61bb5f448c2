import { BY_PUMP, crank, engine, pump, sheet, step } from './authoring.ts';

const SAFE = 'Make safe';
const FIND = 'Find the crank';
const FIT = 'Fit the pump';
const PROVE = 'Prove and close';

/** A rotary pump that is locked where its injection begins: the crank is brought there and the gear pressed on. */
export const rotaryLock = sheet({
  id: 'rotary-lock',
  title: 'Fit a rotary pump locked at the start of injection',
  short: 'rotary pump, locked',
  fits: [BY_PUMP],
  calls: { 'plugs-out': { on: 'injectors out', off: 'injectors in' } },
  begins: [],
  reference: 'pumpBtdc',
  next: 'bleeding',
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      say: 'Check where injection begins, both torques and that of the lock\u2019s screw; and whether the lock means the start of injection or something else.',
      values: ['pumpCode', 'pumpBtdc', 'firstTorqueNm', 'finalTorqueNm'],
      choices: [
        {
          id: 'lock-means',
          question: 'The lock stands for',
          options: [
            { id: 'start', label: 'the start of injection' },
            {
              id: 'other',
              label: 'something else: stop, and read the maker\u2019s data',
              holds: 'the lock does not stand for the start of injection, and this sheet times by it'
            }
          ]
        }
      ]
    }),
    engine.makeSafe({ id: 'safe', phase: SAFE }),
    engine.plugsOut({
      id: 'plugs',
      phase: SAFE,
      title: 'Injector out, openings covered',
      say: 'Clean round the injectors, take number one out, cap its line, cover the openings not in use.',
      tools: ['injector tools', 'blower', 'caps', 'covers']
    }),
    engine.barOn({ id: 'bar', phase: SAFE }),
    pump.coverOff({ id: 'cover', phase: SAFE }),
    crank.wheelOn({ id: 'wheel', phase: FIND }),
    crank.trueTdc({
      id: 'tdc',
      phase: FIND,
      say: 'Drop a rod that cannot fall in through the injector\u2019s hole, dial on it, and read both sides well down from the top.'
    }),
    crank.proveStroke({ id: 'stroke', phase: FIND }),
    step({
      id: 'gears',
      phase: FIND,
      title: 'Marks of the gear train looked at',
      say: 'At TDC on compression look at the marks of crank, idler, cam and pump gear; an idler may hide its mark for many turns.',
      why: 'A tooth out looks like a fine error.',
      handles: {
        'train.crank': 'its mark',
        'train.idler': 'may hide it for many turns',
        'train.cam': 'its mark',
        'train.driven': 'the pump\u2019s gear'
      },
      accept: 'All pairs meet, or the idler\u2019s turn is counted.',
      ifSkipped: 'A tooth error taken for a fine one.',
      tools: ['lamp'],
      minutes: 10,
      hazards: ['rotating'],
      choices: [
        {
          id: 'train-marks',
          part: 'train.marks',
          question: 'The pairs of marks',
          options: [
            { id: 'meet', label: 'all meet' },
            { id: 'hidden', label: 'meet but the idler\u2019s, whose turns are counted' },
            {
              id: 'apart',
              label: 'do not meet: stop, a tooth is out',
              holds: 'the marks do not meet: find the tooth that is out before the pump is locked'
            },
            { id: 'none', label: 'cannot be found' }
          ]
        }
      ]
    }),
    pump.lockPump({ id: 'lock', phase: FIT, title: 'Pump locked at the start of injection' }),
    step({
      id: 'pump-on',
      phase: FIT,
      title: 'Pump on, gear free on its taper',
      say: 'Fit the pump locked, its flange in the middle of its slots, gear on with the nut by hand.',
      why: 'The gear must follow the crank while the shaft stays.',
      handles: { 'end.flange': 'in the middle of its slots', 'end.gear': 'free, no wobble', 'end.nut': 'by hand' },
      accept: 'The gear turns freely on the taper and does not wobble.',
      ifSkipped: 'The lock is loaded when the crank turns.',
      tools: ['spanners', 'seal'],
      minutes: 15,
      helper: 'advised',
      hazards: ['lift', 'solvent'],
      sets: ['pump-on', 'pump-gear-loose', 'lines-loose'],
      needs: ['pump-locked']
    }),
    pump.taperCleaned({ id: 'taper', phase: FIT }),
    pump.keyLooked({ id: 'key', phase: FIT }),
    crank.toReference({
      id: 'to-start',
      phase: FIT,
      title: 'Crank back, then forward to the start of injection',
      say: 'Turn back well past it, beyond all slack, then slowly forward onto it; probe out at once.',
      needs: ['compression-confirmed', 'barring-tool-fitted', 'pump-gear-loose', 'pump-locked'],
      acts: ['reaches-reference', 'turns-crank']
    }),
    crank.probeOut({ id: 'probe-out', phase: FIT }),
    pump.gearOn({
      id: 'gear',
      phase: FIT,
      title: 'Gear held on its running flank',
      say: 'Push the gear against its driven sense until it rests on the driving tooth, and keep holding.'
    }),
    pump.firstTorque({ id: 'first', phase: FIT }),
    pump.lockOut({
      id: 'unlock',
      phase: FIT,
      title: 'Lock to its running place',
      say: 'Loosen the lock, fit its spacer or key in the running slot, bring its screw to its torque; see that it stands there.'
    }),
    pump.finalTorque({ id: 'final', phase: FIT }),
    pump.lockTried({ id: 'prove', phase: PROVE, title: 'Proved: the lock enters at the start of injection' }),
    pump.allOff({ id: 'off', phase: PROVE }),
    pump.coverOn({ id: 'cover-on', phase: PROVE, needs: ['pump-timing-verified'] }),
    engine.closeLog({ id: 'close', phase: PROVE, mustBeOff: ['drive-cover-off', 'pump-locked'] })
  ]
});
