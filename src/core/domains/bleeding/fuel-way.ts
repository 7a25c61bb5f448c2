import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import { listOf, lastOf, numberOf } from './vocabulary.ts';

/** How far the fuel's way is bled: screws of the supply side in flow order, then one line a cylinder. */
export interface FuelWay {
  screws: number[];
  /** a screw said to run clear before one that comes before it */
  outOfOrder: number | null;
  lines: { cylinder: number; solid: boolean }[];
  /** named, but no cylinder of this engine has it */
  strange: number[];
  /** the pipe before the pump is bled, as its step was done */
  lowDone: boolean;
  /** filled, from 0 to 1, of all that is to be bled */
  filled: number;
  leaks: number | null;
}

/** How many bleed screws a supply side has at least: filter in, filter out, pump. */
export const SCREWS = 3;

export function fuelWay(engine: Engine, r: Replayed): FuelWay {
  const order = listOf(engine, 'firingOrder');
  const count = numberOf(engine, 'cylinders') ?? order?.length ?? 0;
  const cylinders = Array.from({ length: count }, (_, k) => k + 1);
  const read = (slot: string) => r.readings.filter((x) => x.slot === slot).map((x) => x.value);
  const screws = read('screw-clear');
  const solid = new Set(read('line-solid'));
  const lines = cylinders.map((cylinder) => ({ cylinder, solid: solid.has(cylinder) }));
  const lowDone = r.flags.get('low-bled') === true;
  const parts = SCREWS + count;
  const done = (lowDone ? SCREWS : Math.min(SCREWS, new Set(screws).size)) + lines.filter((l) => l.solid).length;
  return {
    screws,
    outOfOrder: screws.find((s, k) => s > k + 1 && !screws.slice(0, k).includes(s - 1)) ?? null,
    lines,
    strange: [...solid].filter((n) => !cylinders.includes(n)),
    lowDone,
    filled: parts > 0 ? done / parts : 0,
    leaks: lastOf(r.readings, 'leaks')?.value ?? null
  };
}
