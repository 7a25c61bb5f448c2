import { formatTiming } from '../units/format.ts';
import type { SettledFigure } from './figures.ts';
import { lengthPm, percent, plusMinus, type LengthText } from './words.ts';

/** A settled figure in words, with its uncertainty. */
export function resultText(f: SettledFigure, len: LengthText): string {
  const pm = f.u === null ? '' : ` ${plusMinus(f.u)}°`;
  switch (f.kind) {
    case 'length':
      return f.u === null ? len(f.value, 3) : lengthPm(len, f.value, f.u);
    case 'speed':
      return `${Math.round(f.value).toLocaleString('en-GB')} rpm`;
    case 'crank':
      return `${f.value.toFixed(1)}° of the crank`;
    case 'probability':
      return percent(f.value);
    case 'early-late':
      return `${Math.abs(f.value).toFixed(2)}°${f.value > 0 ? ' early' : f.value < 0 ? ' late' : ''}${pm}`;
    case 'timing':
      return formatTiming(f.value, 2) + pm;
    default:
      return `${f.value.toFixed(2)}°${pm}`;
  }
}
