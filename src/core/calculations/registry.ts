import { z } from 'zod';
import { capCalcs } from './cap/calcs.ts';
import { crankCalcs } from './crank/calcs.ts';
import { curveCalcs } from './curve/calcs.ts';
import { cycleCalcs } from './cycle/calcs.ts';
import { driveCalcs } from './drive/calcs.ts';
import { flywheelCalcs } from './flywheel/calcs.ts';
import { gaugeCalcs } from './gauge/calcs.ts';
import { gearCalcs } from './gear/calcs.ts';
import { magnetoCalcs } from './magneto/calcs.ts';
import { markCalcs } from './mark/calcs.ts';
import { meshCalcs } from './mesh/calcs.ts';
import { pistonCalcs } from './piston/calcs.ts';
import { pointsCalcs } from './points/calcs.ts';
import { pumpCalcs } from './pump/calcs.ts';
import { readingCalcs } from './reading/calcs.ts';
import { rotorCalcs } from './rotor/calcs.ts';
import { springCalcs } from './spring/calcs.ts';
import { stackCalcs } from './stack/calcs.ts';
import { staticTimingCalcs } from './static-timing/calcs.ts';
import { tdcCalcs } from './tdc/calcs.ts';
import { throttleCalcs } from './throttle/calcs.ts';
import { timingCalcs } from './timing/calcs.ts';
import { torqueCalcs } from './torque/calcs.ts';
import { vacuumCalcs } from './vacuum/calcs.ts';
import { wheelCalcs } from './wheel/calcs.ts';
import { fail } from '../errors/catalogue.ts';
import type { Result } from '../errors/result.ts';
import type { Calc } from './define.ts';

/** Every calculation by name. This is the one place that makes them callable from anywhere. */
export const registry: ReadonlyMap<string, Calc> = new Map(
  [
    ...gaugeCalcs,
    ...readingCalcs,
    ...torqueCalcs,
    ...pistonCalcs,
    ...tdcCalcs,
    ...markCalcs,
    ...wheelCalcs,
    ...crankCalcs,
    ...cycleCalcs,
    ...staticTimingCalcs,
    ...pointsCalcs,
    ...timingCalcs,
    ...stackCalcs,
    ...meshCalcs,
    ...gearCalcs,
    ...driveCalcs,
    ...rotorCalcs,
    ...capCalcs,
    ...curveCalcs,
    ...springCalcs,
    ...vacuumCalcs,
    ...pumpCalcs,
    ...magnetoCalcs,
    ...flywheelCalcs,
    ...throttleCalcs
  ].map((c) => [c.name, c])
);

/** Runs a calculation by name on unknown input. Never throws for bad input; unknown names are `unknown-calc`. */
export function runCalc(name: string, input: unknown): Result<unknown> {
  const calc = registry.get(name);
  return calc ? calc.run(input) : fail('unknown-calc', 'calc', { name });
}

type Dialect = 'draft-2020-12' | 'openapi-3.0';

/** JSON Schema of a calculation's input, 2020-12 or the dialect of OpenAPI 3.0. */
export const inputSchema = (calc: Pick<Calc, 'input'>, target: Dialect = 'draft-2020-12'): object =>
  z.toJSONSchema(calc.input, { target, io: 'input' });

/** JSON Schema of what it answers. */
export const outputSchema = (calc: Pick<Calc, 'output'>, target: Dialect = 'draft-2020-12'): object =>
  z.toJSONSchema(calc.output, { target });
