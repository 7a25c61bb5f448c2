/**
 * Student's distribution. The two-sided quantile is found from the distribution function itself (the regularised incomplete
 * beta function by its continued fraction, Lentz), so that it holds for one degree of freedom as for a thousand.
 */

/** ln Γ(x) for x > 0, Lanczos' approximation (g = 7, nine terms), relative error below 1e-14. */
function lnGamma(x: number): number {
  const c = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7
  ];
  let sum = c[0]!;
  for (let k = 1; k < 9; k++) sum += c[k]! / (x + k - 1);
  const t = x + 6.5;
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(sum);
}

/** The regularised incomplete beta function I_x(a, b). */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  // the fraction converges fast on this side of the mean; on the other its mirror image does
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(1 - x, b, a);
  const front = Math.exp(lnGamma(a + b) - lnGamma(a) - lnGamma(b) + a * Math.log(x) + b * Math.log(1 - x)) / a;
  const tiny = 1e-300;
  let c = 1;
  let d = 1 / nonZero(1 - ((a + b) * x) / (a + 1), tiny);
  let f = d;
  for (let m = 1; m < 300; m++) {
    for (const top of [
      (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m)),
      (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))
    ]) {
      d = 1 / nonZero(1 + top * d, tiny);
      c = nonZero(1 + top / c, tiny);
      f *= d * c;
    }
    if (Math.abs(d * c - 1) < 1e-15) break;
  }
  return front * f;
}
const nonZero = (x: number, tiny: number): number => (Math.abs(x) < tiny ? tiny : x);

/** The chance that |t| is above `t`, with `dof` degrees of freedom. */
export const studentTail = (t: number, dof: number): number => incompleteBeta(dof / (dof + t * t), dof / 2, 0.5);

/**
 * The chance that the ratio of two variances of one normal scatter is above `f` (the F distribution).
 * @param dof degrees of freedom of the variance above, and of the one below; each above 0
 * @example varianceTail(4.9646, 1, 10)  // 0.05
 */
export const varianceTail = (f: number, [above, below]: readonly [above: number, below: number]): number =>
  incompleteBeta(below / (below + above * f), below / 2, above / 2);

/**
 * The value that |t| exceeds with the chance `p`: the two-sided quantile for the level 1 - p.
 * @param p between 0 and 1
 * @param dof degrees of freedom, above 0, whole or not
 * @example studentQuantile(0.05, 10)  // 2.2281…
 */
export function studentQuantile(p: number, dof: number): number {
  let low = 0;
  let high = 1;
  while (studentTail(high, dof) > p && high < 1e9) high *= 2;
  // halving: sixty times is more digits than a double has
  for (let k = 0; k < 60 && high - low > 1e-13 * high; k++) {
    const middle = (low + high) / 2;
    if (studentTail(middle, dof) > p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The level of two standard uncertainties of a normal distribution. */
const BEYOND_TWO = 0.0455002638963584;

/**
 * What a standard uncertainty found from so many degrees of freedom is multiplied by, so that twice it is still a 95 %
 * half-width: t(ν)/2, t the two-sided 95.45 % quantile of Student (Guide to the expression of uncertainty in measurement, G.3.2).
 * @example stretch(1)  // 6.98…
 */
export function stretch(dof: number): number {
  const known = found.get(dof);
  if (known !== undefined) return known;
  // degrees of freedom are mostly a few whole numbers; a thousand others are not worth keeping
  if (found.size > 500) found.clear();
  const answer = studentQuantile(BEYOND_TWO, dof) / 2;
  found.set(dof, answer);
  return answer;
}
const found = new Map<number, number>();
