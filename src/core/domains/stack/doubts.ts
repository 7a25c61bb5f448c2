import type { Typed } from '../../job/domain.ts';
import type { StackState } from './works.ts';

/** A blade pack one person can hardly hold: asked once. */
const MANY_BLADES = 4;

/** A blade pack that hardly one hand can hold, one that disagrees with the other places, or a gap above the washer. */
export function gapDoubt({ state, text, figure: { value: mm }, len }: Typed<StackState>): string | null {
  const blades = text.split('+').length;
  if (blades > MANY_BLADES)
    return `${blades} blades in one place: that is more than one person can feel truly. Is the sum right?`;
  const { gaps, washers } = state.work.stack;
  const others = gaps.map((g) => g.sumMm);
  const near = Math.min(...others.map((o) => Math.abs(o - mm)));
  if (others.length > 0 && near > 0.25) return `That is ${len(near)} from the nearest of the other places.`;
  const washer = washers.length > 0 ? washers.reduce((t, w) => t + w.value, 0) / washers.length : null;
  return washer !== null && mm > washer
    ? `The gap is wider than the washer by ${len(mm - washer, 3)}: the float would be below zero. Do the blades add up?`
    : null;
}
