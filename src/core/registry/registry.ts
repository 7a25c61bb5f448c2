import { z } from 'zod';
import { crankCalcs } from '../crank/calcs.ts';
import { curveCalcs } from '../curves/calcs.ts';
import { driveCalcs } from '../drive/calcs.ts';
import { fail } from '../errors/catalogue.ts';
import type { Result } from '../errors/result.ts';
import { measureCalcs } from '../measure/calcs.ts';
import { phasingCalcs } from '../phasing/calcs.ts';
import { staticCalcs } from '../static/calcs.ts';
import type { Calc } from './define.ts';

/** Every calculation by name. This is the one place that makes them callable from anywhere. */
export const registry: ReadonlyMap<string, Calc> = new Map(
  [...measureCalcs, ...crankCalcs, ...staticCalcs, ...driveCalcs, ...phasingCalcs, ...curveCalcs].map((c) => [
    c.name,
    c
  ])
);

/** Runs a calculation by name on unknown input. Never throws for bad input; unknown names are `unknown-calc`. */
export function runCalc(name: string, input: unknown): Result<unknown> {
  const calc = registry.get(name);
  return calc ? calc.run(input) : fail('unknown-calc', 'calc', { name });
}

/** JSON Schema of a calculation's input, 2020-12 or the dialect of OpenAPI 3.0. */
export function inputSchema(calc: Calc, target: 'draft-2020-12' | 'openapi-3.0' = 'draft-2020-12'): object {
  return z.toJSONSchema(calc.input, { target, io: 'input' });
}
