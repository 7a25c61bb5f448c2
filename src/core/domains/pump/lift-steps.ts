import type { Step } from '../../job/run-sheet.ts';
import type { Use } from '../../job/vocabulary.ts';
import { slots as crank } from '../crank/slots.ts';
import { chartKinds } from './fields.ts';
import { slots } from './slots.ts';
import { step } from './vocabulary.ts';

/** Steps of timing an inline pump by the lift of its plunger: chart, dial, whole cycle, correction at the gear. */
export const chartProved = (u: Use): Step =>
  step(
    {
      title: 'Chart or lift proved to be this pump\u2019s',
      say: 'Read the pump\u2019s plate and the heading of the maker\u2019s chart or figure, letter by letter; a second person reads both again.',
      why: 'Charts look alike and differ in what comes out.',
      accept: 'Every letter and digit the same, known what the lift means, read by two.',
      ifSkipped: 'The engine runs settled at a wrong angle.',
      tools: ['lamp', 'chart'],
      minutes: 8,
      helper: 'advised',
      sets: ['chart-confirmed'],
      needs: ['data-confirmed'],
      choices: [
        {
          id: 'chart-kind',
          question: 'The maker gives the',
          field: 'chartKind',
          options: chartKinds
        },
        {
          id: 'plate-read',
          question: 'Plate and heading were read by',
          options: [
            { id: 'one', label: 'one person' },
            { id: 'two', label: 'two persons' }
          ]
        }
      ],
      values: ['pumpCode', 'chartCode', 'pumpBtdc'],
      valuesBy: {
        chosen: 'chart-kind',
        field: 'chartKind',
        values: { 'lift-at-tdc': ['liftChart'], 'lift-to-closure': ['closureMm'] }
      },
      surface: 'lift-chart'
    },
    u
  );

export const valveOut = (u: Use): Step =>
  step(
    {
      title: 'Line and delivery valve of number one out',
      say: 'Clean round them, relieve the pressure, take line, holder and valve out in order onto a clean tray, cap every opening, fit the adaptor.',
      surface: 'element-section',
      why: 'The dial must ride on the plunger, and dirt in a valve ruins the pump.',
      accept: 'Parts in their order, nothing open.',
      ifSkipped: 'A lost spring or shim, a dribbling injector.',
      tools: ['pump tools', 'caps', 'tray', 'adaptor'],
      minutes: 15,
      hazards: ['hp-fuel', 'fuel-fire', 'eyes', 'dropped-part', 'used-fluid', 'solvent'],
      sets: ['delivery-valve-out', 'openings-covered'],
      mustBeOff: ['engine-running']
    },
    u
  );

export const dialOn = (u: Use): Step =>
  step(
    {
      title: 'Dial on the plunger, with travel left both ways',
      say: 'Fix the stand, contact square on the plunger, sweep one whole turn of the pump by hand and read what travel the dial has left below and above.',
      surface: 'element-section',
      why: 'A dial at its end stands still, and that looks like a base circle.',
      accept: 'Travel left at both ends over a whole turn.',
      ifSkipped: 'A zero that is none, or a bent dial.',
      tools: ['dial', 'extensions', 'adaptor'],
      minutes: 6,
      sets: ['indicator-on', 'travel-proved'],
      needs: ['battery-isolated', 'delivery-valve-out'],
      slots: [slots['spare-low'], slots['spare-high']],
      acts: ['turns-crank']
    },
    u
  );

export const wholeCycle = (u: Use): Step =>
  step(
    {
      title: 'Base circle, zero, and forward to the lift',
      say: 'Back the crank until the dial stands still and a little further; zero it, let it fall once more; then forward, turns of the dial counted aloud, and read lift and crank.',
      why: 'Zero belongs on the base circle, and a lift counts only on the rising side, in the running direction.',
      accept: 'Zero comes back within a pointer\u2019s width; the last movement was forward.',
      ifSkipped: 'The lift reads small by the ramp, or is wrong by a whole turn of the dial.',
      tools: ['bar', 'dial', 'degree wheel'],
      minutes: 12,
      helper: 'yes',
      hazards: ['barring-tool', 'rotating'],
      sets: ['indicator-zeroed', 'backlash-taken-up'],
      needs: ['indicator-on', 'chart-confirmed', 'tdc-true'],
      slots: [slots.falling, slots['zero-again'], slots.lift, crank.stands],
      values: ['pumpBtdc'],
      surface: 'lift',
      goal: 'reference',
      schools: ['overshoot'],
      acts: ['turns-crank', 'zeroes', 'accepts-lift', 'converts-lift']
    },
    u
  );

