import { readFileSync } from 'node:fs';

/** Ticks of all processors so far: those that other machines on the same iron took, and all. */
function ticks() {
  const all = readFileSync('/proc/stat', 'utf8').split('\n')[0].trim().split(/\s+/).slice(1, 9).map(Number);
  return { stolen: all[7] ?? 0, all: all.reduce((a, b) => a + b, 0) };
}

/** The share of the processors, in percent, that was taken from this machine while something was done: figures by the clock carry it. */
export async function stolenDuring(act) {
  const before = ticks();
  await act();
  const after = ticks();
  return (100 * (after.stolen - before.stolen)) / Math.max(1, after.all - before.all);
}
