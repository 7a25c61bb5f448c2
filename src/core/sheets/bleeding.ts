import { allBack } from '../domains/walk/slots.ts';
import { slots } from '../domains/bleeding/slots.ts';
import { BY_PUMP, engine, sheet, step } from './authoring.ts';

const SAFE = 'Make safe';
const BLEED = 'Bleed it';
const START = 'Start and judge';
const CLOSE = 'Set and close';

const ways = [
  { id: 'lever', label: 'stop lever or rack' },
  { id: 'solenoid', label: 'stop solenoid' },
  { id: 'cock', label: 'fuel cock' },
  { id: 'plate', label: 'plate over the intake' }
];
const smoke = [
  { id: 'none', label: 'none' },
  { id: 'clear', label: 'clear' },
  { id: 'white', label: 'white' },
  { id: 'blue', label: 'blue' },
  { id: 'black', label: 'black' }
];

/** A diesel bled after work on its pump, started under control, and judged by smoke, sound and pull. */
export const bleeding = sheet({
  id: 'bleeding',
  title: 'Bleed a diesel and start it for the first time',
  short: 'bleed, first start',
  fits: [BY_PUMP],
  begins: ['pump-timing-verified', 'lines-loose', 'battery-isolated', 'pump-on'],
  panel: 'bleeding',
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      say: 'Check idle limits, order of the bleed screws, oil pressure and the time it may take.',
      values: ['cylinders', 'firingOrder', 'idleMinRpm', 'idleMaxRpm']
    }),
    step({
      id: 'secure',
      phase: SAFE,
      title: 'Machine secured, driven parts free',
      say: 'Block it, drives in neutral, pumps unloaded; exhaust outside, alarm on.',
      why: 'What the engine drives starts with it.',
      accept: 'It cannot roll, and nothing it drives can move.',
      ifSkipped: 'A machine that starts to work by itself.',
      minutes: 5,
      hazards: ['machine-drive', 'vehicle-move', 'exhaust'],
      sets: ['vehicle-secured']
    }),
    step({
      id: 'stops',
      phase: SAFE,
      title: 'Two ways of stopping it proved',
      say: 'Try stop lever or solenoid by itself; then a second way that does not depend on it, the intake plate in hand. Locks, pins and tools out and counted.',
      why: 'A diesel may not stop when it is told.',
      accept: 'Two ways, each tried by itself; every lock and tool counted.',
      ifSkipped: 'Overspeed, and nothing to stop it.',
      tools: ['intake plate', 'list'],
      minutes: 8,
      helper: 'yes',
      hazards: ['runaway', 'flying'],
      sets: ['stop-proved', 'sweep-done'],
      slots: allBack,
      mustBeOff: [
        'pump-locked',
        'engine-pin-in',
        'barring-tool-fitted',
        'degree-wheel-on',
        'probe-in',
        'piston-stop-in',
        'indicator-on',
        'delivery-valve-out',
        'drive-cover-off'
      ],
      choices: [
        { id: 'stop-one', question: 'First way, tried', options: ways },
        { id: 'stop-two', question: 'Second way, tried by itself', options: ways }
      ],
      surface: 'stops'
    }),
    step({
      id: 'low',
      phase: BLEED,
      title: 'Filter and supply side bled',
      say: 'Open the bleed screws in flow order, work the hand pump until each runs clear, close it, go on; type the number of each as it runs clear.',
      why: 'Air on the supply side looks like a wrong timing.',
      accept: 'A clear stream at every screw.',
      ifSkipped: 'White smoke and stalls blamed on the timing.',
      tools: ['hand pump', 'drain pan'],
      minutes: 12,
      hazards: ['fuel-fire', 'used-fluid', 'eyes'],
      sets: ['low-bled'],
      slots: [slots['screw-clear']],
      surface: 'fuel-way'
    }),
    step({
      id: 'oil',
      phase: BLEED,
      title: 'Pump\u2019s oil seen',
      say: 'Fill the pump\u2019s sump or prime its feed as the data have it, and see it flow.',
      why: 'A pump that lives on engine oil starves first.',
      accept: 'Oil seen.',
      ifSkipped: 'A seized pump.',
      tools: ['oil can'],
      minutes: 4,
      sets: ['pump-oil-primed'],
      onlyIf: {
        fact: 'pumpOilFed',
        question: 'Is the pump fed with oil?',
        yes: 'Fed with oil',
        no: 'Fuel alone wets it'
      }
    }),
    step({
      id: 'high',
      phase: BLEED,
      title: 'Lines bled at the injectors',
      say: 'Unions slack and shielded, throttle as the data ask, battery on for short bursts; as each line runs solid, stop, tighten it, and type its cylinder.',
      why: 'Every line must spit solid fuel.',
      accept: 'Every line solid, every union tight.',
      ifSkipped: 'A rough start and smoke.',
      tools: ['flare spanner', 'rags', 'face shield'],
      minutes: 10,
      helper: 'yes',
      hazards: ['hp-fuel', 'fuel-fire', 'rotating', 'first-start'],
      sets: ['fuel-bled'],
      clears: ['lines-loose', 'battery-isolated'],
      needs: ['low-bled', 'stop-proved', 'vehicle-secured'],
      slots: [slots['line-solid']],
      values: ['cylinders'],
      surface: 'fuel-way',
      acts: ['cranks-by-power']
    }),
    step({
      id: 'start',
      phase: START,
      title: 'First start, under control',
      say: 'A second person at the stop; a cold aid only as the maker permits; short crank, stand aside; read oil pressure and say what it does.',
      why: 'A short first run is a measurement.',
      accept: 'Fires on all, pressure up in its time.',
      ifSkipped: 'Damage that nobody sees.',
      tools: ['extinguisher', 'oil gauge', 'intake plate'],
      minutes: 5,
      helper: 'yes',
      hazards: ['runaway', 'first-start', 'exhaust', 'noise', 'rotating', 'hot-surface', 'oil-starve'],
      sets: ['engine-running', 'first-run-seen', 'oil-pressure-up'],
      needs: ['fuel-bled', 'stop-proved', 'sweep-done'],
      slots: [slots['oil-pressure']],
      choices: [
        {
          id: 'cold-aid',
          question: 'Cold aid',
          options: [
            { id: 'none', label: 'none' },
            { id: 'glow', label: 'glow plugs or heated intake' },
            { id: 'ether', label: 'ether' }
          ]
        },
        {
          id: 'starts',
          question: 'It starts',
          options: [
            { id: 'yes', label: 'it runs' },
            { id: 'no', label: 'it turns and does not start' }
          ]
        },
        { id: 'smoke-cold', question: 'Smoke, cold', options: smoke }
      ],
      acts: ['starts', 'cranks-by-power']
    }),
    step({
      id: 'smoke',
      phase: START,
      title: 'Smoke, sound and evenness',
      say: 'Watch it from cold to warm and say what you see and hear; nothing is slackened to find a cylinder unless the maker permits it.',
      why: 'They tell early from late, air from timing, and one cylinder from all.',
      accept: 'Clear when warm, soft, even.',
      ifSkipped: 'An early or late pump stays in service.',
      minutes: 10,
      hazards: ['exhaust', 'hp-fuel', 'noise', 'hot-surface'],
      needs: ['engine-running'],
      choices: [
        { id: 'smoke-warm', question: 'Smoke, warm', options: smoke },
        {
          id: 'knock',
          question: 'Knock',
          options: [
            { id: 'soft', label: 'soft' },
            { id: 'hard', label: 'hard, cold and warm' }
          ]
        },
        {
          id: 'evenness',
          question: 'It runs',
          options: [
            { id: 'even', label: 'evenly' },
            { id: 'one', label: 'with one cylinder out' },
            { id: 'rough', label: 'roughly' }
          ]
        }
      ],
      surface: 'first-run'
    }),
    step({
      id: 'idle',
      phase: CLOSE,
      title: 'Idle set, after the timing',
      say: 'Set the idle by a meter, warm; sound is a rough guide only.',
      why: 'The idle screw is no timing control.',
      accept: 'Inside its limits.',
      ifSkipped: 'An idle that hides the timing.',
      tools: ['tachometer'],
      minutes: 6,
      hazards: ['rotating'],
      sets: ['idle-set'],
      needs: ['engine-running'],
      slots: [slots['idle-diesel']],
      values: ['idleMinRpm', 'idleMaxRpm'],
      surface: 'judged',
      acts: ['sets-idle']
    }),
    step({
      id: 'load',
      phase: CLOSE,
      title: 'Proved under load',
      say: 'Warm, load it in stages; watch smoke, exhaust heat, pull and pressure.',
      why: 'Only load shows smoke and pull.',
      accept: 'Clears, pulls evenly, stays within its heat.',
      ifSkipped: 'The fault comes up at work.',
      minutes: 20,
      helper: 'yes',
      hazards: ['noise', 'hot-surface', 'machine-drive', 'vehicle-move'],
      needs: ['engine-running', 'idle-set'],
      choices: [
        { id: 'smoke-load', question: 'Smoke under load', options: smoke },
        {
          id: 'pull',
          question: 'It pulls',
          options: [
            { id: 'good', label: 'evenly and well' },
            { id: 'weak', label: 'weakly' },
            { id: 'fades', label: 'well at first, then less' }
          ]
        }
      ],
      surface: 'first-run',
      acts: ['loads', 'runs-on']
    }),
    step({
      id: 'leaks',
      phase: CLOSE,
      title: 'Leaks looked for, with paper',
      say: 'Paper under every joint, never a hand; stop the engine, tighten only what stands, and look again.',
      why: 'Fuel and oil leaks come with heat.',
      accept: 'No spot on the paper.',
      ifSkipped: 'Fire, or fuel under somebody\u2019s skin.',
      tools: ['paper', 'lamp'],
      minutes: 5,
      hazards: ['hp-fuel', 'fuel-fire', 'hot-surface'],
      clears: ['engine-running'],
      slots: [slots.leaks],
      surface: 'leaks'
    }),
    engine.closeLog({ id: 'close', phase: CLOSE, mustBeOff: ['lines-loose', 'engine-running'] })
  ]
});
