import type { Step } from '../../job/run-sheet.ts';
import { hands } from '../distributor/fields.ts';
import { gearMaterials } from './fields.ts';
import { slots } from './slots.ts';
import type { Use } from '../../job/vocabulary.ts';
import { step } from './vocabulary.ts';

const options = (pairs: [string, string][]) => [
  ...pairs.map(([id, label]) => ({ id, label })),
  { id: 'unknown', label: 'not known yet' }
];

export const compareGears = (u: Use): Step =>
  step(
    {
      title: 'Old and new compared',
      say: 'Lay them side by side: count teeth, look at the hand, measure bore and outside.',
      why: 'A gear that goes in may still not be the same.',
      accept: 'Everything equal, the pair of materials agreed in writing.',
      ifSkipped: 'A ruined camshaft, an engine that cannot be timed, no oil drive.',
      tools: ['caliper', 'chalk', 'lamp'],
      minutes: 15,
      sets: ['unit-compared', 'gear-material-ok'],
      slots: [slots['new-teeth'], slots['new-module'], slots['new-bore'], slots['new-outside']],
      choices: [
        { id: 'new-hand', question: 'Hand of the new gear', options: options(hands) },
        { id: 'new-material', question: 'The new gear is of', options: options(gearMaterials) }
      ],
      surface: 'gears'
    },
    u
  );
