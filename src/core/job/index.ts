// A job is its log
export { jobState, missingValues, valuesAsked } from './state.ts';
export type { JobState, StepView, StepState, Domain } from './domain.ts';
export type { EventBody, EventKind, JobEvent, GaugeRef, Person, Figure } from './events.ts';
export { admit, admittedAlike, notSettled } from './admit.ts';
export { settledFigures } from './figures.ts';
export type { SettledFigure } from './settled.ts';
export { repeatsIn } from './repeats.ts';
export type { Repeats } from './repeats.ts';
export { understand } from './understand.ts';
export type { Draft, Lookup } from './understand.ts';
export * as words from './words.ts';
export type { RunSheet, Step } from './run-sheet.ts';
