import type { JobState } from './domain.ts';
import type { EventOf } from './events.ts';

/** The photographs of a step, in the order in which they were taken. */
export const photosOf = (state: JobState, stepId: string): EventOf<'photo'>[] =>
  state.replayed.photos.filter((p) => p.step === stepId);
