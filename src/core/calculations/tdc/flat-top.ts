import type { Gauge } from '../gauge/hand.ts';
import { anglesAtDrop, slider, type SliderInput } from '../piston/slider.ts';

/** A rod watched through the plug hole: read by eye to a millimetre. A rule of thumb, not a calibration. */
export const ROD: Gauge = { resolution: 1, accuracy: 0.5 };

/** Standard uncertainty of a highest point: the dwell band of the dial, rectangular, with the wheel's. */
export function highestU(s: SliderInput, dial: Gauge, uWheel: number): number | null {
  const g = slider(s);
  if (!g.ok) return null;
  const seen = Math.max(dial.resolution, dial.accuracy);
  const band = anglesAtDrop(g.out, Math.min(seen, g.out.maxDropMm));
  return band ? Math.hypot((band.beforeDeg + band.afterDeg) / 2 / Math.sqrt(3), uWheel) : null;
}
