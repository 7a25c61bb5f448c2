import { rad } from '../../../../core/numerics/angles.ts';

/** A point of the chart: the timing it speaks of, and the lift. */
export interface ChartPoint {
  btdc: number;
  liftMm: number;
}

/**
 * The plunger's lift as the crank comes forward, for the drawing: along the chart between its ends, straight on beyond
 * them, at rest below nothing and no higher than a third above the chart's end. What lies beyond the chart is drawn, not known.
 * @param forwardDeg how far the crank stands past the chart's least lift, degrees
 */
export function liftAlong(points: readonly ChartPoint[], forwardDeg: number): { mm: number; known: boolean } {
  const rising = [...points].sort((a, b) => a.liftMm - b.liftMm);
  const first = rising[0];
  const last = rising[rising.length - 1];
  if (!first || !last || rising.length < 2) return { mm: 0, known: false };
  const span = Math.abs(last.btdc - first.btdc);
  const at = (k: number) => Math.abs(rising[k]!.btdc - first.btdc);
  if (forwardDeg >= 0 && forwardDeg <= span) {
    const k = Math.max(
      1,
      rising.findIndex((_, n) => at(n) >= forwardDeg)
    );
    const [a, b] = [rising[k - 1]!, rising[k]!];
    const f = (forwardDeg - at(k - 1)) / (at(k) - at(k - 1));
    return { mm: a.liftMm + f * (b.liftMm - a.liftMm), known: true };
  }
  const low = (rising[1]!.liftMm - first.liftMm) / at(1);
  const n = rising.length;
  const high = (last.liftMm - rising[n - 2]!.liftMm) / (at(n - 1) - at(n - 2));
  const mm = forwardDeg < 0 ? first.liftMm + low * forwardDeg : last.liftMm + high * (forwardDeg - span);
  return { mm: Math.max(0, Math.min(mm, last.liftMm * 1.35)), known: false };
}

/** Where pointer and small hand of a dial stand: whole turns, and the angle of the pointer. */
export function dialHands(mm: number, perRevMm: number): { turns: number; pointerDeg: number; smallDeg: number } {
  const turns = Math.floor(mm / perRevMm + 1e-9);
  return { turns, pointerDeg: ((mm / perRevMm) % 1) * 360, smallDeg: Math.min(10, mm / perRevMm) * 36 };
}

export const onCircle = (x: number, y: number, r: number, deg: number) => ({
  x: x + r * Math.sin(rad(deg)),
  y: y - r * Math.cos(rad(deg))
});

/** An arc from one angle to another, both clockwise from the top. */
export function arc(x: number, y: number, r: number, from: number, to: number): string {
  const [a, b] = [onCircle(x, y, r, from), onCircle(x, y, r, to)];
  const large = Math.abs(to - from) > 180 ? 1 : 0;
  return `M${a.x.toFixed(2)} ${a.y.toFixed(2)}A${r} ${r} 0 ${large} ${to > from ? 1 : 0} ${b.x.toFixed(2)} ${b.y.toFixed(2)}`;
}
