import type { HazardWords } from '../../job/run-sheet.ts';

/** What hurts at an injection pump, beside the usual. */
export const hazards = {
  'hp-fuel': {
    title: 'Fuel under pressure goes through skin: the wound looks small and is grave.',
    text: 'Face shield and gloves, unions shielded, leaks looked for with paper, nothing tightened under pressure.',
    defer: 'emergency care at once if it happened; injection work as licensed'
  },
  'used-fluid': {
    title: 'Old fuel, oil and coolant harm skin and ground water.',
    text: 'Gloves, a drain pan, waste labelled.',
    defer: 'waste rules'
  }
} as const satisfies Record<string, HazardWords>;
