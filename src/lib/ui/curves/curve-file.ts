import Papa from 'papaparse';
import { CURVE_COLUMNS, readCurveTable, type CurveTable } from '$core/calculations/curve/curve-table.ts';
import { asSvg, curveDrawing } from '../../reader/curve-drawing.ts';
import type { CurvePicture, Point } from '../../reader/curve-picture.ts';

/** Reads a file's text as a table of a curve: separators are recognised, lines are counted. */
export function readCurveFile(text: string): CurveTable {
  const plain = text.replace(/^\uFEFF/, '');
  const { data } = Papa.parse<string[]>(plain, { delimiter: separatorOf(plain), skipEmptyLines: false });
  return readCurveTable(data);
}

/** No figure holds a semicolon or a tab: where one stands it separates, and a comma beside it is a decimal comma. */
function separatorOf(text: string): string {
  const first = text.split(/\r?\n/).find((l) => l.trim() !== '') ?? '';
  return [';', '\t'].find((s) => first.includes(s)) ?? ',';
}

/** The measured curve with its columns as they are documented, of the engine and in crank degrees. */
export function measuredCsv(p: CurvePicture): string {
  const rows = [
    ...p.up.map((q) => [Math.round(q.x), round(q.y), 'up', 'engine']),
    ...p.down.map((q) => [Math.round(q.x), round(q.y), 'down', 'engine'])
  ];
  return Papa.unparse([[...CURVE_COLUMNS], ...rows]);
}

/** A predicted curve on the points it was worked out at. */
export const predictedCsv = (points: readonly Point[]): string =>
  Papa.unparse([['rpm', 'deg'], ...points.map((q) => [Math.round(q.x * 10) / 10, round(q.y)])]);

const round = (x: number) => Math.round(x * 100) / 100;

/** The chart as a drawing in a file of its own. */
export const curveSvg = (p: CurvePicture, title: string): string =>
  asSvg(curveDrawing(p, `${title}, degrees before TDC, no vacuum`));
