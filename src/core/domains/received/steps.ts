import type { Step } from '../../job/run-sheet.ts';
import type { Use } from '../../job/vocabulary.ts';
import { ask, wearAsked } from './asked.ts';
import { parts } from './decisions.ts';
import { slots } from './slots.ts';
import { step } from './vocabulary.ts';

/** Steps of looking at a distributor and measuring it before anything of it is taken apart. */
export const received = (u: Use): Step =>
  step(
    {
      title: 'Recorded as it came in',
      say: 'Photograph it from every side before a cloth touches it; write as remarks what is loose, broken, missing or oily.',
      why: 'What came in tells which parts to order, and nobody remembers it afterwards.',
      handles: {
        'distributor.cap': 'from above, and inside',
        'distributor.plate': 'and its leads',
        'distributor.capsule': 'from its side',
        'distributor.gear': 'all its teeth'
      },
      accept: 'Photographs taken, remarks written.',
      ifSkipped: 'Damage that was there is blamed on this bench.',
      tools: ['camera'],
      minutes: 5,
      sets: ['received-recorded'],
      photos: ['from above', 'from each side', 'the gear', 'the cap, inside', 'plate and trigger']
    },
    u
  );

export const cleaned = (u: Use): Step =>
  step(
    {
      title: 'Cleaned, evidence kept',
      say: 'Wash with solvent away from trigger and capsule, keep chips and flakes, dry.',
      why: 'Wear and chips are evidence.',
      handles: {
        'distributor.gear': 'teeth readable, chips kept',
        'distributor.plate': 'no solvent on it',
        'distributor.capsule': 'no solvent on it'
      },
      accept: 'Teeth readable.',
      ifSkipped: 'The pattern is misread.',
      tools: ['brush', 'tray'],
      minutes: 8,
      hazards: ['solvent', 'eyes'],
      needs: ['received-recorded']
    },
    u
  );

export const floatAtGear = (u: Use): Step =>
  step(
    {
      title: 'Float at the gear',
      say: 'Push and pull the gear\u2019s end with the dial on its face; feel that it is not the platform that moves.',
      why: 'Float lets the timing wander and the gear climb.',
      accept: 'Inside its limits; a light-alloy housing closes it when warm.',
      ifSkipped: 'Scatter and wear are built in again.',
      tools: ['dial'],
      sets: ['dist-float-known'],
      slots: [slots['float-bench']],
      finds: true,
      surface: 'judged'
    },
    u
  );

export const platformAndShaft = (u: Use): Step =>
  step(
    {
      title: 'Lift of the platform, wobble of the shaft',
      say: 'Lift the platform against the shaft; then dial on cam or trigger: push sideways in two directions, and turn it once round.',
      why: 'Upper wear, side play and a bent shaft each make the trigger scatter.',
      accept: 'Inside their limits.',
      ifSkipped: 'Dwell and timing scatter from cylinder to cylinder.',
      tools: ['dial'],
      minutes: 9,
      slots: [slots['top-float'], slots['bush-play'], slots['shaft-runout']],
      finds: true,
      surface: 'judged'
    },
    u
  );

export const patternRead = (u: Use): Step =>
  step(
    {
      title: 'Wear pattern of the teeth',
      say: 'Look along the loaded flank with a lens: where it wore, and how; look at the partner too.',
      why: 'It shows height, load and the health of the partner.',
      handles: { 'flank.face': 'along it, by lens' },
      accept: 'Central, polished, no step.',
      ifSkipped: 'A bad gear ruins a good cam.',
      tools: ['lens', 'lamp'],
      sets: ['wear-read'],
      photos: ['the loaded flank', 'its partner'],
      choices: wearAsked
    },
    u
  );

