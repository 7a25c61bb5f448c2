import { inflateSync } from 'node:zlib';

export interface Line {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
  weight: number;
}

const MM = 72 / 25.4;
type Matrix = [number, number, number, number, number, number];

/** Straight strokes of a PDF's page in millimetres of the paper, worked out from its own drawing operators. */
export function strokes(pdf: Buffer): { page: [number, number]; lines: Line[] } {
  const text = pdf.toString('latin1');
  const box = /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(text)!;
  const lines: Line[] = [];
  for (const m of text.matchAll(/\/FlateDecode[^]*?stream\r?\n/g)) {
    const from = m.index + m[0].length;
    const to = text.indexOf('endstream', from);
    let content: string;
    try {
      content = inflateSync(pdf.subarray(from, to)).toString('latin1');
    } catch {
      continue;
    }
    if (/ cm\n/.test(content)) read(content, lines);
  }
  return { page: [Number(box[1]) / MM, Number(box[2]) / MM], lines };
}

function read(content: string, lines: Line[]): void {
  let ctm: Matrix = [1, 0, 0, 1, 0, 0];
  const kept: Matrix[] = [];
  let weight = 1;
  let at = { x: 0, y: 0 };
  const stack: number[] = [];
  let painted = lines.length;
  const place = (x: number, y: number) => ({
    x: (ctm[0] * x + ctm[2] * y + ctm[4]) / MM,
    y: (ctm[1] * x + ctm[3] * y + ctm[5]) / MM
  });
  for (const token of content.split(/\s+/)) {
    if (/^-?[\d.]+$/.test(token)) {
      stack.push(Number(token));
      continue;
    }
    if (token === 'q') kept.push(ctm);
    else if (token === 'Q') ctm = kept.pop()!;
    else if (token === 'w') weight = stack.at(-1)!;
    else if (token === 'cm') {
      const [a, b, c, d, e, f] = stack.slice(-6) as Matrix;
      const [A, B, C, D, E, F] = ctm;
      ctm = [A * a + C * b, B * a + D * b, A * c + C * d, B * c + D * d, A * e + C * f + E, B * e + D * f + F];
    } else if (token === 'm') at = place(stack.at(-2)!, stack.at(-1)!);
    else if (token === 'l') {
      const end = place(stack.at(-2)!, stack.at(-1)!);
      lines.push({ x1: at.x, y1: at.y, x2: end.x, y2: end.y, weight: 0 });
      at = end;
    } else if (token === 'S' || token === 'f') {
      for (const l of lines.slice(painted)) l.weight = (weight * Math.abs(ctm[0])) / MM;
      painted = lines.length;
    }
    stack.length = 0;
  }
}
