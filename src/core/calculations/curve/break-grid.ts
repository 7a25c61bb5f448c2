/** Running sums over the points up to each place of the grid: 1, t, t², y, ty, with t the speed from 0 to 1. */
interface Sums {
  n: Float64Array;
  t: Float64Array;
  tt: Float64Array;
  y: Float64Array;
  ty: Float64Array;
}

/**
 * Least squares of a broken line for every choice of two or three breaks on an even grid, each in constant time: the sums
 * that the normal equations need are differences of running sums. The equations are tridiagonal, a level and its
 * neighbours.
 *
 * @param x speeds in ascending order, in rpm
 * @param y degrees, as many
 * @param places how many places the grid has over the measured range, both ends included
 * @returns `grid`, the speeds of its places, and `rssOf`, which answers the sum of squared residuals in degrees squared for
 *   breaks at these places, or Infinity where the points do not settle every level
 */
export function breakGrid(x: Float64Array, y: Float64Array, places: number) {
  const from = x[0]!;
  const range = x[x.length - 1]! - from;
  const sums: Sums = {
    n: new Float64Array(places),
    t: new Float64Array(places),
    tt: new Float64Array(places),
    y: new Float64Array(places),
    ty: new Float64Array(places)
  };
  let yy = 0;
  let whole = 0;
  let wholeY = 0;
  const grid = Array.from({ length: places }, (_, k) => from + (range * k) / (places - 1));
  for (let k = 0; k < x.length; k++) {
    const t = (x[k]! - from) / range;
    yy += y[k]! ** 2;
    whole++;
    wholeY += y[k]!;
    for (let p = places - 1; p >= 0 && x[k]! <= grid[p]!; p--) {
      sums.n[p]!++;
      sums.t[p]! += t;
      sums.tt[p]! += t * t;
      sums.y[p]! += y[k]!;
      sums.ty[p]! += t * y[k]!;
    }
  }
  const step = 1 / (places - 1);

  // of at most three levels: diagonal, what stands beside it, right side, and the right side as it is eliminated
  const [d, e, b, right] = [new Float64Array(3), new Float64Array(3), new Float64Array(3), new Float64Array(3)];

  function rssOf(breaks: readonly number[]): number {
    const m = breaks.length;
    d.fill(0);
    e.fill(0);
    b.fill(0);
    d[0] = sums.n[breaks[0]!]!;
    b[0] = sums.y[breaks[0]!]!;
    const end = breaks[m - 1]!;
    d[m - 1]! += whole - sums.n[end]!;
    b[m - 1]! += wholeY - sums.y[end]!;
    for (let j = 0; j < m - 1; j++) {
      const [p, q] = [breaks[j]!, breaks[j + 1]!];
      const at = p * step;
      const width = (q - p) * step;
      const n = sums.n[q]! - sums.n[p]!;
      const t = sums.t[q]! - sums.t[p]!;
      const sy = sums.y[q]! - sums.y[p]!;
      // of u, how far through the stretch a point lies
      const u = (t - n * at) / width;
      const uu = (sums.tt[q]! - sums.tt[p]! - 2 * at * t + n * at * at) / (width * width);
      const uy = (sums.ty[q]! - sums.ty[p]! - at * sy) / width;
      d[j]! += n - 2 * u + uu;
      e[j] = u - uu;
      d[j + 1]! += uu;
      b[j]! += sy - uy;
      b[j + 1]! += uy;
    }
    right.set(b);
    for (let j = 0; j < m - 1; j++) {
      if (d[j]! < 1e-12) return Infinity;
      const f = e[j]! / d[j]!;
      d[j + 1]! -= f * e[j]!;
      right[j + 1]! -= f * right[j]!;
    }
    if (d[m - 1]! < 1e-9) return Infinity;
    let rss = yy;
    let above = 0;
    for (let j = m - 1; j >= 0; j--) {
      above = (right[j]! - e[j]! * above) / d[j]!;
      rss -= above * b[j]!;
    }
    return rss;
  }
  return { grid, rssOf };
}
