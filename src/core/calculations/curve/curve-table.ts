/** A measured curve as a table: what a file of it looks like, and how one is read that somebody else wrote. */
export interface TablePoint {
  rpm: number;
  deg: number;
  dir: 'up' | 'down' | null;
  /** line of the file, counted from 1, for what is said about it */
  line: number;
}
export interface TableProblem {
  line: number;
  message: string;
}
export interface CurveTable {
  points: TablePoint[];
  problems: TableProblem[];
  /** whose degrees and speeds they are; null when the file does not say and it must be asked */
  scale: 'engine' | 'distributor' | null;
}

/** Columns of the file: speed, timing, the way the speed went, whose degrees. The first two are needed. */
export const CURVE_COLUMNS = ['rpm', 'deg', 'dir', 'scale'] as const;

const SPEED = /(rpm|speed|rev\b|rev\/|^n$|^engine$)/i;
const DEGREES = /(deg|timing|advance|°)/i;
const DIRECTION = /^(dir|way|up)/i;
const SCALE = /^(scale|of|unit)/i;
const most = { rpm: 20000, deg: 90 };

/**
 * Reads rows of a table into points. A first row without figures names the columns, in any order and with any of the
 * usual words; without one, speed stands first and timing second. Decimal commas are read. Every line that cannot be
 * read is named with its number and what was expected; the caller takes all or nothing.
 */
export function readCurveTable(rows: readonly (readonly string[])[]): CurveTable {
  const head = rows[0] ?? [];
  const named = head.length > 0 && head.every((c) => Number.isNaN(figure(c)));
  const at = named
    ? {
        rpm: head.findIndex((c) => SPEED.test(c.trim())),
        deg: head.findIndex((c) => DEGREES.test(c) && !SPEED.test(c.trim())),
        dir: head.findIndex((c) => DIRECTION.test(c.trim())),
        scale: head.findIndex((c) => SCALE.test(c.trim()))
      }
    : { rpm: 0, deg: 1, dir: 2, scale: 3 };
  if (named && (at.rpm < 0 || at.deg < 0))
    return {
      points: [],
      problems: [
        {
          line: 1,
          message: `Line 1 names the columns ${head.map((h) => `"${h.trim()}"`).join(', ')}: one of speed (rpm) and one of timing (deg) are needed. Is this a table of a curve?`
        }
      ],
      scale: null
    };
  const points: TablePoint[] = [];
  const problems: TableProblem[] = [];
  const scales = new Set<string>();
  if (named && /dist/i.test(head.join(' '))) scales.add('distributor');
  if (named && /(crank|engine)/i.test(head.join(' '))) scales.add('engine');
  for (const [k, row] of rows.entries()) {
    if ((named && k === 0) || row.every((c) => c.trim() === '')) continue;
    const line = k + 1;
    const rpm = figure(row[at.rpm] ?? '');
    const deg = figure(row[at.deg] ?? '');
    const wrong = complaint(row, at, rpm, deg);
    if (wrong) {
      problems.push({ line, message: `Line ${line}: ${wrong}` });
      continue;
    }
    const way = (at.dir >= 0 ? (row[at.dir] ?? '') : '').trim().toLowerCase();
    const of = (at.scale >= 0 ? (row[at.scale] ?? '') : '').trim().toLowerCase();
    if (of.startsWith('dist')) scales.add('distributor');
    if (of.startsWith('eng') || of.startsWith('crank')) scales.add('engine');
    points.push({ rpm, deg, dir: way === 'up' || way === 'down' ? way : null, line });
  }
  if (scales.size > 1)
    problems.push({
      line: 1,
      message: 'Some lines are of the engine and some of the distributor: a curve is of one of them.'
    });
  if (points.length === 0 && problems.length === 0)
    problems.push({ line: 1, message: 'There is no line with a speed and a timing in this file.' });
  return { points, problems, scale: scales.size === 1 ? ([...scales][0] as 'engine' | 'distributor') : null };
}

function complaint(row: readonly string[], at: { rpm: number; deg: number }, rpm: number, deg: number): string | null {
  if (Number.isNaN(rpm)) return `"${row[at.rpm] ?? ''}" is not a speed. Expected a figure such as 1800.`;
  if (rpm < 0 || rpm > most.rpm) return `a speed of ${rpm} cannot be.`;
  if (Number.isNaN(deg)) return `"${row[at.deg] ?? ''}" is not a timing. Expected degrees such as 14.9.`;
  return Math.abs(deg) > most.deg ? `a timing of ${deg}° cannot be.` : null;
}

/** A figure with point or comma, thousands apart by blank or not; NaN when it is none. */
function figure(text: string): number {
  const t = text.trim().replace(/[°\s]|rpm|deg/gi, '');
  return /^[+\u2212-]?\d+(?:[.,]\d+)?$/.test(t) ? Number(t.replace(',', '.').replace('\u2212', '-')) : NaN;
}
