/**
 * Standard normal distribution function Φ(x), absolute error below 1e-14.
 * Series (Abramowitz and Stegun 26.2.10) inside |x| < 3, continued fraction for the tail (26.2.14) outside:
 * the usual short polynomial errs by 1e-7, which would reorder near-equal shim picks.
 */
export function phi(x: number): number {
  if (x === 0) return 0.5;
  const a = Math.abs(x);
  if (a > 38) return x > 0 ? 1 : 0;
  const density = Math.exp(-0.5 * a * a) / Math.sqrt(2 * Math.PI);
  if (a < 3) {
    let term = a;
    let sum = a;
    // each term is x²/(2k+1) of the last: below 1e-17 of the sum well within 60 steps for a < 3
    for (let k = 1; k < 60 && term > sum * 1e-17; k++) {
      term *= (a * a) / (2 * k + 1);
      sum += term;
    }
    return x > 0 ? 0.5 + density * sum : 0.5 - density * sum;
  }
  let fraction = a;
  for (let k = 80; k >= 1; k--) fraction = a + k / fraction;
  const tail = density / fraction;
  return x > 0 ? 1 - tail : tail;
}

/**
 * The value below which a standard normal figure lies with the chance `p`, Φ⁻¹(p), by halving.
 * @example normalQuantile(0.975)  // 1.95996…
 */
export function normalQuantile(p: number): number {
  let low = -40;
  let high = 40;
  for (let k = 0; k < 80 && high - low > 1e-13; k++) {
    const middle = (low + high) / 2;
    if (phi(middle) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
