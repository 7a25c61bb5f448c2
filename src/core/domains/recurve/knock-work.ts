import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import { numberOf, readingsOf } from './vocabulary.ts';

/** What was taken back for knock under load, step by step: crank degrees, later above 0. */
export interface KnockWork {
  heard: 'none' | 'gone' | 'still' | null;
  /** each step that was taken back, in order */
  steps: number[];
  /** what was taken back further, for safety; null until it was said */
  margin: number | null;
  /** steps and margin together */
  taken: number;
  /** the initial timing it leaves, from what this job read or the data sheet wants; null where neither is known */
  leavesBtdc: number | null;
}

export function knockWork(engine: Engine, r: Replayed, initialBtdc: number | null): KnockWork {
  const said = r.chosen.get('knock-heard');
  const steps = readingsOf(r.readings, 'taken-back').map((x) => x.value);
  const margin = readingsOf(r.readings, 'knock-margin').at(-1)?.value ?? null;
  const taken = steps.reduce((t, x) => t + x, 0) + (margin ?? 0);
  const from = initialBtdc ?? numberOf(engine, 'staticBtdc') ?? null;
  return {
    heard: said === 'none' || said === 'gone' || said === 'still' ? said : null,
    steps,
    margin,
    taken,
    leavesBtdc: from === null ? null : from - taken
  };
}

export function knockFinding(w: KnockWork): string | null {
  if (w.heard === null && w.steps.length === 0) return null;
  if (w.heard === 'none') return 'No knock at the worst load and fuel: nothing is taken back';
  if (w.steps.length === 0) return 'It knocks: lift the throttle at once, then take back a small step and listen again';
  const steps = `${w.steps.reduce((t, x) => t + x, 0).toFixed(1)}° in ${w.steps.length} ${w.steps.length === 1 ? 'step' : 'steps'}`;
  const margin = w.margin === null ? '' : ` and ${w.margin.toFixed(1)}° for safety`;
  const leaves = w.leavesBtdc === null ? '' : `, the initial timing is then ${w.leavesBtdc.toFixed(1)}°`;
  return `Taken back ${steps}${margin}${leaves}`;
}

export function knockOpen(w: KnockWork): string | null {
  if (w.heard === null) return 'nobody has said whether it knocks at its worst load';
  if (w.heard === 'still') return 'it still knocks: lift the throttle, take back a small step, listen again';
  if (w.heard === 'none') return null;
  if (w.steps.length === 0) return 'what was taken back until it was gone is not logged';
  return w.margin === null ? 'nothing was taken back further for safety: what no ear hears still breaks pistons' : null;
}
