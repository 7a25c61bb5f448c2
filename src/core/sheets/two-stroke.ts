import { allBack } from '../domains/walk/slots.ts';
import { slots } from '../domains/flywheel/slots.ts';
import { crank, engine, sheet, step } from './authoring.ts';

const SAFE = 'Make safe';
const MARK = 'Mark every cylinder';
const CHECK = 'Check by cranking';
const RUN = 'Run and set the idle';

/** A two-stroke of several cylinders: marks by piston height, leads matched, the stop at full throttle, then the idle. */
export const twoStroke = sheet({
  id: 'two-stroke',
  title: 'Mark and time a two-stroke of several cylinders',
  short: 'two-stroke, every cylinder',
  fits: [
    { field: 'cycle', is: ['two-stroke'], otherwise: 'it is a $' },
    { field: 'firedBy', is: ['flywheel'], otherwise: 'its firing is timed by $, not by triggers at the flywheel' }
  ],
  begins: [],
  reference: 'fullAdvanceBtdc',
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      say: 'Check direction and viewing end, stroke, rod, full advance, order of the triggers, figures of the linkage.',
      values: ['strokeMm', 'rodMm', 'fullAdvanceBtdc', 'firingOrder', 'runningDirection', 'flywheelDiameterMm']
    }),
    step({
      id: 'safe',
      phase: SAFE,
      title: 'Battery off, leads on the tester, fuel shut',
      say: 'Battery switch off whenever fingers are near the flywheel, every lead on a gap of the tester, fuel shut; a start attempt does nothing.',
      why: 'Hands work through a toothed wheel.',
      accept: 'A start attempt does nothing; every lead on a gap.',
      ifSkipped: 'Crushed fingers, a shock, vapour on fire.',
      tools: ['spark tester', 'tag'],
      minutes: 5,
      hazards: ['inadvertent-start', 'hv-ignition', 'fuel-fire', 'battery'],
      sets: ['vehicle-secured', 'battery-isolated', 'fuel-disabled', 'spark-outlet-grounded']
    }),
    step({
      id: 'height',
      phase: MARK,
      title: 'Height for the wanted angle',
      say: 'Read how far below its top the piston stands at full advance on this engine.',
      why: 'The dial reads a height, the data sheet an angle.',
      accept: 'Worked out from this engine\u2019s own stroke and rod.',
      ifSkipped: 'Every mark is off by the same error.',
      minutes: 3,
      sets: ['depth-table'],
      needs: ['data-confirmed'],
      values: ['strokeMm', 'rodMm', 'fullAdvanceBtdc', 'flywheelDiameterMm'],
      surface: 'piston-height'
    }),
    step({
      id: 'pointer',
      phase: MARK,
      title: 'Pointer fixed, through the crank\u2019s axis',
      say: 'Mount it on something rigid, aim it through the axis of the crank, mark its place.',
      why: 'Sighted off the radius, every cylinder reads another angle.',
      handles: { 'rim.pointer': 'on something rigid', 'rim.axis': 'sighted through' },
      accept: 'It comes back to the same place.',
      ifSkipped: 'Cylinders marked with different parallax.',
      minutes: 4
    }),
    engine.plugsOut({ id: 'plugs', phase: MARK }),
    engine.barOn({ id: 'bar', phase: MARK }),
    crank.wheelOn({ id: 'wheel', phase: MARK }),
    crank.trueTdc({
      id: 'tdc',
      phase: MARK,
      say: 'Dial upright in cylinder one, along its bore; find where the piston is truly at its top.'
    }),
    step({
      id: 'marks',
      phase: MARK,
      title: 'Every cylinder\u2019s mark found',
      say: 'Cylinder by cylinder in firing order: dial along the bore, zero at its top, back below the height, up to it in the running direction; mark the flywheel at the pointer and read the wheel.',
      why: 'The spacing is proved, not assumed.',
      accept: 'One mark a cylinder, each where it must lie.',
      ifSkipped: 'The wrong cylinder is used later.',
      tools: ['dial', 'marker'],
      minutes: 30,
      helper: 'advised',
      hazards: ['pinch-plughole', 'barring-tool'],
      sets: ['marks-complete'],
      needs: ['tdc-true', 'depth-table', 'battery-isolated'],
      slots: [slots['mark-of'], slots['mark-at']],
      values: ['markWithinDeg', 'flywheelDiameterMm'],
      schools: ['twostroke-check', 'overshoot'],
      ways: {
        'twostroke-check': {
          one: {
            say: 'Cylinder one alone: dial along the bore, zero at its top, back below the height, up to it in the running direction; mark the flywheel at the pointer and read the wheel. The other cylinders stay unproved, and what rests on them goes on with a reason only.',
            minutes: 8
          }
        }
      },
      surface: 'flywheel',
      acts: ['turns-crank']
    }),
    crank.probeOut({ id: 'probe-out', phase: CHECK, title: 'Dial and probe out, seen and laid down' }),
    step({
      id: 'clear',
      phase: CHECK,
      title: 'All off, people clear',
      say: 'Wheel, bar, tools and rags off and counted; plugs left out, leads on the tester; nobody within reach of the flywheel.',
      why: 'The next step turns the engine by power.',
      accept: 'Count complete, both of you call clear.',
      ifSkipped: 'A broken dial, somebody hurt.',
      minutes: 4,
      helper: 'yes',
      hazards: ['flying', 'rotating', 'barring-tool'],
      sets: ['sweep-done'],
      clears: ['degree-wheel-on', 'barring-tool-fitted'],
      slots: allBack,
      mustBeOff: ['probe-in', 'piston-stop-in']
    }),
    step({
      id: 'match',
      phase: CHECK,
      title: 'Every lead fires its own cylinder',
      say: 'Strobe on one lead after the other; switch on only when the flywheel side calls clear, crank in short bursts by the remote switch, and type which number stands at the pointer.',
      why: 'It shows that triggers, leads and cylinders belong together.',
      accept: 'Each lead shows its own number.',
      ifSkipped: 'A swapped trigger that nobody can explain later.',
      tools: ['strobe', 'remote switch'],
      minutes: 10,
      helper: 'yes',
      hazards: ['rotating', 'hv-ignition', 'noise'],
      sets: ['cylinders-matched'],
      clears: ['battery-isolated'],
      needs: ['marks-complete', 'fuel-disabled', 'spark-outlet-grounded', 'sweep-done'],
      slots: [slots['strobe-on'], slots['number-seen']],
      values: ['firingOrder'],
      surface: 'matched',
      acts: ['cranks-by-power']
    }),
    step({
      id: 'arm',
      phase: CHECK,
      title: 'Lever fully open, arm on its stop',
      say: 'From the operator\u2019s lever open the throttle fully, and see the timing arm stand on its stop.',
      why: 'The linkage\u2019s stretch is in it only from the lever.',
      accept: 'The arm stands on its stop, seen.',
      ifSkipped: 'In use it goes to more advance than was set.',
      minutes: 3,
      helper: 'yes',
      hazards: ['rotating', 'kickback'],
      sets: ['throttle-at-stop', 'arm-on-stop'],
      needs: ['fuel-disabled']
    }),
    step({
      id: 'stop',
      phase: CHECK,
      title: 'Stop screw learnt',
      say: 'Crank in short bursts and read the full advance; turn the screw a whole turn or more, type where it stands and read again.',
      why: 'Two readings tell what a turn of this screw does.',
      accept: 'Turns to go and their doubt are known.',
      ifSkipped: 'The screw is turned by guess.',
      tools: ['strobe', 'spanner', 'remote switch'],
      minutes: 10,
      helper: 'yes',
      hazards: ['rotating', 'hv-ignition', 'kickback'],
      needs: ['marks-complete', 'fuel-disabled'],
      slots: [slots['stop-turns'], slots['stop-spark']],
      adjusts: ['stop-screw'],
      values: ['fullAdvanceBtdc'],
      surface: 'stop-screw',
      acts: ['sets-stop', 'cranks-by-power']
    }),
    step({
      id: 'lock',
      phase: CHECK,
      title: 'Lock nut tight, full advance read again',
      say: 'Turn the screw by what was worked out, tighten its nut, crank and read three times.',
      why: 'The nut moves the screw.',
      accept: 'Inside its limits, the arm on its stop.',
      ifSkipped: 'Too much advance at full power holes a piston.',
      tools: ['strobe', 'spanner'],
      minutes: 6,
      helper: 'yes',
      hazards: ['rotating', 'hv-ignition'],
      sets: ['full-advance-set'],
      needs: ['arm-on-stop', 'fuel-disabled'],
      slots: [slots['stop-again']],
      adjusts: ['stop-screw'],
      values: ['fullAdvanceMinBtdc', 'fullAdvanceMaxBtdc'],
      surface: 'stop-locked',
      acts: ['sets-stop', 'cranks-by-power']
    }),
    step({
      id: 'water',
      phase: RUN,
      title: 'Water on, throttle released, plugs in',
      say: 'Release the throttle, plugs and leads back in firing order, cooling water on; fuel on last.',
      why: 'Without water it is ruined within seconds.',
      accept: 'Water runs; nobody in the plane of propeller or pump.',
      ifSkipped: 'Water pump and heads suffer.',
      minutes: 8,
      hazards: ['water-prop', 'hv-ignition'],
      sets: ['water-on'],
      clears: ['throttle-at-stop', 'spark-outlet-grounded', 'plugs-out', 'fuel-disabled'],
      needs: ['full-advance-set'],
      onlyIf: {
        fact: 'waterCooled',
        question: 'Is it cooled by water from outside?',
        yes: 'Yes',
        no: 'By air, or its own circuit'
      }
    }),
    step({
      id: 'ready',
      phase: RUN,
      title: 'Throttle released, plugs in, fuel on',
      say: 'See the throttle released, plugs and leads in firing order, fuel on.',
      why: 'Fuel with the throttle held open is a full-speed start.',
      accept: 'Throttle closed, every lead on its plug.',
      ifSkipped: 'It starts at full speed.',
      minutes: 4,
      hazards: ['hv-ignition', 'fuel-fire'],
      clears: ['throttle-at-stop', 'spark-outlet-grounded', 'plugs-out', 'fuel-disabled'],
      needs: ['full-advance-set']
    }),
    step({
      id: 'start',
      phase: RUN,
      title: 'Started, and warm',
      say: 'Start it, run it warm at low speed, water and sound watched.',
      why: 'Idle timing means nothing on a cold engine.',
      accept: 'It runs evenly, water runs out warm.',
      ifSkipped: 'An idle set cold.',
      minutes: 8,
      helper: 'yes',
      hazards: ['first-start', 'water-prop', 'exhaust', 'noise', 'rotating'],
      sets: ['engine-running'],
      needs: ['sweep-done', 'full-advance-set'],
      mustBeOff: ['throttle-at-stop', 'plugs-out'],
      acts: ['starts', 'cranks-by-power']
    }),
    step({
      id: 'idle-timing',
      phase: RUN,
      title: 'Idle timing, by link rod and pick-up',
      say: 'Set the link rod so that the throttle begins to open where the data have it; read the idle timing by strobe.',
      why: 'The throttle follows the timing, not the other way round.',
      accept: 'Inside its limits.',
      ifSkipped: 'It stumbles when it is opened.',
      tools: ['strobe', 'spanner'],
      minutes: 8,
      helper: 'yes',
      hazards: ['rotating', 'noise'],
      needs: ['engine-running', 'full-advance-set'],
      slots: [slots['idle-timing']],
      adjusts: ['link-rod'],
      values: ['idleTimingMinBtdc', 'idleTimingMaxBtdc'],
      surface: 'judged',
      acts: ['sets-idle']
    }),
    step({
      id: 'idle',
      phase: RUN,
      title: 'Idle speed, last',
      say: 'Set the idle speed by the meter; sound is a rough guide.',
      why: 'An idle screw set first hides a timing fault.',
      accept: 'Inside its limits, even.',
      ifSkipped: 'An idle that hides the timing.',
      tools: ['tachometer'],
      minutes: 6,
      hazards: ['rotating', 'exhaust'],
      needs: ['engine-running', 'full-advance-set'],
      slots: [slots['idle-two']],
      adjusts: ['idle-screw'],
      values: ['idleMinRpm', 'idleMaxRpm'],
      surface: 'judged',
      acts: ['sets-idle']
    }),
    step({
      id: 'load',
      phase: RUN,
      title: 'Pick-up under load',
      say: 'A short run under load; open it smoothly and quickly, and listen for knock.',
      why: 'The last of the pick-up is only felt in use.',
      accept: 'It picks up cleanly, no knock.',
      ifSkipped: 'A stumble, or damage.',
      minutes: 20,
      helper: 'yes',
      hazards: ['detonation', 'water-prop'],
      clears: ['engine-running'],
      needs: ['full-advance-set'],
      acts: ['loads']
    }),
    engine.closeLog({ id: 'close', phase: RUN, mustBeOff: ['engine-running', 'throttle-at-stop'] })
  ]
});
