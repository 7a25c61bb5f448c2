/** Gaussian elimination with row exchange; null when the matrix is singular. Destroys its arguments. */
export function solve(a: Float64Array, b: Float64Array, n: number): number[] | null {
  for (let c = 0; c < n; c++) {
    let p = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(a[r * n + c]!) > Math.abs(a[p * n + c]!)) p = r;
    if (Math.abs(a[p * n + c]!) < 1e-12) return null;
    if (p !== c) {
      for (let k = 0; k < n; k++) [a[c * n + k], a[p * n + k]] = [a[p * n + k]!, a[c * n + k]!];
      [b[c], b[p]] = [b[p]!, b[c]!];
    }
    for (let r = c + 1; r < n; r++) {
      const f = a[r * n + c]! / a[c * n + c]!;
      for (let k = c; k < n; k++) a[r * n + k]! -= f * a[c * n + k]!;
      b[r]! -= f * b[c]!;
    }
  }
  const out: number[] = new Array<number>(n).fill(0);
  for (let r = n - 1; r >= 0; r--) {
    let sum = b[r]!;
    for (let k = r + 1; k < n; k++) sum -= a[r * n + k]! * out[k]!;
    out[r] = sum / a[r * n + r]!;
  }
  return out;
}
