import type { Typed } from '../../job/domain.ts';
import { numberOf } from './vocabulary.ts';
import type { TimingState } from './works.ts';

/** Contacts are closed for a good part of the turn from one lobe to the next, and never for all of it. */
export function dwellDoubt({ engine, figure: { value: deg } }: Typed<TimingState>): string | null {
  const lobes = numberOf(engine, 'cylinders');
  const between = 360 / (lobes ?? 1);
  if (deg >= between) return `From lobe to lobe there are ${between.toFixed(0)}°: a dwell of ${deg}° cannot be.`;
  return deg < between / 10 ? `A dwell of ${deg}° leaves no time to charge the coil. Is it the gap?` : null;
}
