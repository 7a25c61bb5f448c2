import { slots } from '../domains/elements/slots.ts';
import { BY_PUMP, engine, sheet, step } from './authoring.ts';

const READY = 'Make ready';
const READ = 'Read the elements';
const SET = 'Correct and prove';

/** An inline pump on the test bench: where each element closes, the shims that put it right, and what else the plan asks. */
export const pumpBench = sheet({
  id: 'pump-bench',
  title: 'Check an injection pump on the bench',
  short: 'pump on the bench',
  fits: [BY_PUMP],
  begins: ['battery-isolated'],
  place: 'bench',
  panel: 'elements',
  caution:
    'Some makers and some laws leave this bench to a licensed pump shop. Where they do, this sheet keeps the plan and the sums, and the shop does the work.',
  steps: [
    engine.intake({
      id: 'intake',
      phase: READY,
      say: 'Lay out the test plan of this very pump; check order, direction from the drive end, lift to closure, tolerance.',
      values: ['pumpCode', 'firingOrder', 'elementWithinDeg', 'camVelocity', 'tappetStepMm', 'pumpDirection']
    }),
    step({
      id: 'mount',
      phase: READY,
      title: 'Pump on the bench, warm and bled',
      say: 'Clean it, line up the coupling, fill with test fluid, bleed the gallery, warm to the plan\u2019s temperature.',
      why: 'Air and cold fluid close a port at a place where it does not.',
      handles: { 'pump.coupling': 'in line', 'pump.gallery': 'filled, bled', 'pump.elements': 'warm as planned' },
      accept: 'Temperature as the plan has it, no bubbles.',
      ifSkipped: 'Closures that are none.',
      tools: ['test bench', 'test fluid', 'thermometer'],
      minutes: 25,
      helper: 'advised',
      hazards: ['lift', 'fuel-fire', 'solvent', 'rotating'],
      sets: ['phase-mounted'],
      needs: ['data-confirmed'],
      slots: [{ slot: 'fluid', label: 'test fluid', quantity: 'temperature', gauge: 'thermometer' }]
    }),
    step({
      id: 'closure',
      phase: READ,
      title: 'Lift to closure of element one',
      say: 'Dial on its plunger at the base circle, turn in the running direction until flow just ceases, read the lift; do it again.',
      why: 'The other elements are measured from this one.',
      accept: 'Inside the plan\u2019s limits.',
      ifSkipped: 'The whole pump is shifted.',
      tools: ['dial', 'degree head', 'drip tube'],
      minutes: 15,
      hazards: ['hp-fuel'],
      needs: ['phase-mounted'],
      slots: [slots['closure-lift']],
      schools: ['pump-method'],
      ways: {
        'pump-method': {
          lift: { tools: ['dial', 'degree head'] },
          spill: {
            say: 'Gallery under the plan\u2019s pressure, drip tube on the outlet: turn slowly forward until it drips at the plan\u2019s rate, then read the dial.',
            tools: ['dial', 'degree head', 'drip tube', 'feed'],
            minutes: 20
          }
        }
      },
      surface: 'judged'
    }),
    step({
      id: 'spacing',
      phase: READ,
      title: 'All elements read, in order',
      say: 'Element by element in firing order: turn slowly forward to the drip rate of the plan and read the degree head, the first one as zero.',
      why: 'Cylinders must be fed evenly.',
      accept: 'Every element read once, in order.',
      ifSkipped: 'One hot cylinder, a rough engine.',
      tools: ['degree head', 'drip tube'],
      minutes: 15,
      hazards: ['rotating', 'hp-fuel'],
      needs: ['phase-mounted'],
      slots: [slots.element],
      values: ['firingOrder', 'elementWithinDeg', 'camVelocity', 'tappetStepMm'],
      surface: 'elements'
    }),
    step({
      id: 'shims',
      phase: SET,
      title: 'Tappet shims changed',
      say: 'Change each tappet\u2019s shims by what the table says, taken from the tray: thicker closes earlier.',
      why: 'The plunger raised closes its port sooner.',
      accept: 'As much taken and put back as the table says.',
      ifSkipped: 'A change in the wrong sense doubles the error.',
      tools: ['micrometer', 'tray'],
      minutes: 25,
      hazards: ['spring-release', 'eyes'],
      takes: ['shim'],
      surface: 'tappet-shims',
      onlyIf: {
        fact: 'shimsNeeded',
        question: 'Must a tappet be corrected?',
        yes: 'Yes',
        no: 'All are even'
      }
    }),
    step({
      id: 'again',
      phase: SET,
      title: 'All elements read again',
      say: 'The same round again, in the same order, from the first.',
      why: 'A shim changes its neighbours\u2019 reading when the first was changed, and a sense can be wrong.',
      accept: 'Every element inside its tolerance by the whole of its doubt.',
      ifSkipped: 'The correction is believed and not known.',
      tools: ['degree head', 'drip tube'],
      minutes: 15,
      hazards: ['rotating', 'hp-fuel'],
      role: 'spacing-proof',
      sets: ['elements-even'],
      slots: [slots.element],
      values: ['firingOrder', 'elementWithinDeg', 'camVelocity', 'tappetStepMm'],
      surface: 'elements',
      onlyIf: {
        fact: 'shimsNeeded',
        question: 'Must a tappet be corrected?',
        yes: 'Yes',
        no: 'All are even'
      }
    }),
    step({
      id: 'head',
      phase: SET,
      title: 'Clearance above each plunger',
      say: 'At the top of its lift raise each tappet by hand and read what is left; type the least of all.',
      why: 'Thicker shims may let a plunger touch its holder.',
      accept: 'Not less than the plan has it.',
      ifSkipped: 'A broken plunger or holder.',
      tools: ['dial'],
      minutes: 8,
      hazards: ['spring-release'],
      slots: [slots['head-gap']],
      surface: 'judged'
    }),
    step({
      id: 'deliver',
      phase: SET,
      title: 'Delivery and governor by the plan',
      say: 'Run the plan\u2019s points: delivery of each element, idle and greatest rack; write what lies outside.',
      why: 'Even spacing alone does not balance power.',
      handles: { 'pump.valves': 'what each delivers', 'pump.rack': 'greatest', 'pump.governor': 'idle, and cut-off' },
      accept: 'Every point inside the plan.',
      ifSkipped: 'Smoke, hunting, overspeed.',
      tools: ['test bench'],
      minutes: 30,
      hazards: ['hp-fuel', 'rotating'],
      needs: ['phase-mounted'],
      choices: [
        {
          id: 'delivery-is',
          part: 'pump.valves',
          question: 'Delivery and governor lie',
          options: [
            { id: 'in', label: 'inside the plan' },
            { id: 'out', label: 'outside: to the pump shop, with a remark' }
          ]
        }
      ]
    }),
    step({
      id: 'seal',
      phase: SET,
      title: 'Locked, sealed, tagged',
      say: 'Dial and head off, fit lock and seals, write plan, lift and closure on the tag.',
      why: 'The next person sees what was set, and whether somebody was at it.',
      handles: { 'pump.lock': 'fitted', 'pump.seals': 'whole', 'pump.tag': 'plan, lift, closure' },
      accept: 'Tag complete, seals whole.',
      ifSkipped: 'Adjusted by others unnoticed.',
      tools: ['seals', 'tag'],
      minutes: 5,
      sets: ['bench-sealed']
    }),
    engine.closeLog({ id: 'close', phase: SET })
  ]
});
