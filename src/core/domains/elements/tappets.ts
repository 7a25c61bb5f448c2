import type { StepView } from '../../job/domain.ts';
import { list } from '../../job/texts.ts';
import type { ElementsWork } from './elements-work.ts';
import type { ElementsState } from './works.ts';

/** The last round of elements that was read whole before the tappets are changed; null while none was. */
export function lastSpacing(state: Pick<ElementsState, 'work' | 'steps'>): ElementsWork | null {
  const first = state.steps.find((v) => state.work.elements[v.step.id] && v.step.role !== 'spacing-proof');
  const w = first && state.work.elements[first.step.id];
  return w && w.rows.length > 0 && w.rows.every((r) => r.reading) ? w : null;
}

export function tappetsHeadline(state: ElementsState, _: StepView): string | null {
  const w = lastSpacing(state);
  const thicker = w?.rows.filter((r) => (r.shimMm ?? 0) > 1e-6).map((r) => String(r.element)) ?? [];
  const thinner = w?.rows.filter((r) => (r.shimMm ?? 0) < -1e-6).map((r) => String(r.element)) ?? [];
  const parts = [
    ...(thicker.length ? [`thicker under ${list(thicker)}`] : []),
    ...(thinner.length ? [`thinner under ${list(thinner)}`] : [])
  ];
  return parts.length ? `Shims ${parts.join(', ')}` : null;
}
