import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import type { Drawn } from '$lib/reader/curve-drawing.ts';

export type Doc = InstanceType<typeof PDFDocument>;
export const MM = 72 / 25.4;

// pdfkit embeds subsets of the same face that the screen uses
const require = createRequire(import.meta.url);
const face = (weight: number) =>
  readFileSync(require.resolve(`@fontsource/encode-sans/files/encode-sans-latin-${weight}-normal.woff`));
let faces: { text: Buffer; strong: Buffer } | null = null;

/** A tagged PDF in millimetres: A4 upright unless told otherwise, with the faces `text` and `strong`. */
export function newPaper(title: string, size: [number, number] = [210, 297]): Doc {
  faces ??= { text: face(400), strong: face(600) };
  const doc = new PDFDocument({
    size: [size[0] * MM, size[1] * MM],
    margin: 0,
    tagged: true,
    lang: 'en-GB',
    displayTitle: true,
    info: { Title: title, Creator: 'Nemrik' }
  });
  doc.registerFont('text', faces.text);
  doc.registerFont('strong', faces.strong);
  return doc;
}

/** Puts a drawing on paper with its corner at a place, so wide; in points. */
export function paint(doc: Doc, drawn: Drawn, at: { x: number; y: number; width: number }): void {
  doc
    .save()
    .translate(at.x, at.y)
    .scale(at.width / drawn.width);
  for (const l of drawn.lines) {
    doc.path(l.path);
    if (l.dash) doc.dash(l.dash[0], { space: l.dash[1] });
    else doc.undash();
    if (l.width) doc.lineWidth(l.width);
    if (l.width && l.fill) doc.fillAndStroke(l.fill, l.stroke);
    else if (l.fill) doc.fill(l.fill);
    else doc.stroke(l.stroke);
  }
  doc.undash().font('text').fontSize(14).fillColor('#15211d');
  for (const l of drawn.labels) {
    const wide = doc.widthOfString(l.text);
    const back = { start: 0, middle: wide / 2, end: wide }[l.anchor];
    doc.text(l.text, l.x - back, l.y - 12, { lineBreak: false });
  }
  doc.restore();
}

/** The finished bytes. */
export function finish(doc: Doc): Promise<Uint8Array<ArrayBuffer>> {
  return new Promise((resolve, reject) => {
    const parts: Buffer[] = [];
    doc.on('data', (p: Buffer) => parts.push(p));
    doc.on('end', () => resolve(new Uint8Array(Buffer.concat(parts))));
    doc.on('error', reject);
    doc.end();
  });
}
