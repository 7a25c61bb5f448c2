import { readFileSync } from 'node:fs';

/** Ticks of all processors so far: those that other machines on the same iron took, and those that were had here. */
function ticks() {
  const [user, nice, system, , , irq, softirq, stolen] = readFileSync('/proc/stat', 'utf8')
    .split('\n')[0]
    .trim()
    .split(/\s+/)
    .slice(1, 9)
    .map(Number);
  return { had: user + nice + system + irq + softirq, stolen: stolen ?? 0 };
}

/**
 * Of the processor time that was wanted while something was done, the share in percent that other machines took: figures
 * by the clock carry it. Of idle time nothing can be taken, so it does not count.
 */
export async function stolenDuring(act) {
  const before = ticks();
  await act();
  const after = ticks();
  const stolen = after.stolen - before.stolen;
  return (100 * stolen) / Math.max(1, stolen + after.had - before.had);
}
