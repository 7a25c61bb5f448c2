import type { OnlyIf, Step } from '../../job/run-sheet.ts';
import type { Use } from '../../job/vocabulary.ts';
import { slots as crank } from '../crank/slots.ts';
import { slots } from './slots.ts';
import { step } from './vocabulary.ts';

/** Steps of a pump that is held by its lock while its gear is pressed on: taper, two torques, lock out, both proofs. */
export const lockPump = (u: Use): Step =>
  step(
    {
      title: 'Pump set and locked',
      say: 'Turn the pump to its lock position, fit a lock that fits closely, try the shaft by hand, tag it.',
      why: 'The lock is the pump\u2019s reference, and a slack one gives angle away.',
      handles: { 'end.lock': 'in', 'end.taper': 'does not move by hand' },
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
      handles: { 'end.taper': 'clean, dry', 'end.hub': 'clean, dry' },
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
      handles: { 'end.key': 'seen, and agreed' },
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
      handles: { 'end.gear': 'held against its driving tooth', 'end.nut': 'by hand first' },
      accept: 'No play felt, the gear does not rock.',
      ifSkipped: 'The slack is on the wrong side.',
      minutes: 4,
      helper: 'yes',
      hazards: ['pinch'],
      needs: ['taper-clean', 'pump-locked', 'crank-at-reference', 'backlash-taken-up'],
      adjusts: ['pump-gear'],
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
      needs: ['pump-locked', 'taper-clean', 'backlash-taken-up'],
      slots: [slots['torque-first']],
      values: ['firstTorqueNm'],
      surface: 'gear-torque',
      adjusts: ['pump-gear'],
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
      handles: { 'end.lock': 'out, laid down in sight' },
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
      adjusts: ['pump-gear'],
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
      goal: 'reference',
      turnsOn: 2,
      schools: ['overshoot'],
      acts: ['turns-crank']
    },
    u
  );
