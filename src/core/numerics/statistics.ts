/** Arithmetic mean of one or more values. */
export function mean(xs: readonly number[]): number {
  let sum = 0;
  for (const x of xs) sum += x;
  return sum / xs.length;
}

/** Sample standard deviation (n - 1); 0 for a single value. Two passes, so that large offsets cost no digits. */
export function sampleSd(xs: readonly number[]): number {
  if (xs.length < 2) return 0;
  const m = mean(xs);
  let ss = 0;
  for (const x of xs) ss += (x - m) ** 2;
  return Math.sqrt(ss / (xs.length - 1));
}

/** Median; sorts a copy. */
export function median(xs: readonly number[]): number {
  const s = [...xs].sort((a, b) => a - b);
  const h = s.length >> 1;
  return s.length % 2 ? s[h]! : (s[h - 1]! + s[h]!) / 2;
}

/** Two doubts that know nothing of each other as one: √(a² + b²). Faster than Math.hypot, whose guard against overflow no doubt needs. */
export const together = (a: number, b: number): number => Math.sqrt(a * a + b * b);
