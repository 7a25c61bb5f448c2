import type { JobState } from '../../job/domain.ts';
import type { ElementsWork } from './elements-work.ts';

export interface ElementsWorks {
  /** each step that reads the spacing, by its id */
  elements: Record<string, ElementsWork>;
}
export type ElementsState = JobState<ElementsWorks>;
