import type { RepeatGroup } from '../../job/domain.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { readsOf } from '../../tray/reads.ts';
import type { CrankState } from './works.ts';

/**
 * The middles of pairs repeat one another. One that lies far off tells of a wheel that slipped and not of the hand, so such
 * a measurement is not learnt from. The middle of two has 1/√2 of the scatter of one.
 */
export function middles(state: CrankState): RepeatGroup[] {
  const { rows } = state.work.tdc;
  const whole = rows.filter((r) => r.middleDeg !== null && r.before!.by.id === r.after!.by.id);
  if (whole.length < 2 || rows.some((r) => r.farOff)) return [];
  const first = whole[0]!.middleDeg!;
  return [
    {
      of: whole.map((r) => r.after!),
      kind: 'wheel',
      reads: readsOf('before'),
      values: whole.map((r) => wrap180(r.middleDeg! - first)),
      share: Math.SQRT1_2
    }
  ];
}
