import type { z } from 'zod';
import { fail, type ErrorCode } from '../errors/catalogue.ts';
import { ok, type CalcError, type Result } from '../errors/result.ts';

/** One calculation as its callers see it: what it works out and from where, the schemas of both ends, and the function. */
export interface Calc {
  name: string;
  title: string;
  /** how the answer follows from the input; units are in the names: Mm, Deg, Btdc, Rpm, Kpa, Nm, G, C */
  formula: string;
  /** where formula, constants and tolerances come from; what we chose ourselves is called our own assumption */
  source: string;
  /** what it may refuse with, besides `bad-input` for input that does not fit the schema */
  errors: readonly ErrorCode[];
  input: z.ZodType;
  output: z.ZodType;
  /** worked once by hand or by another program; a test runs it */
  example: { in: unknown; out: unknown };
  run: (input: unknown) => Result<unknown>;
}

interface Definition<S extends z.ZodType, O> extends Omit<Calc, 'input' | 'output' | 'example' | 'run'> {
  input: S;
  output: z.ZodType<NoInfer<O>>;
  example: { in: z.input<S>; out: Partial<NoInfer<O>> };
  calculate: (i: z.output<S>) => Result<O> | O;
}

/**
 * Makes a calculation callable with unknown input: the schema checks and completes it, the function answers,
 * and an answer with a figure that is not finite is refused rather than passed on.
 */
export function define<S extends z.ZodType, O>({ calculate, ...doc }: Definition<S, O>): Calc {
  return {
    ...doc,
    run(unknown) {
      const parsed = doc.input.safeParse(unknown);
      if (!parsed.success) return badInput(parsed.error);
      const answer = calculate(parsed.data);
      const result = isResult<O>(answer) ? answer : ok(answer);
      if (result.ok && !allFinite(result.out))
        return fail('bad-input', '', { what: 'These figures are too large or too small to compute with.' });
      return result;
    }
  };
}

const isResult = <O>(x: Result<O> | O): x is Result<O> =>
  typeof x === 'object' && x !== null && 'ok' in x && ('out' in x || 'error' in x) && typeof x.ok === 'boolean';

/** The first thing the schema found wrong, in a sentence. */
export function badInput(error: z.ZodError): { ok: false; error: CalcError } {
  const issue = error.issues[0]!;
  const path = issue.path.join('.');
  const what =
    issue.code === 'unrecognized_keys' ? `has a key that is not known: ${issue.keys.join(', ')}` : lower(issue.message);
  // the schema's own words speak of what a program received; who types wants to hear that something is missing
  if (path && issue.code === 'invalid_type' && issue.message.endsWith('received undefined'))
    return fail('bad-input', path, { what: `${path} is missing: ${issue.expected} expected.` });
  return fail('bad-input', issue.code === 'unrecognized_keys' ? [...issue.path, issue.keys[0]].join('.') : path, {
    what: `${path || 'The input'} ${path ? 'cannot be used: ' : ''}${what}.`
  });
}

const lower = (s: string) => s.charAt(0).toLowerCase() + s.slice(1);

function allFinite(x: unknown): boolean {
  if (typeof x === 'number') return Number.isFinite(x);
  if (ArrayBuffer.isView(x)) return (x as Float64Array).every(Number.isFinite);
  if (Array.isArray(x)) return x.every(allFinite);
  if (typeof x === 'object' && x !== null) return Object.values(x).every(allFinite);
  return true;
}
