import type { JobState } from './domain.ts';
import { judgedFigures } from './judged.ts';
import type { SettledFigure } from './settled.ts';

/** The figures settled so far: what the domains work out, then what the slots settle by themselves. */
export const settledFigures = (state: JobState): SettledFigure[] => [
  ...state.domains.flatMap((d) => d.figures?.(state) ?? []),
  ...judgedFigures(state)
];
