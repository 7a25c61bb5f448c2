import { mean } from './statistics.ts';

export interface Line {
  slope: number;
  intercept: number;
  /** residual sum of squares */
  rss: number;
  /** Σ(x - mean)² */
  sxx: number;
}

/** Least-squares line through points; centred first, so that large offsets cost no digits. sxx 0 gives slope NaN. */
export function fitLine(xs: readonly number[], ys: readonly number[]): Line {
  const mx = mean(xs);
  const my = mean(ys);
  let sxx = 0;
  let sxy = 0;
  for (let k = 0; k < xs.length; k++) {
    sxx += (xs[k]! - mx) ** 2;
    sxy += (xs[k]! - mx) * (ys[k]! - my);
  }
  const slope = sxy / sxx;
  let rss = 0;
  for (let k = 0; k < xs.length; k++) rss += (ys[k]! - my - slope * (xs[k]! - mx)) ** 2;
  return { slope, intercept: my - slope * mx, rss, sxx };
}

/** How many different values there are, to 1e-9. */
export function distinct(xs: readonly number[]): number {
  const sorted = [...xs].sort((a, b) => a - b);
  return sorted.filter((x, k) => k === 0 || x - sorted[k - 1]! > 1e-9).length;
}