export const decideTurn = (u: Use): Step =>
  step(
    {
      title: 'Which way, and how far',
      say: 'Read the sentence and look at the drawing from the drive end; both of you say aloud which way.',
      why: 'A correction in the wrong sense doubles the error.',
      accept: 'Both agree on the sense, and the slot reaches.',
      ifSkipped: 'The error doubled.',
      minutes: 3,
      helper: 'advised',
      values: ['pumpBtdc', 'pumpRatio'],
      surface: 'gear-slot'
    },
    u
  );

export const gearFreed = (u: Use): Step =>
  step(
    {
      title: 'Pump held, gear freed',
      say: 'Hold the pump\u2019s hub, slacken the gear bolts, take the locating bolt out; turn the hub until the dial shows the lift that must stand, and hold it there.',
      surface: 'element-section',
      why: 'The pump stays at its lift while the crank goes to its mark.',
      accept: 'The dial stands at the lift that must stand.',
      ifSkipped: 'The cam\u2019s springs snap the pump to another angle.',
      tools: ['hub holder', 'spanner'],
      minutes: 5,
      helper: 'yes',
      hazards: ['barring-tool', 'spring-release', 'pinch'],
      sets: ['pump-held', 'pump-gear-loose'],
      adjusts: ['pump-gear'],
      needs: ['indicator-zeroed'],
      slots: [slots['lift-held']]
    },
    u
  );

export const crankToMark = (u: Use): Step =>
  step(
    {
      title: 'Crank past its mark, then forward onto it',
      say: 'Turn back well past the mark, then forward onto it, the pump held at the wanted lift.',
      why: 'Straight back onto the mark leaves the slack on the wrong side.',
      accept: 'Lift and mark right together, last moved forward.',
      ifSkipped: 'The timing is wrong by the slack of the drive.',
      tools: ['bar', 'lamp'],
      minutes: 6,
      helper: 'yes',
      hazards: ['barring-tool', 'rotating', 'pinch'],
      sets: ['crank-at-reference', 'backlash-taken-up'],
      needs: ['pump-gear-loose'],
      slots: [crank.stands],
      values: ['runningDirection'],
      wants: ['backlashDeg'],
      surface: 'plan',
      schools: ['overshoot'],
      acts: ['reaches-reference', 'turns-crank']
    },
    u
  );

export const tightened = (u: Use): Step =>
  step(
    {
      title: 'Gear tightened, lift watched',
      say: 'Nip the bolts crosswise with the gear against its running flank, tighten to the final torque, read the lift before and after.',
      why: 'Tightening drags the gear.',
      accept: 'The lift unchanged, the final torque reached.',
      ifSkipped: 'The angle slips while it is tightened.',
      tools: ['torque wrench', 'dial'],
      minutes: 6,
      helper: 'yes',
      hazards: ['barring-tool', 'overtorque', 'pinch'],
      role: 'drag',
      adjusts: ['pump-gear'],
      clears: ['pump-gear-loose', 'pump-held'],
      needs: ['backlash-taken-up'],
      slots: [slots['lift-held'], slots['torque-final'], slots['lift-tight']],
      values: ['finalTorqueNm'],
      surface: 'gear-slot'
    },
    u
  );

export const valveIn = (u: Use): Step =>
  step(
    {
      title: 'Dial off, valve, holder and line back in',
      say: 'Take dial and adaptor off, new seal, valve and holder in their order, holder to its torque, line without strain, its union left loose for bleeding.',
      surface: 'element-section',
      why: 'Order, cleanliness and torque decide whether it dribbles.',
      accept: 'No part left on the tray.',
      ifSkipped: 'A leak, a dribble, a wrong delivery.',
      tools: ['torque wrench'],
      minutes: 10,
      hazards: ['hp-fuel', 'fuel-fire'],
      sets: ['lines-loose'],
      clears: ['indicator-on', 'indicator-zeroed', 'delivery-valve-out'],
      needs: ['pump-timing-verified']
    },
    u
  );
