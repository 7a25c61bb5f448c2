import { fromBase, unitSign, type Unit } from './units.ts';

/** A number with a fixed count of decimals, a true minus sign and no negative zero. */
export function fixed(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  if (!text.startsWith('-')) return text;
  return Number(text) === 0 ? text.slice(1) : `\u2212${text.slice(1)}`;
}

/** A base figure written in `unit`, as `1.80 mm` or `12.5°`. `reading.parse` reads it back. */
export function formatValue(valueBase: number, unit: Unit, decimals: number): string {
  return fixed(fromBase(valueBase, unit), decimals) + unitSign[unit];
}

/** A timing in words: 8 → `8.0° before`, -3 → `3.0° after`, 0 → `TDC`. */
export function formatTiming(btdc: number, decimals = 1): string {
  const size = Math.abs(btdc).toFixed(decimals);
  if (Number(size) === 0) return 'TDC';
  return `${size}° ${btdc > 0 ? 'before' : 'after'}`;
}

/** A timing with its ± of two standard uncertainties, the side last: `19.1° ± 0.5° before`. */
export function timingPm(btdc: number, u: number, decimals = 1): string {
  const [size, side] = formatTiming(btdc, decimals).split(' ');
  return `${size} ± ${(2 * u).toFixed(decimals)}°${side === undefined ? '' : ` ${side}`}`;
}

/** Limits of a timing in words, earlier above 0 and either of them open: `16° to 18° before`, `4° after to 2° before`, `18° before or later`. */
export function timingLimits(min: number | null, max: number | null): string {
  const size = (x: number) => `${Number(Math.abs(x).toFixed(2))}°`;
  const whole = (x: number) => (Number(x.toFixed(2)) === 0 ? 'TDC' : `${size(x)} ${x > 0 ? 'before' : 'after'}`);
  if (min !== null && max !== null)
    return min * max > 0 ? `${size(min)} to ${whole(max)}` : `${whole(min)} to ${whole(max)}`;
  if (min !== null) return `${whole(min)} or earlier`;
  return max !== null ? `${whole(max)} or later` : 'no limit on the data sheet';
}

/** A bearing as a clock time: 170 → `5:40`. */
export function formatClock(bearingDeg: number): string {
  const minutes = Math.round(((((bearingDeg % 360) + 360) % 360) / 360) * 720) % 720;
  return `${Math.floor(minutes / 60) || 12}:${String(minutes % 60).padStart(2, '0')}`;
}

/** Made once: a table of a sweep writes hundreds of them. */
const whole = new Intl.NumberFormat('en-GB');

/** A speed in whole revolutions a minute, thousands parted: 1800 → `1,800`. */
export const formatSpeed = (rpm: number): string => whole.format(Math.round(rpm));
