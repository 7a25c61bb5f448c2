/** Chance from a seed: the same seed gives the same run. */
export function chances(seed: number) {
  let s = (seed * 2654435761) >>> 0;
  const next = (): number => {
    s = (s + 0x6d2b79f5) >>> 0;
    let t = Math.imul(s ^ (s >>> 15), 1 | s);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  return {
    next,
    /** anywhere within ± half */
    within: (half: number): number => (2 * next() - 1) * half,
    normal: (sigma: number): number => sigma * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    /** as a scale of such steps shows it */
    step: (x: number, step: number): number => Math.round(x / step) * step,
    of: <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!,
    often: (share: number): boolean => next() < share
  };
}

export type Chances = ReturnType<typeof chances>;
