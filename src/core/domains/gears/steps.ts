import type { Step, StepChoice } from '../../job/run-sheet.ts';
import { hands } from '../distributor/fields.ts';
import type { BODY_WORDS } from './body-work.ts';
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

const sameOr = (id: keyof typeof BODY_WORDS, question: string, other: string): StepChoice => ({
  id,
  question,
  options: [
    { id: 'same', label: 'as the old one\u2019s' },
    { id: 'other', label: other }
  ]
});

export const compareBodies = (u: Use): Step =>
  step(
    {
      title: 'Bodies compared, length by length',
      say: 'Measure on both: shank, seat to gear, seat to the end of the tang, height above the seat; then seal, tang, capsule and plug by eye.',
      why: 'What goes into the bore may still stand high, miss the pump, or foul the lid.',
      accept: 'Every difference within what the data sheet allows, seat and tang alike, capsule and plug within reach.',
      ifSkipped: 'It stops high, or drives no oil pump, and that is found with the engine apart.',
      tools: ['caliper', 'depth gauge'],
      minutes: 12,
      sets: ['bodies-compared'],
      slots: [
        slots['old-shank'],
        slots['new-shank'],
        slots['old-seat'],
        slots['new-seat'],
        slots['old-tang'],
        slots['new-tang'],
        slots['old-height'],
        slots['new-height']
      ],
      choices: [
        sameOr('seat-same', 'Seat and seal are', 'of another kind'),
        sameOr('tang-same', 'The tang is', 'of another shape'),
        sameOr('reach-same', 'Capsule, latch and plug sit', 'where they foul or do not reach')
      ],
      surface: 'bodies'
    },
    u
  );

export const trialFit = (u: Use): Step =>
  step(
    {
      title: 'New gear tried before it is pinned',
      say: 'Measure bore and shaft, slide the gear on by hand, look through the pin\u2019s hole.',
      why: 'A gear forced on splits, and a hole that does not meet is drilled twice.',
      handles: { 'distributor.gear': 'slid on by hand', 'distributor.pin': 'holes looked through' },
      accept: 'Slides without force and without rock, holes in line.',
      ifSkipped: 'A split gear, or a pin that cuts its own way.',
      tools: ['micrometer', 'punch'],
      minutes: 5,
      choices: [
        {
          id: 'gear-slides',
          part: 'distributor.gear',
          question: 'The gear goes on',
          options: [
            { id: 'slides', label: 'by hand, without rock' },
            {
              id: 'tight',
              label: 'tight, or with rock',
              holds: 'the gear does not slide on by hand without rock: never force it on, measure bore and shaft'
            }
          ]
        },
        {
          id: 'holes-meet',
          part: 'distributor.pin',
          question: 'Its hole and the shaft\u2019s',
          options: [
            { id: 'meet', label: 'are in line' },
            { id: 'miss', label: 'do not meet: it is drilled anew' }
          ]
        }
      ]
    },
    u
  );
