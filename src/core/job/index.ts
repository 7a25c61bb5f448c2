// A job is its log
export { jobState, missingValues } from './state.ts';
export type { JobState, StepView, StepState } from './state.ts';
export type { EventBody, EventKind, JobEvent, GaugeRef, Person, Figure } from './events.ts';
export { admit, notSettled } from './admit.ts';
export { settledFigures } from './figures.ts';
export type { SettledFigure } from './figures.ts';
export * as words from './words.ts';
export type { RunSheet, Step } from './run-sheet.ts';
export type { Works } from './domain.ts';
export type { Part, StockItem } from './taken.ts';
