import { allBack } from '../walk/slots.ts';
import type { Step } from '../../job/run-sheet.ts';
import type { Use } from '../../job/vocabulary.ts';
import { step } from './vocabulary.ts';

export * from './lift-steps.ts';
export * from './lock-steps.ts';

/** Steps of timing a pump on its engine; each sheet gives them an id and a place, and may narrow the words. */
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
      ways: {
        'pump-cover': {
          access: {
            say: 'Take the access cover off, clean, find gear bolts and locating bolt; cover every opening a part can fall through.',
            accept: 'Bolts within reach, nothing can fall in.',
            minutes: 10
          },
          cover: { tools: ['spanners', 'lamp', 'cover seal'], minutes: 60 }
        }
      },
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
      slots: allBack,
      mustBeOff: ['pump-locked', 'engine-pin-in', 'probe-in', 'piston-stop-in', 'indicator-on']
    },
    u
  );
