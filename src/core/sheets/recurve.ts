import { slots as curveSlots } from '../domains/curves/slots.ts';
import { loadProved, searchTray, targetsSet } from '../domains/recurve/steps.ts';
import { BY_DISTRIBUTOR, curves, engine, sheet, step, timing } from './authoring.ts';
import { proveMark } from './prove-mark.ts';

const FOUND = 'The curve as it was found';
const CHOOSE = 'Target, springs and stop';
const FIT = 'Fit the parts';
const PROVE = 'Measure again';

/** The advance curve changed on purpose: from the measured curve over the springs of the tray to a second sweep. */
export const recurve = sheet({
  id: 'recurve',
  title: 'Recurve the advance',
  short: 'recurve: springs and stop',
  fits: [BY_DISTRIBUTOR, { field: 'advanceKind', is: ['weights'], otherwise: 'its advance comes from: $' }],
  begins: ['distributor-seated', 'gear-meshed', 'oil-drive-engaged', 'clamp-snug', 'leads-fitted', 'gasket-fitted'],
  reference: 'staticBtdc',
  panel: 'curves',
  steps: [
    engine.intake({
      id: 'intake',
      phase: FOUND,
      say: 'Check limits, idle, total, and which springs and stop are in now.',
      values: ['staticBtdc', 'rotorDirection', 'ratio', 'advanceBand', 'totalMaxBtdc', 'idleRpm']
    }),
    ...proveMark(FOUND),
    engine.secure({ id: 'secure', phase: FOUND }),
    curves.weightsFree({ id: 'free', phase: FOUND }),
    timing.strobeOn({ id: 'strobe-on', phase: FOUND }),
    timing.hoseOff({ id: 'hose', phase: FOUND }),
    timing.nothingLeft({ id: 'sweep-list', phase: FOUND }),
    timing.firstStart({
      id: 'start',
      phase: FOUND,
      title: 'Started and warm',
      say: 'Start it, run it warm, choke off, idle below the onset of the advance.'
    }),
    curves.sweepRun({
      id: 'baseline',
      phase: FOUND,
      title: 'Curve as it was found, swept',
      why: 'Never change a curve that has not been seen.',
      sets: ['baseline-known'],
      needs: ['engine-running', 'strobe-connected', 'vacuum-plugged', 'advance-free']
    }),
    targetsSet({ id: 'targets', phase: CHOOSE }),
    searchTray({ id: 'search', phase: CHOOSE }),
    engine.makeSafe({
      id: 'safe',
      phase: FIT,
      say: 'Stop the engine, battery earth lead off, fuel shut, key in your pocket.',
      clears: ['engine-running', 'ignition-live']
    }),
    step({
      id: 'tray-laid',
      phase: FIT,
      title: 'Tray laid, parts counted',
      say: 'Lay a tray under the distributor; count springs, spacers, washers and the nut onto it as they come off.',
      why: 'What is not counted out cannot be counted back.',
      handles: { 'distributor.weights': 'springs, spacers, washers, nut' },
      accept: 'A count is written down.',
      ifSkipped: 'A lost spacer changes the curve, and nobody knows why.',
      tools: ['tray', 'magnet'],
      minutes: 2,
      hazards: ['dropped-part'],
      sets: ['advance-parts-counted'],
      slots: [curveSlots['advance-parts-out']]
    }),
    step({
      id: 'fit',
      phase: FIT,
      title: 'Parts changed without loss',
      say: 'Work over a tray, hold the springs when unhooking, keep spacers and washers, the stop\u2019s nut only to its light torque.',
      why: 'Small parts escape, and a lost spacer changes the curve.',
      handles: {
        'distributor.weights': 'springs held, nut to its torque',
        'distributor.rotor': 'on in its keyed place'
      },
      accept: 'As many on again as came off, rotor on in its keyed place.',
      ifSkipped: 'A lost spacer, a broken stud, a jammed rotor.',
      tools: ['hooks', 'small spanner', 'magnet'],
      minutes: 12,
      hazards: ['flying', 'eyes', 'overtorque'],
      needs: ['battery-isolated'],
      sets: ['curve-fitted'],
      slots: [curveSlots['advance-parts-back']],
      acts: ['opens-advance']
    }),
    curves.weightsFree({
      id: 'free-again',
      phase: FIT,
      title: 'Weights free with the new parts',
      needs: ['curve-fitted']
    }),
    timing.nothingLeft({ id: 'list-again', phase: PROVE }),
    timing.firstStart({ id: 'start-again', phase: PROVE, title: 'Started again' }),
    timing.strobeInitial({
      id: 'strobe',
      phase: PROVE,
      say: 'At warm idle, hose plugged, set the initial timing that the search asked for, and read it.'
    }),
    curves.sweepRun({
      id: 'sweep',
      phase: PROVE,
      title: 'Curve swept again',
      surface: 'swept-again',
      why: 'What was predicted is proved by the engine, not by the drawing.',
      needs: ['engine-running', 'strobe-connected', 'vacuum-plugged', 'advance-free']
    }),
    curves.vacuumChecked({ id: 'vacuum', phase: PROVE, needs: ['engine-running', 'strobe-connected'] }),
    timing.clampFinal({ id: 'clamp-final', phase: PROVE }),
    timing.hoseOn({ id: 'hose-on', phase: PROVE }),
    loadProved({ id: 'load', phase: PROVE }),
    engine.closeLog({ id: 'close', phase: PROVE, mustBeOff: ['vacuum-plugged'] })
  ]
});