export const teethAndHand = (u: Use): Step =>
  step(
    {
      title: 'Teeth counted, diameter, hand',
      say: 'Chalk one tooth and count round twice; measure over the teeth; hold the axis upright and see which way they rise, beside a screw whose hand you know.',
      why: 'What looks the same is not the same gear, and a wrong hand turns the shaft backwards.',
      handles: { 'distributor.gear': 'counted, measured, its hand' },
      accept: 'All three equal to the data sheet.',
      ifSkipped: 'A wrong ratio, or rotation and thrust the wrong way round.',
      tools: ['caliper', 'chalk', 'screw of known hand'],
      minutes: 6,
      slots: [slots['teeth-counted'], slots['outside-found']],
      choices: [
        ask(
          'hand-seen',
          'The teeth rise, axis upright',
          [
            ['right', 'to the right: right hand'],
            ['left', 'to the left: left hand']
          ],
          'distributor.gear'
        )
      ]
    },
    u
  );

export const indexLogged = (u: Use): Step =>
  step(
    {
      title: 'Rotor against teeth logged',
      say: 'Look for the dimple on the gear, or see whether a tooth or a gap stands under the rotor\u2019s tip; mark it and photograph it before the pin moves.',
      why: 'With an odd count of teeth, half a turn of the gear moves the teeth by half a pitch.',
      handles: { 'index.tip': 'over what does it stand?' },
      accept: 'Logged.',
      ifSkipped: 'The rotor misses its place by half a tooth.',
      tools: ['paint', 'camera'],
      minutes: 4,
      sets: ['gear-index-logged'],
      photos: ['rotor tip over the teeth'],
      choices: [
        ask('under-tip', 'Under the rotor\u2019s tip stands', [
          ['tooth', 'a tooth', 'index.tooth'],
          ['gap', 'a gap', 'index.gap'],
          ['between', 'in between', 'index.between']
        ])
      ]
    },
    u
  );

export const materialAgreed = (u: Use): Step =>
  step(
    {
      title: 'Material agreed with the camshaft\u2019s',
      say: 'Get the list of gears that this camshaft may run with; tell the gear by its marking or its paper, a magnet or a file, never by its colour alone.',
      why: 'The pair must run together, and the cheap part should wear first.',
      handles: { 'distributor.gear': 'what it is made of', 'distributor.partner': 'what its maker lists' },
      accept: 'On the list, in writing.',
      ifSkipped: 'The camshaft\u2019s gear is destroyed, its metal goes round with the oil.',
      tools: ['lens', 'magnet', 'file'],
      minutes: 10,
      needs: ['data-confirmed'],
      values: ['camMaterial'],
      choices: [
        ask(
          'material-by',
          'The gear is of',
          [
            ['iron', 'iron or steel'],
            ['bronze', 'bronze'],
            ['polymer', 'polymer'],
            ['open', 'not known yet']
          ],
          'distributor.gear'
        ),
        ask(
          'material-listed',
          'The list of the camshaft\u2019s maker',
          [
            ['listed', 'has it'],
            ['not-listed', 'does not have it'],
            ['no-list', 'is not in hand']
          ],
          'distributor.partner'
        )
      ]
    },
    u
  );

export const capsuleTried = (u: Use): Step =>
  step(
    {
      title: 'Vacuum capsule tried',
      say: 'Raise a depression by hand pump, watch the plate move against the rotor\u2019s run, hold, let go.',
      why: 'A leaking capsule is a weak mixture as well.',
      handles: {
        'distributor.capsule': 'pumped down, held, let go',
        'distributor.plate': 'against the rotor, and back'
      },
      accept: 'Holds, moves the plate against the rotor, returns fully.',
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
        ask(
          'capsule-holds',
          'The capsule',
          [
            ['holds', 'holds and returns'],
            ['leaks', 'leaks'],
            ['stuck', 'does not move its plate'],
            ['with', 'moves its plate with the rotor']
          ],
          'distributor.capsule'
        )
      ]
    },
    u
  );

