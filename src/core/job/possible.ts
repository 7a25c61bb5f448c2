import { fail } from '../errors/catalogue.ts';
import { ok, type Result } from '../errors/result.ts';
import { formatValue } from '../units/format.ts';
import { baseUnit, type Quantity } from '../units/units.ts';

/** The furthest from nothing that a reading of a quantity can be on any engine, in its base unit. */
const REACH: Record<Quantity, number> = {
  length: 10_000,
  angle: 3600,
  timing: 180,
  bearing: 360,
  pressure: 1000,
  torque: 10_000,
  speed: 50_000,
  mass: 100_000,
  temperature: 2000,
  count: 10_000,
  turns: 1000,
  pitch: 100
};

/**
 * Whether a reading can be at all. Improbable ones are asked about and kept; what no engine gives is refused, as it is
 * a slip of the finger and would be worked through degree by degree.
 * Errors: `out-of-range`.
 */
export function possible(quantity: Quantity, value: number): Result<null> {
  if (Math.abs(value) <= REACH[quantity]) return ok(null);
  const most = formatValue(REACH[quantity], baseUnit(quantity), 0);
  return fail('out-of-range', 'text', { what: `No engine gives that: more than ${most}. Look at the figure again.` });
}
