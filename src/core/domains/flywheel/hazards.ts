import type { HazardWords } from '../../job/run-sheet.ts';

/** What hurts at an engine that drives a propeller or a pump. */
export const hazards = {
  'water-prop': {
    title: 'A propeller cuts, fumes lie over water, and without water it seizes.',
    text: 'Propeller off or guarded, nobody in the water, water supply on, bilge aired.',
    defer: 'marine safety rules'
  }
} as const satisfies Record<string, HazardWords>;
