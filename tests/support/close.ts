/**
 * The one comparison of answers with worked cases: numbers agree within `tol` relative or absolute, everything else
 * exactly; the answer may hold more keys than the case names.
 */
export function agrees(got: unknown, want: unknown, tol = 1e-6): boolean {
  if (typeof want === 'number')
    return typeof got === 'number' && (Math.abs(got - want) <= tol || Math.abs(got - want) <= tol * Math.abs(want));
  if (Array.isArray(want))
    return Array.isArray(got) && got.length === want.length && want.every((w, k) => agrees(got[k], w, tol));
  if (want !== null && typeof want === 'object')
    return (
      got !== null &&
      typeof got === 'object' &&
      Object.entries(want).every(([k, w]) => agrees((got as Record<string, unknown>)[k], w, tol))
    );
  return got === want;
}
