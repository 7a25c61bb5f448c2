import type { OnlyIf, Step } from '../../job/run-sheet.ts';
import type { Use } from '../../job/vocabulary.ts';
import { slots } from './slots.ts';
import { step } from './vocabulary.ts';

/** Steps of making ready, turning and closing that every trade shares. */
export const intake = (u: Use): Step =>
  step(
    {
      title: 'Data sheet confirmed',
      say: 'Check the data sheet against the plates of engine and distributor.',
      why: 'Every later figure follows the data sheet, right or wrong.',
      accept: 'Every value has a source and belongs to this very unit.',
      ifSkipped: 'The wrong order, direction or figure is followed faithfully.',
      tools: ['data sheet', 'lamp'],
      minutes: 10,
      sets: ['data-confirmed'],
      surface: 'sheet'
    },
    u
  );

export const makeSafe = (u: Use): Step =>
  step(
    {
      title: 'Start isolated, drives free',
      say: 'Block the machine, drives in neutral, battery earth lead off, fuel shut, key in your pocket.',
      why: 'Nobody may be caught by an engine that turns by itself.',
      accept: 'A start attempt does nothing.',
      ifSkipped: 'The engine turns with hands near fan, flywheel or open bore.',
      tools: ['blocks', 'spanner', 'tag'],
      hazards: ['inadvertent-start', 'vehicle-move', 'battery'],
      sets: ['vehicle-secured', 'battery-isolated', 'fuel-disabled']
    },
    u
  );

/** For sheets on which the engine runs from the beginning: nothing is isolated, but nothing may roll either. */
export const secure = (u: Use): Step =>
  step(
    {
      title: 'Machine secured',
      say: 'Block the machine, drives in neutral; run the exhaust outside or extract it, alarm on.',
      why: 'A machine that creeps while it runs has nobody at its controls.',
      accept: 'It cannot roll, and the air stays fit to breathe.',
      ifSkipped: 'It moves, or the bay fills with fumes.',
      tools: ['blocks', 'hose or extraction'],
      minutes: 3,
      hazards: ['vehicle-move', 'exhaust'],
      sets: ['vehicle-secured']
    },
    u
  );

export const plugsOut = (u: Use): Step =>
  step(
    {
      title: 'Plugs out, openings covered',
      say: 'Clean round the plugs, take them all out, cover the openings not in use.',
      why: 'Slow, smooth turning stops where you stop it.',
      accept: 'The crank stays where it is left.',
      ifSkipped: 'Compression throws the crank past the mark.',
      tools: ['plug socket', 'blower', 'covers'],
      minutes: 15,
      hazards: ['pinch-plughole', 'hot-surface', 'dropped-part'],
      sets: ['plugs-out'],
      needs: ['battery-isolated']
    },
    u
  );

export const barOn = (u: Use): Step =>
  step(
    {
      title: 'Barring tool on',
      say: 'Fit a crank socket or flywheel bar; the nose bolt only forward, and with plugs or injectors out.',
      why: 'Slow turning without harm to the crank nose.',
      accept: 'It turns the crank without slip and its swing is clear.',
      ifSkipped: 'The bolt loosens or strips, and the mark is passed.',
      tools: ['crank socket or flywheel bar'],
      minutes: 3,
      helper: 'advised',
      hazards: ['barring-tool', 'rotating'],
      sets: ['barring-tool-fitted'],
      needs: ['battery-isolated', 'vehicle-secured'],
      schools: ['turning'],
      ways: {
        turning: {
          nose: {
            say: 'Plugs or injectors out, bar on the nose bolt: turn it forward only, and a mark that was passed is come to again by going round.',
            why: 'Turned backward the bar loosens the bolt; turned against compression it overtightens or strips it.',
            accept: 'It turns the crank without slip, plugs or injectors are out, its swing is clear.',
            tools: ['socket for the nose bolt', 'bar']
          }
        }
      },
      choices: [
        {
          id: 'bar-on',
          question: 'The bar sits on',
          options: [
            { id: 'socket', label: 'a socket on the crank' },
            { id: 'flywheel', label: 'the flywheel' },
            { id: 'nose', label: 'the nose bolt' }
          ]
        }
      ]
    },
    u
  );

const FRESH: OnlyIf = {
  fact: 'camFresh',
  question: 'Is the camshaft, or a gear that runs with it, fresh and still to be run in?',
  yes: 'Fresh',
  no: 'Run in already',
  flag: 'cam-fresh'
};

/** What a fresh camshaft or gear asks for is in hand before it fires, since it must not idle while somebody looks for it. */
export const runInPlanned = (u: Use): Step =>
  step(
    {
      title: 'Run-in plan in hand',
      say: 'Write down the speed, the timing and the time that the camshaft\u2019s maker asks for, and see its lubricant on lobes and gear.',
      why: 'Its first minutes decide how long it lasts, and there is no time to read then.',
      handles: { 'engine.throttle': 'plan at the controls', 'engine.bore': 'lubricant on lobes and gear' },
      accept: 'Plan at the controls, lubricant seen.',
      ifSkipped: 'It idles while the plan is looked for, and its faces suffer.',
      tools: ['the maker\u2019s run-in plan', 'run-in lubricant'],
      minutes: 5,
      onlyIf: FRESH
    },
    u
  );

export const runIn = (u: Use): Step =>
  step(
    {
      title: 'Run in by its plan',
      say: 'As soon as it fires and oil pressure is up, raise it to the speed of the plan and hold it there for its time; never let it idle before. Then idle it, and look at the oil for metal.',
      why: 'Fresh faces bed in at speed, and are scuffed at idle.',
      handles: { 'engine.throttle': 'held at the speed of the plan', 'engine.oil': 'pressure up; metal looked for' },
      accept: 'Time and speed as planned, no metal in the oil.',
      ifSkipped: 'A camshaft ruined in its first quarter of an hour.',
      tools: ['clock', 'tachometer'],
      minutes: 25,
      helper: 'yes',
      hazards: ['exhaust', 'noise', 'rotating', 'hot-surface', 'oil-starve'],
      needs: ['engine-running'],
      clears: ['cam-fresh'],
      onlyIf: FRESH
    },
    u
  );

export const closeLog = (u: Use): Step =>
  step(
    {
      title: 'Log closed',
      say: 'Read the card through, note what stays open, sign it.',
      why: 'The next person should not start blind.',
      accept: 'Readable without its author.',
      ifSkipped: 'The reference must be found again next time.',
      sets: ['log-closed'],
      surface: 'close',
      acts: ['closes-log']
    },
    u
  );

export const coverOpenings = (u: Use): Step =>
  step(
    {
      title: 'Openings covered, parts counted',
      say: 'Plug the bore and the openings near it; lay out and count screws, washers, springs, pins and rings.',
      why: 'A part in the case can mean a full strip.',
      accept: 'Count out equals count in.',
      ifSkipped: 'Something falls into the case.',
      tools: ['lint-free plugs', 'magnet', 'tray'],
      minutes: 3,
      hazards: ['dropped-part'],
      sets: ['openings-covered'],
      slots: [slots['small-parts-out']]
    },
    u
  );

export const holdStill = (u: Use): Step =>
  step(
    {
      title: 'Crank left alone',
      say: 'Tag the starter, take the bar off, do not move the machine.',
      why: 'Matching marks work only if nothing moved.',
      accept: 'Untouched. If it moved, say so: the crank is found again.',
      ifSkipped: 'Marks are trusted although the engine has moved.',
      minutes: 1,
      hazards: ['inadvertent-start'],
      clears: ['barring-tool-fitted']
    },
    u
  );
