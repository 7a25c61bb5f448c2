import type { OnlyIf, Step } from '../../job/run-sheet.ts';
import type { Use } from '../../job/vocabulary.ts';
import { slots as crank } from '../crank/slots.ts';
import { chartKinds } from './fields.ts';
import { slots } from './slots.ts';
import { step } from './vocabulary.ts';

/** Steps of timing a pump on its engine; each sheet gives them an id and a place, and may narrow the words. */
export const chartProved = (u: Use): Step =>
  step(
    {
      title: 'Chart proved to be this pump\u2019s',
      say: 'Read the pump\u2019s plate and the heading of the chart, letter by letter; a second person reads both again.',
      why: 'Charts look alike and differ in what comes out.',
      accept: 'Every letter and digit the same, kind of chart known, read by two.',
      ifSkipped: 'The engine runs settled at a wrong angle.',
      tools: ['lamp', 'chart'],
      minutes: 8,
      helper: 'advised',
      sets: ['chart-confirmed'],
      needs: ['data-confirmed'],
      choices: [
        {
          id: 'chart-kind',
          question: 'The chart gives the',
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
      values: ['pumpCode', 'chartCode', 'liftChart', 'pumpBtdc'],
      schools: ['pump-method'],
      surface: 'lift-chart'
    },
    u
  );

export const coverOff = (u: Use): Step =>
  step(
    {
      title: 'Drive cover off, marks and gear in sight',
      say: 'Take the cover off, clean, find marks, gear bolts and locating bolt.',
      why: 'The setting is made at the gear.',
      accept: 'Marks readable, bolts within reach.',
      ifSkipped: 'Work at a gear nobody sees.',
      tools: ['spanners', 'lamp'],
      minutes: 20,
      hazards: ['solvent', 'hot-surface', 'hot-coolant', 'used-fluid', 'dropped-part'],
      sets: ['drive-cover-off'],
      needs: ['battery-isolated'],
      schools: ['pump-cover'],
      acts: ['opens-up', 'reaches-in']
    },
    u
  );

export const coverOn = (u: Use): Step =>
  step(
    {
      title: 'Drive cover on',
      say: 'Count the tools, fit cover and seal, the seal\u2019s lip over a thin sleeve.',
      why: 'Gears that run open throw what touches them, and a folded lip leaks.',
      accept: 'Count complete, lip not rolled, bolts at their torque.',
      ifSkipped: 'A thrown tool, an oil leak.',
      tools: ['sleeve', 'torque wrench'],
      minutes: 20,
      clears: ['drive-cover-off'],
      mustBeOff: ['degree-wheel-on']
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
      sets: ['indicator-zeroed', 'slack-taken-up'],
      needs: ['indicator-on', 'chart-confirmed', 'tdc-true'],
      slots: [slots.falling, slots['zero-again'], slots.lift, crank.stands],
      values: ['pumpBtdc'],
      surface: 'lift',
      schools: ['overshoot'],
      acts: ['turns-crank', 'turns-back', 'zeroes', 'accepts-lift', 'converts-lift']
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
      say: 'Hold the pump\u2019s hub, slacken the gear bolts, take the locating bolt out; watch that the dial does not move.',
      surface: 'element-section',
      why: 'The pump stays at its lift while the crank goes to its mark.',
      accept: 'The dial stands where it stood.',
      ifSkipped: 'The cam\u2019s springs snap the pump to another angle.',
      tools: ['hub holder', 'spanner'],
      minutes: 5,
      helper: 'yes',
      hazards: ['barring-tool', 'spring-release', 'pinch'],
      sets: ['pump-held', 'pump-gear-loose'],
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
      sets: ['crank-at-reference', 'slack-taken-up'],
      needs: ['pump-gear-loose'],
      slots: [crank.stands],
      values: ['backlashDeg', 'runningDirection'],
      surface: 'plan',
      schools: ['overshoot'],
      acts: ['reaches-reference', 'turns-crank', 'turns-back']
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
      clears: ['pump-gear-loose', 'pump-held'],
      needs: ['slack-taken-up'],
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

export const lockPump = (u: Use): Step =>
  step(
    {
      title: 'Pump set and locked',
      say: 'Turn the pump to its lock position, fit a lock that fits closely, try the shaft by hand, tag it.',
      why: 'The lock is the pump\u2019s reference, and a slack one gives angle away.',
      accept: 'The shaft does not move by hand.',
      ifSkipped: 'The pump\u2019s place is not known.',
      tools: ['locking tool', 'tag'],
      minutes: 4,
      sets: ['pump-locked'],
      choices: [
        {
          id: 'lock-fit',
          question: 'With the lock in, the shaft by hand',
          options: [
            { id: 'still', label: 'does not move' },
            { id: 'moves', label: 'moves' }
          ]
        }
      ]
    },
    u
  );

export const rearSupport: OnlyIf = {
  fact: 'rearSupport',
  question: 'Has the pump a rear support?',
  yes: 'It has one',
  no: 'None'
};

export const taperCleaned = (u: Use): Step =>
  step(
    {
      title: 'Both tapers clean and dry',
      say: 'Wash shaft and gear with a solvent that leaves nothing, wipe until the cloth stays white, no fingers after that, look for fretting.',
      why: 'A taper without a key holds by friction alone.',
      accept: 'A white cloth stays white; no raised metal.',
      ifSkipped: 'The gear slips under load, and the timing is lost.',
      tools: ['white cloths', 'fine stone'],
      minutes: 6,
      hazards: ['solvent', 'fuel-fire'],
      sets: ['taper-clean'],
      needs: ['pump-gear-loose']
    },
    u
  );

export const keyLooked = (u: Use): Step =>
  step(
    {
      title: 'Key as the data sheet says',
      say: 'Look whether a key belongs in this taper: fit it where the data ask for one, leave it out where they say so.',
      why: 'A loose key shears, and one too many holds the gear off its angle.',
      accept: 'As the data sheet says.',
      ifSkipped: 'A sheared key, a gear off its angle.',
      minutes: 2,
      sets: ['key-agreed'],
      choices: [
        {
          id: 'taper-key',
          question: 'The data ask for',
          options: [
            { id: 'none', label: 'no key' },
            { id: 'key', label: 'a key, and it is in' }
          ]
        }
      ]
    },
    u
  );

export const gearOn = (u: Use): Step =>
  step(
    {
      title: 'Gear pressed on, against its running flank',
      say: 'Mesh it, push it onto the taper, hold it against the flank that drives, washer and nut by hand.',
      why: 'From here on friction holds the angle.',
      accept: 'No play felt, the gear does not rock.',
      ifSkipped: 'The slack is on the wrong side.',
      minutes: 4,
      helper: 'yes',
      hazards: ['pinch'],
      needs: ['taper-clean', 'pump-locked', 'crank-at-reference', 'slack-taken-up'],
      acts: ['fits-gear', 'reaches-in']
    },
    u
  );

export const firstTorque = (u: Use): Step =>
  step(
    {
      title: 'First torque, lock still in',
      say: 'Hold the engine by the bar, bring the nut to its first torque.',
      why: 'Friction enough to hold, not enough to break the lock.',
      accept: 'First torque reached, the lock not loaded.',
      ifSkipped: 'A bent lock, the pump\u2019s reference lost.',
      tools: ['torque wrench', 'bar'],
      minutes: 3,
      helper: 'yes',
      hazards: ['barring-tool', 'overtorque'],
      sets: ['taper-prelim'],
      clears: ['pump-gear-loose'],
      needs: ['pump-locked', 'taper-clean', 'slack-taken-up'],
      slots: [slots['torque-first']],
      values: ['firstTorqueNm'],
      surface: 'gear-torque',
      acts: ['torques-taper']
    },
    u
  );

export const lockOut = (u: Use): Step =>
  step(
    {
      title: 'Lock out, and shown',
      say: 'Take the lock out, or to its running place, and show it to the second person.',
      why: 'The final torque must not go through it.',
      accept: 'Seen outside, or seen in its running place.',
      ifSkipped: 'Lock, governor or shaft broken.',
      minutes: 2,
      helper: 'advised',
      clears: ['pump-locked'],
      needs: ['taper-prelim'],
      acts: ['removes-lock']
    },
    u
  );

export const finalTorque = (u: Use): Step =>
  step(
    {
      title: 'Final torque, engine held',
      say: 'A second person holds the bar; bring the nut to its final torque in one smooth pull.',
      why: 'Friction must carry the drive, and the nut tries to turn everything.',
      accept: 'Final torque reached, the engine has not moved.',
      ifSkipped: 'The gear slips at work.',
      tools: ['torque wrench', 'bar'],
      minutes: 4,
      helper: 'yes',
      hazards: ['barring-tool', 'overtorque'],
      sets: ['taper-final'],
      needs: ['taper-prelim'],
      mustBeOff: ['pump-locked', 'engine-pin-in'],
      slots: [slots['torque-final']],
      values: ['finalTorqueNm'],
      surface: 'gear-torque',
      acts: ['torques-final']
    },
    u
  );

export const lockTried = (u: Use): Step =>
  step(
    {
      title: 'Proved: the lock enters at its place',
      say: 'Two turns forward, come slowly forward to the place, try the lock, read the crank; take the lock out at once and show it.',
      why: 'Only a second approach shows that the angle outlived the torque.',
      accept: 'The lock enters freely within what the proof may differ by, and is seen outside again.',
      ifSkipped: 'A gear that slipped is not noticed.',
      tools: ['locking tool', 'bar', 'degree wheel'],
      minutes: 6,
      helper: 'yes',
      hazards: ['barring-tool', 'rotating'],
      role: 'lock-proof',
      sets: ['pump-timing-verified'],
      needs: ['taper-final', 'tdc-true'],
      slots: [crank.stands],
      values: ['proofWithinDeg'],
      surface: 'proof',
      schools: ['overshoot'],
      acts: ['turns-crank']
    },
    u
  );

export const allOff = (u: Use): Step =>
  step(
    {
      title: 'Wheel, pointer, dial and bar off, counted',
      say: 'Take off wheel, pointer, probe and bar; count locks, pins and tools onto the bench.',
      why: 'A lock left in destroys the pump at the first crank, and whatever stays on is thrown.',
      accept: 'As much counted back as was given out.',
      ifSkipped: 'A thrown tool, a broken pump.',
      minutes: 6,
      hazards: ['flying', 'barring-tool'],
      clears: ['degree-wheel-on', 'barring-tool-fitted', 'plugs-out'],
      mustBeOff: ['pump-locked', 'engine-pin-in', 'probe-in', 'piston-stop-in', 'indicator-on']
    },
    u
  );
