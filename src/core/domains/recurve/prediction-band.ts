import type { SwappedCurve } from '../../calculations/curve/curve-swap-springs.ts';

/** Predicted advance at a speed: nothing below the start, the stop above full advance, the higher where it snaps. */
export function advanceOf(c: Pick<SwappedCurve, 'points' | 'startRpm'>, rpm: number): number {
  if (rpm < c.startRpm) return 0;
  let deg = 0;
  for (let k = 0; k < c.points.length; k++) {
    const p = c.points[k]!;
    if (p.rpm > rpm) {
      const q = c.points[k - 1]!;
      return q.deg + ((p.deg - q.deg) * (rpm - q.rpm)) / (p.rpm - q.rpm);
    }
    deg = p.deg;
  }
  return deg;
}

/** Between which advances a prediction claims to hold at a speed, 95 times in 100; degrees of the crank. */
export type Band = (rpm: number) => { least: number; most: number };

/**
 * The band of a predicted curve: at each advance its speed is known to two standard uncertainties either way, so the curve
 * lies between the one that is everywhere as early and the one that is everywhere as late. Null while a spring's rate or
 * force, or the measured curve, has no stated uncertainty: then there is nothing to claim.
 */
export function bandOfPrediction(c: SwappedCurve): Band | null {
  if (c.points.some((p) => p.uRpm === undefined)) return null;
  const shifted = (by: 2 | -2) => {
    let highest = -Infinity;
    const points = c.points.map((p) => {
      highest = Math.max(highest, p.rpm + by * p.uRpm!);
      return { deg: p.deg, rpm: highest };
    });
    return { points, startRpm: points[0]!.rpm };
  };
  const [late, early] = [shifted(2), shifted(-2)];
  return (rpm) => ({ least: advanceOf(late, rpm), most: advanceOf(early, rpm) });
}

/** A pick with its initial timing: what it is predicted to do. */
export interface Foreseen {
  curve: SwappedCurve;
  initialBtdc: number;
}

/**
 * Whether two picks differ at any of the speeds by more than their springs are in doubt; null while that doubt is not known.
 * Both predictions should leave out what they share, the doubt of the measured curve.
 */
export function toldApart(a: Foreseen, b: Foreseen, speeds: readonly number[]): boolean | null {
  const [ofA, ofB] = [bandOfPrediction(a.curve), bandOfPrediction(b.curve)];
  if (!ofA || !ofB) return null;
  return speeds.some((rpm) => {
    const [x, y] = [ofA(rpm), ofB(rpm)];
    const between = a.initialBtdc + advanceOf(a.curve, rpm) - b.initialBtdc - advanceOf(b.curve, rpm);
    return Math.abs(between) > Math.hypot(x.most - x.least, y.most - y.least) / 2 + 1e-9;
  });
}