export const plateTried = (u: Use): Step =>
  step(
    {
      title: 'Plate, earth lead, gap at every lobe',
      say: 'Rock the plate, flex the earth lead, measure the gap at each lobe or tooth with blades that no magnet holds.',
      why: 'A loose plate changes the gap with every spark.',
      accept: 'Steady, even, inside the limits.',
      ifSkipped: 'Scatter is blamed on the gears.',
      tools: ['blades that no magnet holds'],
      slots: [slots['lobe-gap']],
      finds: true,
      surface: 'judged',
      choices: [
        ask('plate-is', 'Plate and earth lead are', [
          ['steady', 'steady, lead sound'],
          ['loose', 'loose'],
          ['lead', 'steady, lead broken']
        ])
      ]
    },
    u
  );

export const secondarySeen = (u: Use): Step =>
  step(
    {
      title: 'Cap, rotor and leads',
      say: 'Look for cracks, tracks and burnt terminals, the rotor\u2019s tip, the leads\u2019 passage; say on which side the terminals burnt.',
      why: 'Faults behind the coil copy faults of timing, and the burns tell how rotor and terminal meet.',
      handles: {
        'distributor.cap': 'cracks, tracks, terminals',
        'distributor.rotor': 'its tip',
        'distributor.leads': 'passage'
      },
      accept: 'Sound, burnt evenly.',
      ifSkipped: 'A miss chased as timing.',
      tools: ['lamp', 'meter'],
      hazards: ['hv-ignition'],
      choices: [
        ask(
          'cap-is',
          'The cap is',
          [
            ['sound', 'sound'],
            ['cracked', 'cracked or tracked'],
            ['burnt-side', 'burnt on one side of its terminals']
          ],
          'distributor.cap'
        ),
        ask(
          'rotor-is',
          'The rotor is',
          [
            ['sound', 'sound'],
            ['burnt', 'burnt short'],
            ['loose', 'loose on its shaft']
          ],
          'distributor.rotor'
        ),
        ask(
          'leads-are',
          'The leads are',
          [
            ['sound', 'sound'],
            ['bad', 'hard, burnt, or without passage']
          ],
          'distributor.leads'
        )
      ]
    },
    u
  );

export const swingAndFloat = (u: Use): Step =>
  step(
    {
      title: 'Swing and float in place',
      say: 'Crank held, turn the rotor to and fro without forcing it and read what it swings; then pull the shaft up and push it down with the dial on its end.',
      why: 'Gear mesh, coupling and bushes together: once it is out, nobody can read this again.',
      accept: 'Inside their limits, or noted as they are.',
      ifSkipped: 'What wandered in the engine is looked for in vain on the bench.',
      tools: ['arc', 'dial'],
      minutes: 6,
      helper: 'advised',
      slots: [slots['rotor-swing'], slots['float-in-place']],
      finds: true,
      surface: 'judged'
    },
    u
  );

export const partsDecided = (u: Use): Step =>
  step(
    {
      title: 'Every part decided',
      say: 'Go through the parts: what was found, what it speaks for, and what you decide; then open the jobs that follow.',
      why: 'One strip only: parts and jobs are known before a pin is driven.',
      accept: 'Every part with a finding has its word.',
      ifSkipped: 'It waits in pieces, or a worn bush goes back in.',
      minutes: 8,
      sets: ['parts-decided'],
      choices: Object.entries(parts).map(([id, name]) => ({
        id: `decide-${id}`,
        question: name,
        options: [
          { id: 'use', label: 'stays' },
          { id: 'remark', label: 'stays, with a remark' },
          { id: 'replace', label: 'is replaced' }
        ]
      })),
      choicesInside: true,
      schools: ['rebuild'],
      ways: {
        rebuild: {
          specialist: {
            say: 'Go through the parts and decide each; list for the rebuilder engine, curve wanted, float and gear. The job waits; what comes back is compared again before it goes in.',
            minutes: 15
          }
        }
      },
      surface: 'decisions'
    },
    u
  );
