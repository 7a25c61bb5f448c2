import type { Step } from '../../job/run-sheet.ts';
import { slots } from './slots.ts';
import type { Use } from '../../job/vocabulary.ts';
import { step } from './vocabulary.ts';

export const capOn = (u: Use): Step =>
  step(
    {
      title: 'Cap on, number one proved',
      say: 'Seat the cap in its notch, carry the tower\u2019s line to the rim, lift it, compare with the rotor, refit.',
      why: 'A rotor that points well may still stand under another tower.',
      accept: 'Rotor tip under the tower of number one.',
      ifSkipped: 'All leads one tower round.',
      minutes: 3,
      needs: ['housing-indexed'],
      acts: ['fits-cap'],
      clears: ['cap-off'],
      mustBeOff: ['rotor-pin-in'],
      surface: 'cap',
      values: ['rotorDirection', 'firingOrder']
    },
    u
  );

export const leadsInOrder = (u: Use): Step =>
  step(
    {
      title: 'Leads in firing order',
      say: 'From number one in the rotor\u2019s direction, then trace each lead to its cylinder.',
      why: 'Order and direction both matter.',
      accept: 'The traced order is the firing order.',
      ifSkipped: 'Backfire, crossfire, rough running.',
      minutes: 8,
      hazards: ['hv-ignition'],
      sets: ['leads-fitted'],
      acts: ['touches-leads'],
      needs: ['battery-isolated'],
      surface: 'cap',
      values: ['rotorDirection', 'firingOrder']
    },
    u
  );

export const mapLeads = (u: Use): Step =>
  step(
    {
      title: 'Cap and leads mapped',
      say: 'Move no lead yet: clockwise from number one\u2019s tower, type where each goes; photograph cap, latch, plug and capsule.',
      why: 'The lead map is the cheapest evidence of how it was.',
      accept: 'The order read off the cap in the rotor\u2019s direction is the firing order.',
      ifSkipped: 'Leads are rebuilt by guess.',
      tools: ['camera', 'lead tags'],
      hazards: ['hv-ignition'],
      sets: ['leads-mapped'],
      photos: ['the cap with its leads', 'latch, plug and capsule'],
      needs: ['battery-isolated'],
      slots: [slots['lead-map']],
      schools: ['rotor-sense'],
      ways: {
        'rotor-sense': {
          turn: {
            say: 'Clockwise from number one\u2019s tower, type where each lead goes; photograph cap, latch, plug and capsule. Do not turn the crank for it: at the next step that turns it forward, the cap aside with its leads on, see which way the rotor goes.'
          },
          capsule: {
            say: 'See which way the capsule\u2019s rod pulls the plate: an advance capsule pulls it against the rotor, a retard capsule with it. Then, clockwise from number one\u2019s tower, type where each lead goes; photograph cap, latch, plug and capsule.'
          }
        }
      },
      surface: 'lead-map'
    },
    u
  );

export const traceLeads = (u: Use): Step =>
  step(
    {
      title: 'Leads traced, tower by tower',
      say: 'Begin at the tower the rotor faces when number one fires, then clockwise from above: type the cylinder each lead goes to.',
      why: 'Order and direction both matter, and a wrong one has a name.',
      accept: 'The traced order is the firing order in the rotor\u2019s direction.',
      ifSkipped: 'Backfire, crossfire, rough running.',
      minutes: 8,
      hazards: ['hv-ignition'],
      sets: ['leads-fitted'],
      acts: ['touches-leads'],
      needs: ['battery-isolated'],
      slots: [slots.wire],
      values: ['rotorDirection', 'firingOrder'],
      schools: ['lead-transfer'],
      ways: {
        'lead-transfer': {
          'one-by-one': {
            say: 'Move one lead at a time from the old cap to the same tower of the new one. Then, from the tower the rotor faces when number one fires and clockwise from above, type the cylinder each lead goes to.',
            tools: ['old cap, beside the new one']
          }
        }
      },
      surface: 'wires'
    },
    u
  );

export const rotorTip = (u: Use): Step =>
  step(
    {
      title: 'Rotor phase at the spark',
      say: 'With the trigger just firing, carry the edges of number one\u2019s tower to the rim and see where the tip stands; move the plate through its vacuum travel and look again.',
      why: 'Tip and trigger differ from unit to unit, and every fit pairs them anew.',
      accept: 'Part of the tip under part of the tower at both ends, never nearer to the next tower.',
      ifSkipped: 'Crossfire, a burnt cap, a miss that looks like timing.',
      tools: ['caliper', 'marker'],
      minutes: 4,
      sets: ['rotor-phase-ok'],
      needs: ['housing-indexed'],
      mustBeOff: ['rotor-pin-in'],
      slots: [slots['tip-offset'], slots['tip-width'], slots['terminal-width'], slots['tip-radius'], slots['tip-gap']],
      surface: 'tip'
    },
    u
  );
