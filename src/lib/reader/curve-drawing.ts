import type { CurvePicture, Point } from './curve-picture.ts';

/** A drawing of lines and words, in units of its own: made once, put on a page, in a file or on paper. */
export interface Drawn {
  width: number;
  height: number;
  lines: Line[];
  labels: Label[];
}
export interface Line {
  /** as SVG writes a path */
  path: string;
  stroke: string;
  width: number;
  dash?: readonly [number, number];
  fill?: string;
}
export interface Label {
  x: number;
  y: number;
  text: string;
  anchor: 'start' | 'middle' | 'end';
}

const INK = '#15211d';
const W = 640;
const H = 420;
const PAD = { left: 62, right: 20, top: 24, bottom: 56 };

/** The chart of a curve as a drawing that stands alone, on paper white. Marks: solid measured, dashed predicted. */
export function curveDrawing(p: CurvePicture, title: string): Drawn {
  const highest = [...p.up, ...p.down, ...p.ghost, ...p.target].map((q) => q.y);
  const most = Math.max(40, ...highest, ...(p.band ?? []).map((b) => b.maxDeg)) + 4;
  const within = (points: readonly Point[]) => points.filter((q) => q.x <= p.maxRpm);
  const x = (rpm: number) => PAD.left + ((W - PAD.left - PAD.right) * rpm) / p.maxRpm;
  const y = (deg: number) => H - PAD.bottom - ((H - PAD.top - PAD.bottom) * deg) / most;
  const at = (q: Point) => `${x(q.x).toFixed(1)} ${y(q.y).toFixed(1)}`;
  const through = (points: readonly Point[]) => points.map((q, k) => `${k ? 'L' : 'M'}${at(q)}`).join('');
  const lines: Line[] = [];
  const labels: Label[] = [];
  const line = (path: string, stroke: string, width: number, more: Partial<Line> = {}) =>
    lines.push({ path, stroke, width, ...more });
  if (p.band) {
    const low = p.band.map((b) => ({ x: b.rpm, y: b.minDeg }));
    const high = p.band.map((b) => ({ x: b.rpm, y: b.maxDeg })).reverse();
    line(`${through([...low, ...high])}Z`, '#1d6a43', 1, { dash: [2, 3], fill: '#dfeae2' });
  }
  for (let d = 0; d <= most; d += 10) {
    line(`M${PAD.left} ${y(d).toFixed(1)}H${W - PAD.right}`, '#d5ddd7', 1);
    labels.push({ x: PAD.left - 8, y: y(d) + 5, text: `${d}°`, anchor: 'end' });
  }
  for (let r = 0; r <= p.maxRpm; r += 1000)
    labels.push({ x: x(r), y: H - PAD.bottom + 20, text: r.toLocaleString('en-GB'), anchor: 'middle' });
  line(`M${PAD.left} ${PAD.top}V${H - PAD.bottom}H${W - PAD.right}`, INK, 1.6);
  labels.push({ x: (W + PAD.left) / 2, y: H - 12, text: 'engine speed, rpm', anchor: 'middle' });
  labels.push({ x: PAD.left, y: 16, text: title, anchor: 'start' });
  if (p.ghost.length) line(through(within(p.ghost)), '#b9c4bd', 2.5);
  for (const c of p.predicted) line(through(within(c.points)), '#34459e', 2.4, { dash: [7, 5] });
  if (p.up.length) line(through(p.up), INK, 1.6);
  for (const q of p.up) line(`M${at(q)}m-5 4h10l-5 -9z`, 'none', 0, { fill: INK });
  for (const q of p.down) line(`M${at(q)}m-5 -4h10l-5 9z`, INK, 1, { fill: '#fff' });
  for (const q of within(p.target)) line(`M${at(q)}m-8 0a8 8 0 1 0 16 0a8 8 0 1 0 -16 0z`, '#b3400f', 2.4);
  return { width: W, height: H, lines, labels };
}

/** A drawing as a file that stands alone. */
export function asSvg({ width, height, lines, labels }: Drawn): string {
  const drawn = lines.map(
    (l) =>
      `<path d="${l.path}" fill="${l.fill ?? 'none'}"${l.width ? ` stroke="${l.stroke}" stroke-width="${l.width}"` : ''}${l.dash ? ` stroke-dasharray="${l.dash.join(' ')}"` : ''}/>`
  );
  const said = labels.map(
    (l) => `<text x="${l.x.toFixed(1)}" y="${l.y.toFixed(1)}" text-anchor="${l.anchor}">${escape(l.text)}</text>`
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" font-family="sans-serif" font-size="14" fill="${INK}"><rect width="${width}" height="${height}" fill="#fff"/>${drawn.join('')}${said.join('')}</svg>\n`;
}

const escape = (s: string) => s.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
