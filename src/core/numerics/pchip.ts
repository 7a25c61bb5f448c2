/** A monotone cubic through points in ascending x: as smooth as can be without a bump that the points do not have. */
export interface Pchip {
  at: (x: number) => { y: number; slope: number };
  /** where a strictly monotone curve takes a value, within its points */
  inverse: (y: number) => number;
}

/**
 * Fritsch and Carlson's slopes (weighted harmonic mean of the neighbours), three-point one-sided at the ends.
 * Source: Fritsch and Carlson, Monotone piecewise cubic interpolation, SIAM J. Numer. Anal. 17 (1980); Fritsch and Butland (1984).
 * @param x ascending, three or more
 * @param y as many
 */
export function pchip(x: ArrayLike<number>, y: ArrayLike<number>): Pchip {
  const n = x.length;
  const h = new Float64Array(n - 1);
  const delta = new Float64Array(n - 1);
  for (let k = 0; k < n - 1; k++) {
    h[k] = x[k + 1]! - x[k]!;
    delta[k] = (y[k + 1]! - y[k]!) / h[k]!;
  }
  const d = new Float64Array(n);
  for (let k = 1; k < n - 1; k++) {
    const a = delta[k - 1]!;
    const b = delta[k]!;
    if (a * b <= 0) continue;
    const w1 = 2 * h[k]! + h[k - 1]!;
    const w2 = h[k]! + 2 * h[k - 1]!;
    d[k] = (w1 + w2) / (w1 / a + w2 / b);
  }
  d[0] = endSlope(h[0]!, h[1]!, delta[0]!, delta[1]!);
  d[n - 1] = endSlope(h[n - 2]!, h[n - 3]!, delta[n - 2]!, delta[n - 3]!);

  function on(k: number, at: number): { y: number; slope: number } {
    const t = at - x[k]!;
    const w = h[k]!;
    const c = (3 * delta[k]! - 2 * d[k]! - d[k + 1]!) / w;
    const b = (d[k]! - 2 * delta[k]! + d[k + 1]!) / w ** 2;
    return { y: y[k]! + t * (d[k]! + t * (c + t * b)), slope: d[k]! + t * (2 * c + 3 * t * b) };
  }
  const pieceOf = (inside: (k: number) => boolean): number => {
    for (let k = 0; k < n - 2; k++) if (inside(k)) return k;
    return n - 2;
  };
  return {
    at: (v) =>
      on(
        pieceOf((k) => v <= x[k + 1]!),
        v
      ),
    inverse: (v) => {
      const rising = y[n - 1]! > y[0]!;
      const k = pieceOf((j) => (rising ? v <= y[j + 1]! : v >= y[j + 1]!));
      return root(k, v, rising);
    }
  };

  /** Newton's steps, held within a bracket that halves where they leave it. */
  function root(k: number, v: number, rising: boolean): number {
    let [low, high] = [x[k]!, x[k + 1]!];
    let at = (low + high) / 2;
    for (let pass = 0; pass < 100; pass++) {
      const here = on(k, at);
      const off = here.y - v;
      if (off === 0) return at;
      if (off > 0 === rising) high = at;
      else low = at;
      const next = at - off / here.slope;
      if (Math.abs(next - at) <= 1e-14 * Math.max(1, Math.abs(at))) return at;
      const step = next > low && next < high ? next : (low + high) / 2;
      if (step === at) return at;
      at = step;
    }
    return at;
  }
}

function endSlope(h0: number, h1: number, d0: number, d1: number): number {
  const d = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
  if (Math.sign(d) !== Math.sign(d0)) return 0;
  return Math.sign(d0) !== Math.sign(d1) && Math.abs(d) > 3 * Math.abs(d0) ? 3 * d0 : d;
}
