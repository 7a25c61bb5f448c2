import { slider } from '../../calculations/piston/slider.ts';
import { sliderOf } from '../../engine/engine.ts';
import type { Typed } from '../../job/domain.ts';
import type { CrankState } from './works.ts';

type Ask = Typed<CrankState>;

export const doubts = { depth: depthDoubt, before: pairDoubt, after: pairDoubt };

function depthDoubt({ engine, figure: { value: mm }, len }: Ask): string | null {
  const g = sliderOf(engine);
  const s = g ? slider(g) : null;
  if (mm <= 0) return 'The piston cannot stand above the top: depth is counted downwards.';
  if (s?.ok && mm > s.out.maxDropMm)
    return `The stroke is ${len(s.out.maxDropMm, 1)}: the piston does not go ${len(mm, 1)} down.`;
  if (s?.ok && mm > s.out.maxDropMm / 3) return `${len(mm, 1)} is more than a third of the stroke, far down for this.`;
  return null;
}

function pairDoubt({ state, aim, figure: { value } }: Ask): string | null {
  if (Math.abs(value) > 360) return 'A wheel shows no more than 360°.';
  const others = state.work.tdc.rows
    .filter((r) => r.middleDeg !== null)
    .map((r) => (aim.as === 'before' ? r.before!.value : r.after!.value));
  if (others.length === 0) return null;
  const off = Math.min(...others.map((o) => Math.abs(((value - o + 540) % 360) - 180)));
  return off > 5 ? `That is ${off.toFixed(1)}° from the other readings of this side.` : null;
}
