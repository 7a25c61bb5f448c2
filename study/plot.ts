/** One line of a plot: its name and its points. */
export interface Series {
  name: string;
  points: { x: number; y: number }[];
  /** drawn in full, or dashed */
  dashed?: boolean;
}

export interface Plot {
  title: string;
  x: string;
  y: string;
  series: Series[];
  /** where the vertical scale begins and ends */
  from: number;
  to: number;
  /** a stretch of the vertical scale that is shaded, and what it means */
  band?: { from: number; to: number; name: string };
  /** the horizontal scale grows in even steps, or by its logarithm */
  log?: boolean;
}

const W = 640;
const H = 360;
const LEFT = 56;
const RIGHT = 190;
const TOP = 34;
const FOOT = 44;
const COLOURS = ['#0f4c5c', '#b4531a', '#4b6b2f', '#7a3b69', '#444444'];
const text = (s: string) => s.replace(/&/g, '&amp;').replace(/</g, '&lt;');
const n = (v: number) => v.toFixed(1);

/** A plot as a file of lines and words, for a document that is read without a browser of its own. */
export function plotSvg(p: Plot): string {
  const all = p.series.flatMap((s) => s.points.map((q) => q.x));
  const of = (x: number) => (p.log ? Math.log(x) : x);
  const [least, most] = [of(Math.min(...all)), of(Math.max(...all))];
  const x = (v: number) => LEFT + ((of(v) - least) / (most - least)) * (W - LEFT - RIGHT);
  const y = (v: number) => TOP + ((p.to - v) / (p.to - p.from)) * (H - TOP - FOOT);
  const out: string[] = [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${H}" font-family="sans-serif" font-size="12" role="img" aria-label="${text(p.title)}">`,
    `<rect width="${W}" height="${H}" fill="#fbfaf6"/>`,
    `<text x="${LEFT}" y="20" font-size="14" font-weight="600" fill="#1d1c1a">${text(p.title)}</text>`
  ];
  if (p.band)
    out.push(
      `<rect x="${LEFT}" y="${n(y(p.band.to))}" width="${W - LEFT - RIGHT}" height="${n(y(p.band.from) - y(p.band.to))}" fill="#0f4c5c" opacity="0.12"/>`,
      `<text x="${W - RIGHT + 8}" y="${n((y(p.band.to) + y(p.band.from)) / 2 + 4)}" fill="#0f4c5c">${text(p.band.name)}</text>`
    );
  for (let k = 0; k <= 5; k++) {
    const v = p.from + ((p.to - p.from) * k) / 5;
    out.push(
      `<line x1="${LEFT}" x2="${W - RIGHT}" y1="${n(y(v))}" y2="${n(y(v))}" stroke="#d8d4c8" stroke-width="0.7"/>`,
      `<text x="${LEFT - 6}" y="${n(y(v) + 4)}" text-anchor="end" fill="#55524a">${Number(v.toFixed(2))}</text>`
    );
  }
  for (const v of [...new Set(all)].sort((a, b) => a - b))
    out.push(
      `<text x="${n(x(v))}" y="${H - FOOT + 16}" text-anchor="middle" fill="#55524a">${Number(v.toFixed(3))}</text>`
    );
  out.push(
    `<text x="${(LEFT + W - RIGHT) / 2}" y="${H - 8}" text-anchor="middle" fill="#1d1c1a">${text(p.x)}</text>`,
    `<text transform="translate(14 ${(TOP + H - FOOT) / 2}) rotate(-90)" text-anchor="middle" fill="#1d1c1a">${text(p.y)}</text>`
  );
  const ends: number[] = [];
  for (const [k, s] of p.series.entries()) {
    const colour = COLOURS[k % COLOURS.length]!;
    const path = s.points.map((q, i) => `${i ? 'L' : 'M'}${n(x(q.x))} ${n(y(q.y))}`).join('');
    out.push(
      `<path d="${path}" fill="none" stroke="${colour}" stroke-width="2.2"${s.dashed ? ' stroke-dasharray="6 4"' : ''}/>`
    );
    for (const q of s.points) out.push(`<circle cx="${n(x(q.x))}" cy="${n(y(q.y))}" r="3" fill="${colour}"/>`);
    // a name stands at the end of its line, below the one before where the two would touch
    let at = y(s.points[s.points.length - 1]!.y) + 4;
    const taken = [...ends, ...(p.band ? [(y(p.band.to) + y(p.band.from)) / 2 + 4] : [])];
    while (taken.some((e) => Math.abs(e - at) < 14)) at += 14;
    ends.push(at);
    out.push(`<text x="${W - RIGHT + 8}" y="${n(at)}" fill="${colour}">${text(s.name)}</text>`);
  }
  return [...out, '</svg>', ''].join('\n');
}
