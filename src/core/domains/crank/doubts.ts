import { rad, wrap180 } from '../../numerics/angles.ts';
import { slider } from '../../calculations/piston/slider.ts';
import { sliderOf } from '../../engine/engine.ts';
import type { Typed } from '../../job/domain.ts';
import type { CrankState } from './works.ts';

type Ask = Typed<CrankState>;

export const doubts = { depth: depthDoubt, before: pairDoubt, after: pairDoubt, 'fit-dial': fitDoubt };

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

/** A dial figure that steps away from the last one by more than the piston can move between the two places. */
function fitDoubt({ state, engine, aim, figure: { value: mm }, len }: Ask): string | null {
  const rows = state.work.tdc.fit?.rows ?? [];
  const g = sliderOf(engine);
  const s = g ? slider(g) : null;
  const last = rows[(aim.n ?? 1) - 2];
  const here = rows[(aim.n ?? 1) - 1];
  if (!s?.ok || !last?.dial || !here) return null;
  const apart = Math.abs(wrap180(here.wheel.value - last.wheel.value));
  const most = apart * rad(s.out.r) * 1.2 + 0.5;
  const moved = Math.abs(mm - last.dial.value);
  return moved > most
    ? `The dial moved ${len(moved)} over ${apart.toFixed(0)}°, more than the piston can: a whole turn missed?`
    : null;
}
