import { slots as engineSlots } from '../domains/engine/slots.ts';
import { allBack } from '../domains/walk/slots.ts';
import { slots as timingSlots } from '../domains/timing/slots.ts';
import { slots as toothSlots } from '../domains/tooth/slots.ts';
import { BY_DISTRIBUTOR, crank, engine, looked, sheet, stack, step, tooth } from './authoring.ts';

const SAFE = 'Make safe';
const FLOAT = 'Measure the float';
const CRANK = 'Find the crank';
const POINT = 'Point the drive';
const CLOSE = 'Close the pedestal';

/** A distributor on a pedestal above a separate drive shaft: float, packing, depth, tooth and oil pump. */
export const pedestal = sheet({
  id: 'pedestal',
  title: 'Fit the drive under its pedestal',
  short: 'drive and pedestal: float, packing, tooth',
  fits: [BY_DISTRIBUTOR, { field: 'driveKind', is: ['pedestal'], otherwise: 'its drive is: $' }],
  begins: ['distributor-out', 'cap-off'],
  reference: 'staticBtdc',
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      say: 'Check float limits, packings, gear and the drive\u2019s direction on the data sheet.',
      values: ['floatMinMm', 'floatMaxMm', 'firingOrder', 'rotorDirection', 'ratio', 'gearTeeth']
    }),
    engine.makeSafe({ id: 'safe', phase: SAFE }),
    engine.barOn({ id: 'bar', phase: SAFE }),
    engine.coverOpenings({ id: 'cover', phase: SAFE }),
    step({
      id: 'inspect',
      phase: FLOAT,
      title: 'Shaft, gear, bush and faces looked at',
      say: 'Clean; look at tooth and thrust faces, tang and slot; stone burrs; lay the pedestal on a flat plate.',
      why: 'Wear and burrs change both float and mesh.',
      handles: {
        'pedestal.gear': 'tooth faces',
        'pedestal.faces': 'steps, burrs',
        'pedestal.tang': 'both',
        'pedestal.bush': 'play',
        'pedestal.body': 'on a flat plate'
      },
      accept: 'Flat; no step and no rough tooth.',
      ifSkipped: 'A false gap, a worn gear put back.',
      tools: ['surface plate', 'fine stone'],
      minutes: 8,
      hazards: ['solvent'],
      choices: [
        looked('seen-teeth', 'pedestal.gear', 'Teeth', 'a worn gear wears its partner'),
        looked('seen-faces', 'pedestal.faces', 'Thrust faces', 'a step in them gives a false gap'),
        looked('seen-tang', 'pedestal.tang', 'Tang and slot', 'their play is play of the timing'),
        looked('seen-bush', 'pedestal.bush', 'Bush', 'the shaft stands off its centre')
      ]
    }),
    step({
      id: 'washer-prep',
      phase: FLOAT,
      title: 'Gauge washer made true',
      say: 'Lap both faces of an unused flat washer on abrasive over glass until the pattern covers them; deburr.',
      why: 'A ridge adds a thickness that is not there.',
      handles: { 'pedestal.washer': 'both faces lapped' },
      accept: 'Full, even pattern on both faces.',
      ifSkipped: 'Every figure after it carries the ridge.',
      tools: ['glass plate', 'abrasive sheet']
    }),
    stack.measureWasher({ id: 'washer', phase: FLOAT }),
    stack.washerIn({ id: 'washer-in', phase: FLOAT }),
    stack.measureGap({ id: 'gap', phase: FLOAT }),
    stack.choosePacking({ id: 'packing', phase: FLOAT }),
    stack.measurePacking({ id: 'pack-measure', phase: FLOAT }),
    stack.washerOut({ id: 'washer-out', phase: FLOAT }),
    stack.measureDepth({ id: 'depth', phase: FLOAT }),
    engine.plugsOut({ id: 'plugs', phase: CRANK }),
    crank.wheelOn({ id: 'wheel', phase: CRANK }),
    crank.trueTdc({ id: 'tdc', phase: CRANK }),
    crank.probeOut({ id: 'probe-out', phase: CRANK }),
    crank.judgeMark({ id: 'mark', phase: CRANK }),
    crank.proveStroke({ id: 'stroke', phase: CRANK }),
    crank.toReference({ id: 'ref', phase: CRANK }),
    tooth.planTooth({
      id: 'tooth-plan',
      phase: POINT,
      say: 'Let the drive down in any tooth, read the rotor\u2019s bearing, then the two ends of the housing\u2019s free arc.',
      needs: ['crank-at-reference', 'compression-confirmed']
    }),
    tooth.leadRotor({ id: 'lead', phase: POINT }),
    tooth.letDown({
      id: 'in',
      phase: POINT,
      title: 'Drive let down on its tooth',
      say: 'Point the rotor where the plan says, then let the drive down without force.',
      needs: ['crank-at-reference', 'compression-confirmed'],
      mustBeOff: ['gauge-washer-in'],
      surface: 'tooth'
    }),
    tooth.dropIn({ id: 'drop', phase: POINT }),
    crank.toReference({
      id: 'back',
      phase: POINT,
      title: 'Crank back to the reference',
      say: 'Turning to seat has moved the crank: bring it to the reference again, last movement forward.',
      needs: ['gear-meshed', 'compression-confirmed'],
      onlyIf: tooth.stoppedHigh
    }),
    step({
      id: 'recheck',
      phase: POINT,
      title: 'Direction judged, right down',
      say: 'With the drive right down and the crank at the reference, read the rotor once more.',
      why: 'The last bit of drop turns the shaft a little more.',
      accept: 'Within half a tooth of the plan.',
      ifSkipped: 'One tooth out, found only with the strobe.',
      tools: ['lamp'],
      minutes: 2,
      sets: ['drive-oriented', 'oil-drive-engaged', 'distributor-seated'],
      needs: ['crank-at-reference', 'gear-meshed'],
      slots: [
        { ...toothSlots.rotor, label: 'rotor right down, bearing from above' },
        { ...toothSlots['drive-slot'], label: 'slot of the drive, bearing from above' }
      ],
      surface: 'tooth'
    }),
    step({
      id: 'seal',
      phase: CLOSE,
      title: 'Packing and pedestal on, tightened evenly',
      say: 'Packing as measured, sealant as in the sum or none, tighten evenly to torque.',
      why: 'The finished drive must repeat what was measured.',
      handles: { 'pedestal.packing': 'as measured', 'pedestal.screws': 'evenly, to torque' },
      accept: 'Torque reached.',
      ifSkipped: 'A leak, or a float changed by a film of sealant.',
      tools: ['torque wrench'],
      minutes: 6,
      sets: ['gasket-fitted'],
      schools: ['sealant'],
      ways: {
        sealant: {
          dry: { say: 'Packing as measured, dry, no sealant; tighten evenly to torque.' },
          film: {
            say: 'Packing as measured, a thin film of sealant that does not harden on both faces; tighten evenly to torque before it sets.',
            ifSkipped: 'A leak. The film adds to the float: what is measured afterwards decides.',
            tools: ['torque wrench', 'sealant'],
            minutes: 10
          }
        }
      },
      needs: ['drive-oriented', 'packing-chosen'],
      mustBeOff: ['gauge-washer-in'],
      slots: [{ ...timingSlots.torque, label: 'pedestal screws' }],
      acts: ['tightens-pedestal']
    }),
    stack.proveFloat({ id: 'prove', phase: CLOSE, needs: ['gasket-fitted'] }),
    step({
      id: 'aux',
      phase: CLOSE,
      title: 'Auxiliary drives in',
      say: 'Oil and fit the speed drive, line its locking screw up with the groove, feel it turn.',
      why: 'Auxiliary drives share this shaft.',
      handles: { 'pedestal.speed': 'oiled, turns freely, screw locked' },
      accept: 'Turns freely, locked.',
      ifSkipped: 'A dry side gear, a leak.'
    }),
    step({
      id: 'off',
      phase: CLOSE,
      title: 'Wheel and bar off, counted',
      say: 'Take wheel, pointer wire and bar off; count back the tools, and the small parts that were laid out.',
      why: 'Whatever stays on the crank is thrown.',
      accept: 'Count complete.',
      ifSkipped: 'A thrown wheel.',
      minutes: 4,
      hazards: ['barring-tool', 'rotating'],
      slots: [engineSlots['small-parts-back'], ...allBack],
      clears: ['degree-wheel-on', 'barring-tool-fitted'],
      mustBeOff: ['probe-in', 'piston-stop-in', 'gauge-washer-in']
    }),
    engine.closeLog({ id: 'close', phase: CLOSE })
  ]
});
