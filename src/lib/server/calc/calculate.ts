import { runCalc, type Result } from '$core/index.ts';
import { HeavyWork } from './heavy.ts';

/** What is searched through is heavy however short it is asked. */
const HEAVY = new Set(['curve.match']);
/** An input of more characters than this is heavy whatever it is for. */
const LONG = 12_000;

// the built server brings the script of the threads; where there is none, as in development, nothing is put off
const script = process.env.NEMRIK_CALC_WORKER;
const heavy = script ? new HeavyWork(script) : null;

/** Answers a calculation, a heavy one without holding anybody else up. `size` is that of its input as text. */
export async function calculate(name: string, input: unknown, size: number, caller: string): Promise<Result<unknown>> {
  if (heavy && (size > LONG || HEAVY.has(name))) return heavy.run(name, input, caller);
  return runCalc(name, input);
}
