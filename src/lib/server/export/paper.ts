import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';

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

export function pdfResponse(bytes: Uint8Array<ArrayBuffer>, name: string): Response {
  return new Response(bytes, {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}"` }
  });
}
