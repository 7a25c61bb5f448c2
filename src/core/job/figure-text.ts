import { formatSpeed, formatTiming, timingLimits, timingPm } from '../units/format.ts';
import { unitSign, type Unit } from '../units/units.ts';
import type { FigureKind, SettledFigure } from './settled.ts';
import { lengthLimits, lengthPm, limitsIn, percent, plusMinus, type LengthText } from './texts.ts';

/** A settled figure in words, with its uncertainty. */
export function resultText(f: SettledFigure, len: LengthText): string {
  if (f.text !== undefined) return f.text;
  const { unit } = f.input as { unit?: Unit };
  return figureText(f.kind, f.value, f.u, len, unit);
}

/** What a figure was judged by, in words; null where it has no verdict. */
export function figureLimits(f: SettledFigure, len: LengthText): string | null {
  if (f.verdict === null || f.limits === undefined) return null;
  if (typeof f.limits === 'string') return f.limits;
  const { min, max } = f.limits;
  if (f.kind === 'length') return lengthLimits(len, min, max);
  if (f.kind === 'timing') return timingLimits(min, max);
  const sign =
    f.kind === 'speed' ? ' rpm' : f.kind === 'plain' ? (unitSign[(f.input as { unit: Unit }).unit] ?? '') : '°';
  return limitsIn(sign, min, max);
}

/** A figure of a kind in words; `unit` is that of a figure whose kind does not name one. */
export function figureText(kind: FigureKind, value: number, u: number | null, len: LengthText, unit?: Unit): string {
  const pm = u === null ? '' : ` ${plusMinus(u)}°`;
  switch (kind) {
    case 'length':
      return u === null ? len(value, 3) : lengthPm(len, value, u);
    case 'speed':
      return `${formatSpeed(value)}${u === null ? '' : ` ${plusMinus(u, 0)}`} rpm`;
    case 'crank':
      return `${value.toFixed(1)}° of the crank`;
    case 'probability':
      return percent(value);
    case 'early-late':
      return `${Math.abs(value).toFixed(2)}°${value > 0 ? ' early' : value < 0 ? ' late' : ''}${pm}`;
    case 'timing':
      return u === null ? formatTiming(value, 2) : timingPm(value, u, 2);
    case 'plain':
      return `${value.toFixed(2)}${u === null ? '' : ` ${plusMinus(u)}`}${unit ? unitSign[unit] : ''}`;
    default:
      return `${value.toFixed(2)}°${pm}`;
  }
}
