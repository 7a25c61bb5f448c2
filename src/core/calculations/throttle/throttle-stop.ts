import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { distinct, fitLine } from '../../numerics/line.ts';
import type { throttleStopInput } from './schemas.ts';

/**
 * How far the stop screw of the full throttle is turned from where it was read last: a straight line through what its turns
 * did so far. Errors `too-few-readings` under two different places of the screw, `no-slope` for readings that do not move.
 */
export function throttleStop({
  readings,
  targetBtdc
}: z.infer<typeof throttleStopInput>): Result<{ degPerTurn: number; turnsFromLast: number }> {
  const turns = readings.map((r) => r.turns);
  if (distinct(turns) < 2)
    return fail('too-few-readings', 'readings', {
      have: distinct(turns),
      need: 2,
      what: 'different places of the screw'
    });
  const line = fitLine(
    turns,
    readings.map((r) => r.btdc)
  );
  if (Math.abs(line.slope) <= EPS) return fail('no-slope', 'readings', {});
  const at = (targetBtdc - line.intercept) / line.slope;
  return ok({ degPerTurn: line.slope, turnsFromLast: at - turns[turns.length - 1]! });
}
