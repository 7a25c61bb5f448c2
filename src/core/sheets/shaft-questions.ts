import type { OnlyIf } from '../job/run-sheet.ts';

/** Said once, before anything is taken apart: what follows can end with the case on the bench. */
export const comesOut: OnlyIf = {
  fact: 'shaft-comes-out',
  question: 'If a ring jams at the gear the case has to be split. Is that accepted, and is the shaft to come out here?',
  yes: 'Accepted: it comes out here',
  no: 'No: it stays in'
};
export const hoseThere: OnlyIf = {
  fact: 'vacuumUnit',
  within: 'shaft-comes-out',
  question: 'Is a vacuum capsule fitted?',
  yes: 'Fitted',
  no: 'None'
};
export const turned: OnlyIf = {
  fact: 'shaft-needs-gap',
  within: 'shaft-comes-out',
  question: 'Must the shaft\u2019s narrow half face the crank gear before it can be drawn?',
  yes: 'Yes: the crank has to move a little',
  no: 'No: it clears as it stands'
};
