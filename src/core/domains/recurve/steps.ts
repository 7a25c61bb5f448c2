import type { Step } from '../../job/run-sheet.ts';
import type { Use } from '../../job/vocabulary.ts';
import { slots } from './slots.ts';
import { step } from './vocabulary.ts';

export const targetsSet = (u: Use): Step =>
  step(
    {
      title: 'Target set',
      say: 'Say what it pulls and burns; then take the middle of the limits as target, or drag it.',
      why: 'Figures before parts; the limits are the data sheet\u2019s, a rule of thumb is only that.',
      accept: 'Initial and advance together below the total limit.',
      ifSkipped: 'The wrong stop with the right springs.',
      minutes: 10,
      sets: ['curve-targets'],
      needs: ['data-confirmed'],
      choices: [
        {
          id: 'load',
          question: 'What it pulls',
          options: [
            { id: 'light', label: 'light loads' },
            { id: 'mixed', label: 'loads that change' },
            { id: 'heavy', label: 'heavy loads' }
          ]
        },
        {
          id: 'fuel',
          question: 'Fuel',
          options: [
            { id: 'good', label: 'good' },
            { id: 'poor', label: 'poor or unknown' }
          ]
        },
        {
          id: 'use',
          question: 'Runs mostly at',
          options: [
            { id: 'steady', label: 'one steady speed' },
            { id: 'changing', label: 'changing speeds' }
          ]
        }
      ],
      values: ['advanceBand', 'totalMaxBtdc', 'idleRpm'],
      surface: 'targets'
    },
    u
  );

export const searchTray = (u: Use): Step =>
  step(
    {
      title: 'Springs and stop chosen',
      say: 'Look at what each pair and stop of the tray would do, and take the one that fits.',
      why: 'The measured curve tells what other springs do: no swapping by rumour.',
      accept: 'Within the limits, nothing creeping at idle, nothing snapping out.',
      ifSkipped: 'Timing that hunts at idle, or comes too late.',
      minutes: 8,
      needs: ['curve-targets', 'baseline-known'],
      values: ['springARate', 'springAPreload', 'springBRate', 'springBPreload', 'extensionMmPerDeg'],
      takes: ['spring', 'stop'],
      surface: 'recurve',
      acts: ['chooses-springs']
    },
    u
  );

export const loadProved = (u: Use): Step =>
  step(
    {
      title: 'Proved under load',
      say: 'Load it as it will be loaded and listen for knock; at the first sign lift the throttle, take back a small step, try again.',
      why: 'A curve is proved by the engine, and what is taken back without a log is taken back twice.',
      accept: 'No knock at the worst load and fuel it will see, and a margin beyond.',
      ifSkipped: 'Holed pistons.',
      minutes: 20,
      helper: 'yes',
      hazards: ['first-start', 'vehicle-move', 'detonation'],
      needs: ['clamp-final'],
      acts: ['loads', 'runs-on'],
      slots: [slots['taken-back'], slots['knock-margin']],
      choices: [
        {
          id: 'knock-heard',
          question: 'At its worst load',
          options: [
            { id: 'none', label: 'it does not knock' },
            { id: 'still', label: 'it knocks' },
            { id: 'gone', label: 'it knocked, and no longer does' }
          ]
        }
      ],
      surface: 'knock'
    },
    u
  );
