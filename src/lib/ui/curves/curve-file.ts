import Papa from 'papaparse';
import { CURVE_COLUMNS, readCurveTable, type CurveTable } from '$core/calculations/curve/curve-table.ts';
import type { CurvePicture, Point } from './curve-series.ts';

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

const W = 900;
const H = 560;
const PAD = { left: 62, right: 20, top: 24, bottom: 56 };

/** The chart as a drawing that stands alone: the same marks, on paper white. Marks: solid measured, dashed predicted. */
export function curveSvg(p: CurvePicture, title: string): string {
  const most = Math.max(40, ...p.up.map((q) => q.y), ...(p.band ?? []).map((b) => b.maxDeg)) + 4;
  const x = (rpm: number) => PAD.left + ((W - PAD.left - PAD.right) * rpm) / p.maxRpm;
  const y = (deg: number) => H - PAD.bottom - ((H - PAD.top - PAD.bottom) * deg) / most;
  const at = (q: Point) => `${x(q.x).toFixed(1)} ${y(q.y).toFixed(1)}`;
  const path = (points: readonly Point[]) => points.map((q, k) => `${k ? 'L' : 'M'}${at(q)}`).join('');
  const parts: string[] = [];
  const text = (a: number, b: number, s: string, anchor = 'middle') =>
    parts.push(`<text x="${a.toFixed(1)}" y="${b.toFixed(1)}" text-anchor="${anchor}">${escape(s)}</text>`);
  if (p.band) {
    const low = p.band.map((b) => ({ x: b.rpm, y: b.minDeg }));
    const high = p.band.map((b) => ({ x: b.rpm, y: b.maxDeg })).reverse();
    parts.push(`<path d="${path([...low, ...high])}Z" fill="#dfeae2" stroke="#1d6a43" stroke-dasharray="2 3"/>`);
  }
  for (let d = 0; d <= most; d += 10) {
    parts.push(`<path d="M${PAD.left} ${y(d).toFixed(1)}H${W - PAD.right}" stroke="#d5ddd7"/>`);
    text(PAD.left - 8, y(d) + 5, `${d}°`, 'end');
  }
  for (let r = 0; r <= p.maxRpm; r += 1000) text(x(r), H - PAD.bottom + 20, r.toLocaleString('en-GB'));
  parts.push(
    `<path d="M${PAD.left} ${PAD.top}V${H - PAD.bottom}H${W - PAD.right}" fill="none" stroke="#15211d" stroke-width="1.6"/>`
  );
  text((W + PAD.left) / 2, H - 12, 'engine speed, rpm');
  text(PAD.left, 16, `${title}, degrees before TDC, no vacuum`, 'start');
  if (p.ghost.length) parts.push(`<path d="${path(p.ghost)}" fill="none" stroke="#b9c4bd" stroke-width="2.5"/>`);
  for (const c of p.predicted)
    parts.push(
      `<path d="${path(c.points.filter((q) => q.x <= p.maxRpm))}" fill="none" stroke="#34459e" stroke-width="2.4" stroke-dasharray="7 5"/>`
    );
  if (p.up.length) parts.push(`<path d="${path(p.up)}" fill="none" stroke="#15211d" stroke-width="1.6"/>`);
  for (const q of p.up) parts.push(`<path d="M${at(q)}m-5 4h10l-5 -9z" fill="#15211d"/>`);
  for (const q of p.down) parts.push(`<path d="M${at(q)}m-5 -4h10l-5 9z" fill="#fff" stroke="#15211d"/>`);
  for (const q of p.target)
    parts.push(
      `<circle cx="${x(q.x).toFixed(1)}" cy="${y(q.y).toFixed(1)}" r="8" fill="none" stroke="#b3400f" stroke-width="2.4"/>`
    );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${H}" font-family="sans-serif" font-size="14" fill="#15211d"><rect width="${W}" height="${H}" fill="#fff"/>${parts.join('')}</svg>\n`;
}

const escape = (s: string) => s.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
