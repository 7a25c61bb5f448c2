import { parts } from '../domains/received/decisions.ts';
import { slots } from '../domains/received/slots.ts';
import { slots as timingSlots } from '../domains/timing/slots.ts';
import { BY_DISTRIBUTOR, curves, engine, sheet, step } from './authoring.ts';

const IN = 'As it came in';
const MEASURE = 'Measure before it is apart';
const LOOK = 'Look and try';
const DECIDE = 'Decide';

const words = [
  { id: 'use', label: 'stays' },
  { id: 'remark', label: 'stays, with a remark' },
  { id: 'replace', label: 'is replaced' }
];
const ask = (id: string, question: string, options: [id: string, label: string][]) => ({
  id,
  question,
  options: options.map(([o, label]) => ({ id: o, label }))
});

/** A distributor looked at and measured before anything of it is taken apart. */
export const teardown = sheet({
  id: 'teardown',
  title: 'Check a distributor before it is taken apart',
  short: 'checks before teardown',
  fits: [BY_DISTRIBUTOR],
  begins: ['battery-isolated', 'distributor-out'],
  place: 'bench',
  panel: 'none',
  steps: [
    engine.intake({ id: 'intake', phase: IN, values: ['gearTeeth', 'floatMinMm', 'floatMaxMm'] }),
    step({
      id: 'received',
      phase: IN,
      title: 'Recorded as it came in',
      say: 'Photograph it from every side before a cloth touches it; write as remarks what is loose, broken, missing or oily.',
      why: 'What came in tells which parts to order, and nobody remembers it afterwards.',
      accept: 'Photographs taken, remarks written.',
      ifSkipped: 'Damage that was there is blamed on this bench.',
      tools: ['camera'],
      minutes: 5,
      sets: ['received-recorded']
    }),
    step({
      id: 'clean',
      phase: IN,
      title: 'Cleaned, evidence kept',
      say: 'Wash with solvent away from trigger and capsule, keep chips and flakes, dry.',
      why: 'Wear and chips are evidence.',
      accept: 'Teeth readable.',
      ifSkipped: 'The pattern is misread.',
      tools: ['brush', 'tray'],
      minutes: 8,
      hazards: ['solvent', 'eyes'],
      needs: ['received-recorded']
    }),
    step({
      id: 'float',
      phase: MEASURE,
      title: 'Float at the gear',
      say: 'Push and pull the gear\u2019s end with the dial on its face; feel that it is not the platform that moves.',
      why: 'Float lets the timing wander and the gear climb.',
      accept: 'Inside its limits; a light-alloy housing closes it when warm.',
      ifSkipped: 'Scatter and wear are built in again.',
      tools: ['dial'],
      slots: [slots['float-bench']],
      surface: 'judged'
    }),
    step({
      id: 'platform',
      phase: MEASURE,
      title: 'Lift of the platform, wobble of the shaft',
      say: 'Lift the platform against the shaft; then dial on cam or trigger, push sideways in two directions.',
      why: 'Upper wear and side play each make the trigger scatter.',
      accept: 'Inside their limits.',
      ifSkipped: 'Dwell and timing scatter from cylinder to cylinder.',
      tools: ['dial'],
      minutes: 8,
      slots: [slots['top-float'], slots['bush-play']],
      surface: 'judged'
    }),
    step({
      id: 'pattern',
      phase: MEASURE,
      title: 'Wear pattern of the teeth',
      say: 'Look along the loaded flank with a lens: where it wore, and how; look at the partner too.',
      why: 'It shows height, load and the health of the partner.',
      accept: 'Central, polished, no step.',
      ifSkipped: 'A bad gear ruins a good cam.',
      tools: ['lens', 'lamp'],
      sets: ['wear-read'],
      choices: [
        ask('wear-place', 'The gear wore', [
          ['middle', 'in the middle'],
          ['low', 'low'],
          ['high', 'high'],
          ['edge', 'over an edge']
        ]),
        ask('wear-surface', 'Its flanks are', [
          ['polished', 'polished'],
          ['rough', 'rough'],
          ['hollow', 'hollow, with a step'],
          ['chipped', 'chipped']
        ])
      ],
      schools: ['pattern']
    }),
    step({
      id: 'index',
      phase: MEASURE,
      title: 'Rotor against teeth, teeth counted, hand',
      say: 'See whether a tooth or a gap stands under the rotor\u2019s tip, mark it; count the teeth round twice; axis upright, see which way they rise.',
      why: 'With an odd count half a turn of the gear moves the teeth by half a pitch.',
      accept: 'Logged, counted, equal to the data sheet.',
      ifSkipped: 'The rotor misses its place by half a tooth.',
      tools: ['chalk', 'camera'],
      minutes: 6,
      sets: ['gear-index-logged'],
      slots: [slots['teeth-counted']],
      choices: [
        ask('under-tip', 'Under the rotor\u2019s tip stands', [
          ['tooth', 'a tooth'],
          ['gap', 'a gap'],
          ['between', 'in between']
        ]),
        ask('hand-seen', 'The teeth rise, axis upright', [
          ['right', 'to the right: right hand'],
          ['left', 'to the left: left hand']
        ]),
        ask('material-by', 'Its material by magnet or file is', [
          ['iron', 'iron or steel'],
          ['bronze', 'bronze'],
          ['polymer', 'polymer'],
          ['open', 'not known yet']
        ])
      ]
    }),
    curves.weightsFree({
      id: 'advance',
      phase: LOOK,
      onlyIf: {
        fact: 'hasWeights',
        question: 'Does it advance by weights?',
        yes: 'By weights',
        no: 'Locked, or a control unit',
        field: { name: 'advanceKind', yes: 'weights' }
      },
      choices: [
        ask('advance-moves', 'The weights', [
          ['free', 'move, snap back, reach their stop'],
          ['sticks', 'stick, or come back slowly'],
          ['seized', 'are seized, or a spring is missing']
        ])
      ]
    }),
    step({
      id: 'capsule',
      phase: LOOK,
      title: 'Vacuum capsule tried',
      say: 'Raise a depression by hand pump, watch the plate move against the rotor, hold, let go.',
      why: 'A leaking capsule is a weak mixture as well.',
      accept: 'Holds, returns fully.',
      ifSkipped: 'A plate that sticks, a weak mixture.',
      tools: ['hand vacuum pump'],
      minutes: 4,
      onlyIf: {
        fact: 'vacuumUnit',
        question: 'Is a vacuum capsule fitted?',
        yes: 'Fitted',
        no: 'None',
        field: { name: 'vacuumUnit', yes: 'fitted' }
      },
      choices: [
        ask('capsule-holds', 'The capsule', [
          ['holds', 'holds and returns'],
          ['leaks', 'leaks'],
          ['stuck', 'does not move its plate']
        ])
      ]
    }),
    step({
      id: 'plate',
      phase: LOOK,
      title: 'Plate, earth lead, gap at every lobe',
      say: 'Rock the plate, flex the earth lead, measure the gap at each lobe or tooth.',
      why: 'A loose plate changes the gap with every spark.',
      accept: 'Steady, even, inside the limits.',
      ifSkipped: 'Scatter is blamed on the gears.',
      tools: ['blades that no magnet holds'],
      slots: [timingSlots['contact-gap']],
      choices: [
        ask('plate-is', 'Plate and earth lead are', [
          ['steady', 'steady, lead sound'],
          ['loose', 'loose'],
          ['lead', 'steady, lead broken']
        ])
      ]
    }),
    step({
      id: 'secondary',
      phase: LOOK,
      title: 'Cap, rotor and leads',
      say: 'Look for cracks, tracks and burnt terminals, the rotor\u2019s tip, the leads\u2019 passage; say on which side the terminals burnt.',
      why: 'Faults behind the coil copy faults of timing, and the burns tell how rotor and terminal meet.',
      accept: 'Sound, burnt evenly.',
      ifSkipped: 'A miss chased as timing.',
      tools: ['lamp', 'meter'],
      hazards: ['hv-ignition'],
      choices: [
        ask('cap-is', 'The cap is', [
          ['sound', 'sound'],
          ['cracked', 'cracked or tracked'],
          ['burnt-side', 'burnt on one side of its terminals']
        ]),
        ask('rotor-is', 'The rotor is', [
          ['sound', 'sound'],
          ['burnt', 'burnt short'],
          ['loose', 'loose on its shaft']
        ]),
        ask('leads-are', 'The leads are', [
          ['sound', 'sound'],
          ['bad', 'hard, burnt, or without passage']
        ])
      ]
    }),
    step({
      id: 'decide',
      phase: DECIDE,
      title: 'Every part decided',
      say: 'Go through the parts: what was found, what it speaks for, and what you decide; then open the jobs that follow.',
      why: 'One strip only: parts and jobs are known before a pin is driven.',
      accept: 'Every part with a finding has its word.',
      ifSkipped: 'It waits in pieces.',
      minutes: 8,
      sets: ['parts-decided'],
      needs: ['wear-read'],
      choices: Object.entries(parts).map(([id, name]) => ({ id: `decide-${id}`, question: name, options: words })),
      choicesInside: true,
      schools: ['rebuild'],
      surface: 'decisions'
    }),
    engine.closeLog({ id: 'close', phase: DECIDE })
  ]
});
