import type { z } from 'zod';
import { EPS, wrap180 } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { anglesAtDrop, dropMm, slider } from '../piston/slider.ts';
import type { flywheelMarksInput } from './schemas.ts';

export interface FlywheelMarks {
  btdc: number;
  dropMm: number;
  /** what a degree is worth at the rim */
  mmPerDeg: number;
  marks: { cylinder: number; expectedDeg: number; errorDeg?: number; errorMm?: number }[];
  worstDeg?: number;
  state?: 'in' | 'out';
}

/**
 * Each cylinder's mark round a flywheel: its place from cylinder one's in firing order, and how far the mark that was found
 * lies from it. Timing and piston height before TDC follow from one another by this engine's stroke, rod and pin.
 * Errors `geometry-impossible`, `drop-out-of-range`.
 */
export function flywheelMarks(i: z.output<typeof flywheelMarksInput>): Result<FlywheelMarks> {
  const s = slider(i);
  if (!s.ok) return s;
  const at = i.dropMm === undefined ? null : anglesAtDrop(s.out, i.dropMm);
  if (i.dropMm !== undefined && !at)
    return fail('drop-out-of-range', 'dropMm', { dropMm: i.dropMm, maxMm: s.out.maxDropMm });
  const btdc = at ? at.beforeDeg : i.btdc!;
  const mmPerDeg = (Math.PI * i.flywheelDiameterMm) / 360;
  const found = new Map((i.measured ?? []).map((m) => [m.cylinder, m.wheelDeg]));
  const n = i.firingOrder.length;
  const one = i.firingOrder.indexOf(1);
  const marks = i.firingOrder.map((_, k) => {
    const cylinder = i.firingOrder[(one + k) % n]!;
    const expectedDeg = (360 * k) / n;
    const wheelDeg = found.get(cylinder);
    if (wheelDeg === undefined) return { cylinder, expectedDeg };
    const errorDeg = wrap180(wheelDeg - found.get(1)! - expectedDeg);
    return { cylinder, expectedDeg, errorDeg, errorMm: errorDeg * mmPerDeg };
  });
  const out: FlywheelMarks = { btdc, dropMm: i.dropMm ?? dropMm(s.out, -btdc), mmPerDeg, marks };
  if (!i.measured) return ok(out);
  const worstDeg = Math.max(...marks.map((m) => Math.abs(m.errorDeg ?? 0)));
  return ok({ ...out, worstDeg, state: worstDeg <= i.toleranceDeg + EPS ? 'in' : 'out' });
}
