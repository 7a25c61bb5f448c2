import type { OnlyIf, Step } from '../../job/run-sheet.ts';
import { slots as crank } from '../crank/slots.ts';
import { slots as distributor } from '../distributor/slots.ts';
import { slots } from './slots.ts';
import type { Use } from '../../job/vocabulary.ts';
import { step } from './vocabulary.ts';

export const stoppedHigh: OnlyIf = {
  fact: 'stoppedHigh',
  question: 'Did it stop short of its seat?',
  yes: 'It stopped high',
  no: 'It went right down'
};

export const chooseTower = (u: Use): Step =>
  step(
    {
      title: 'Number-one tower chosen',
      say: 'Choose the tower for number one where leads reach and the housing can turn both ways; read its bearing.',
      why: 'Electrically any tower will do; leads, harness and room decide.',
      accept: 'Leads reach, room both ways, marked on cap and rim.',
      ifSkipped: 'Leads too short, or no room to set the timing.',
      tools: ['paint'],
      minutes: 4,
      needs: ['crank-at-reference'],
      slots: [slots.tower],
      values: ['rotorDirection', 'firingOrder'],
      surface: 'cap'
    },
    u
  );

export const letDown = (u: Use): Step =>
  step(
    {
      title: 'Rotor led, distributor let down',
      say: 'Point the rotor off its tower by the turn it makes going down, then lower without force.',
      why: 'The helix turns the rotor while the gear goes in.',
      accept: 'Rotor within half a gear tooth of its target when down.',
      ifSkipped: 'A tooth out; the housing cannot reach its setting.',
      minutes: 5,
      hazards: ['pinch', 'dropped-part'],
      sets: ['gear-meshed'],
      clears: ['distributor-out'],
      needs: ['crank-at-reference', 'compression-confirmed', 'gasket-fitted'],
      slots: [slots.rotor],
      surface: 'cap',
      values: ['rotorDirection', 'firingOrder']
    },
    u
  );

export const toothJudged = (u: Use): Step =>
  step(
    {
      title: 'Tooth judged',
      say: 'Compare the rotor with its tower: more than half a tooth off, lift and move one.',
      why: 'Half-tooth cases are common; of two equal ones keep the one with more room to advance.',
      accept: 'Rotor error not more than half a tooth, and room left.',
      ifSkipped: 'The housing ends at its limit.',
      minutes: 4,
      sets: ['tooth-chosen'],
      needs: ['distributor-seated'],
      slots: [{ ...slots.rotor, label: 'rotor seated, bearing from above' }],
      surface: 'cap',
      values: ['rotorDirection', 'firingOrder']
    },
    u
  );

export const witnessMarks = (u: Use): Step =>
  step(
    {
      title: 'Witness marks made',
      say: 'Scribe housing to block; sight along the rotor to a fixed point and read its bearing; mark number one on cap and rim.',
      why: 'With marks, refitting is a matter of matching.',
      accept: 'Housing to block and rotor to a fixed point, at least.',
      ifSkipped: 'The distributor goes back as if nothing were known.',
      tools: ['straightedge', 'scriber or paint'],
      sets: ['witness-marks', 'cap-off'],
      photos: ['housing and block', 'rotor and its fixed point'],
      slots: [slots['rotor-mark'], slots['housing-mark']],
      surface: 'witness'
    },
    u
  );

export const planTooth = (u: Use): Step =>
  step(
    {
      title: 'Tooth and tower chosen',
      say: 'Read the rotor\u2019s bearing and the two ends of the housing\u2019s free arc.',
      why: 'Trial and error finds a tooth; whether there is room to set the timing shows only when the engine is back together.',
      accept: 'Room both ways for the planned adjustment and some more.',
      ifSkipped: 'The housing ends at an obstacle.',
      minutes: 6,
      slots: [slots['rotor-seen'], slots['arc-min'], slots['arc-max']],
      choices: [
        {
          id: 'number-one',
          question: 'Number one on the cap',
          field: 'numberOneTower',
          options: [
            { id: 'factory', label: 'fixed' },
            { id: 'any', label: 'any tower' }
          ]
        }
      ],
      values: ['rotorDirection', 'ratio', 'gearTeeth', 'firingOrder', 'terminalOffsetDeg'],
      schools: ['index-order'],
      ways: {
        'index-order': {
          marks: {
            say: 'Put rotor and housing to their witness marks; that holds only while nobody turned the crank since they were made. If it was turned, take another way.',
            why: 'Marks show where it was, not whether that was right or has room.',
            minutes: 3
          }
        }
      },
      acts: ['needs-reference'],
      surface: 'tooth'
    },
    u
  );

export const leadRotor = (u: Use): Step =>
  step(
    {
      title: 'Where to point the rotor first',
      say: 'Read how far the rotor turned on lifting out, or how far the gear travels in mesh.',
      why: 'The helix turns the rotor while the gear goes down.',
      accept: 'Rotor led by the turn it will make.',
      ifSkipped: 'Several lifts, a tooth out.',
      minutes: 2,
      slots: [distributor.twist, slots.travel],
      values: ['gearHand'],
      schools: ['helix-entry'],
      ways: {
        'helix-entry': {
          trial: {
            say: 'Point the rotor by estimate, lower it, read where it comes to rest; lift again and go over by whole teeth from there.',
            why: 'The first try shows how far the helix turns it.',
            minutes: 10
          }
        }
      },
      surface: 'tooth'
    },
    u
  );

export const dropIn = (u: Use): Step =>
  step(
    {
      title: 'Oil-pump drive made to fall in',
      say: 'Read tang and slot, then turn the pump by hand, or the crank until it drops.',
      why: 'Gear and pump must both find their place, and force breaks one of them.',
      accept: 'It drops within one position of the pump drive; beyond that, stop and look.',
      ifSkipped: 'The clamp pulls the flange down and breaks it.',
      tools: ['priming tool or long blade', 'lamp', 'bar'],
      helper: 'yes',
      hazards: ['barring-tool', 'rotating', 'pinch'],
      acts: ['turns-uncounted', 'turns-crank'],
      needs: ['gear-meshed', 'battery-isolated'],
      slots: [slots.tang, slots['pump-slot'], crank['turned-on']],
      values: ['rotorDirection', 'ratio', 'pumpDrive'],
      schools: ['oil-drive'],
      ways: {
        'oil-drive': {
          tool: {
            say: 'Read tang and slot, lift the unit out, turn the pump with the priming tool to the bearing that is shown, lower it again.',
            tools: ['priming tool', 'lamp']
          },
          blade: {
            say: 'Read tang and slot, lift the unit out, turn the pump with a long blade to the bearing that is shown, lower it again.',
            tools: ['long blade', 'lamp']
          },
          crank: {
            say: 'Read tang and slot, press lightly and turn the crank forward by hand until it drops; then bring the crank to its place anew.',
            tools: ['bar', 'lamp']
          }
        }
      },
      onlyIf: stoppedHigh,
      surface: 'drop'
    },
    u
  );
