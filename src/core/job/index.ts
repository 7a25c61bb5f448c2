// A job is its log
export { jobState, missingValues } from './state.ts';
export type { JobState, StepView, StepState } from './state.ts';
export type { EventBody, EventKind, JobEvent, GaugeRef, Person, Figure } from './events.ts';
export { admit, notSettled } from './admit.ts';
export { settledFigures } from './figures.ts';
export type { SettledFigure } from './figures.ts';
export * as words from './words.ts';
export type { RunSheet, Step } from '../sheets/types.ts';
export type { Works } from './domains/domain.ts';
export type { Part, StockItem } from './drive/taken.ts';
