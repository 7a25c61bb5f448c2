import type { StepChoice } from '../../job/run-sheet.ts';
import { parts as onDistributor } from '../distributor/parts.ts';
import { parts as places } from './parts.ts';

/** A finding put down as a word; a job that follows takes it over. */
export const ask = (
  id: string,
  question: string,
  options: [id: string, label: string, part?: keyof typeof places][],
  part?: keyof typeof onDistributor
): StepChoice => ({
  id,
  question,
  options: options.map(([o, label, at]) => ({ id: o, label, ...(at && { part: at }) })),
  ...(part && { part }),
  carries: true
});

/** Where and how the teeth wore. */
export const wearAsked: StepChoice[] = [
  ask('wear-place', 'The gear wore', [
    ['middle', 'in the middle', 'flank.middle'],
    ['low', 'low', 'flank.low'],
    ['high', 'high', 'flank.high'],
    ['edge', 'over an edge', 'flank.edge']
  ]),
  ask('wear-surface', 'Its flanks are', [
    ['polished', 'polished'],
    ['rough', 'rough'],
    ['hollow', 'hollow, with a step'],
    ['chipped', 'chipped']
  ])
];

/** What the weights do, beside the step of the curve's trade that tries them. */
export const weightsMove: StepChoice = ask(
  'advance-moves',
  'The weights',
  [
    ['free', 'move, snap back, reach their stop'],
    ['sticks', 'stick, or come back slowly'],
    ['seized', 'are seized, or a spring is missing']
  ],
  'distributor.weights'
);
