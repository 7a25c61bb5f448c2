import { z } from 'zod';
import { tapeDrawing, wheelDrawing, type ScaleDrawing } from '$core/calculations/wheel/printed-scale.ts';
import { Refusal } from '../errors.ts';
import { finish, MM, newPaper } from './paper.ts';

const query = z
  .object({
    kind: z.enum(['tape', 'wheel'], 'Choose a tape or a wheel.').catch('tape'),
    diameter: z.coerce
      .number('Give the diameter as a number of millimetres.')
      .min(20, 'The diameter must be 20 mm at least.')
      .max(3000, 'The diameter must be 3000 mm at most.'),
    from: z.coerce
      .number('Give the range in degrees.')
      .min(-180, 'A tape begins at 180 after at the furthest.')
      .max(180)
      .default(-10),
    to: z.coerce
      .number('Give the range in degrees.')
      .min(-180)
      .max(180, 'A tape ends at 180 before at the furthest.')
      .default(40),
    step: z.coerce
      .number('Give the step in degrees.')
      .min(0.25, 'A step is 0.25° at least.')
      .max(30, 'A step is 30° at most.')
      .default(2),
    runs: z.enum(['cw', 'ccw']).catch('cw')
  })
  .refine((q) => q.to > q.from, 'The range must end further before TDC than it begins.');

export type ScaleQuery = z.infer<typeof query>;

/** Reads what scale is asked for; says what cannot be printed. */
export function readScale(params: URLSearchParams): { ok: true; query: ScaleQuery } | { ok: false; message: string } {
  const parsed = query.safeParse(Object.fromEntries(params));
  return parsed.success ? { ok: true, query: parsed.data } : { ok: false, message: parsed.error.issues[0]!.message };
}

export function mustReadScale(params: URLSearchParams): ScaleQuery {
  const read = readScale(params);
  if (!read.ok) throw new Refusal(422, 'bad-input', read.message);
  return read.query;
}

export function drawScale(q: ScaleQuery): ScaleDrawing {
  return q.kind === 'wheel'
    ? wheelDrawing({ diameterMm: q.diameter, stepDeg: q.step, runningDirection: q.runs })
    : tapeDrawing({ diameterMm: q.diameter, fromBtdc: q.from, toBtdc: q.to, stepDeg: q.step });
}

const escape = (s: string) => s.replace(/[<>&]/g, (c) => ({ '<': '&lt;', '>': '&gt;', '&': '&amp;' })[c]!);
const n = (x: number) => Number(x.toFixed(4));

/** The drawing as an SVG file whose user unit is a millimetre. */
export function scaleSvg(d: ScaleDrawing): string {
  const lines = d.lines.map(
    (l) => `<path d="M${n(l.x1)} ${n(l.y1)}L${n(l.x2)} ${n(l.y2)}" stroke-width="${l.weight}"/>`
  );
  const circles = d.circles.map(
    (c) =>
      `<circle cx="${n(c.x)}" cy="${n(c.y)}" r="${n(c.r)}" fill="${c.fill ? '#000' : 'none'}" stroke-width="0.25"/>`
  );
  const texts = d.texts.map(
    (t) =>
      `<text x="${n(t.x)}" y="${n(t.y)}" font-size="${n(t.size)}" text-anchor="${t.anchor}">${escape(t.text)}</text>`
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(d.width)}mm" height="${n(d.height)}mm" viewBox="0 0 ${n(d.width)} ${n(d.height)}">`,
    '<g stroke="#000" fill="none">',
    ...lines,
    ...circles,
    '</g>',
    '<g font-family="Encode Sans, sans-serif" fill="#000">',
    ...texts,
    '</g></svg>'
  ].join('\n');
}

/** The drawing as a PDF page of its own size, or A4 across where it fits, so that an ordinary printer does not scale it. */
export function scalePdf(d: ScaleDrawing): Promise<Uint8Array<ArrayBuffer>> {
  const fits = d.width <= 297 && d.height <= 210;
  const size: [number, number] = fits ? [297, 210] : [d.width, d.height];
  const doc = newPaper('Degree scale, 1:1', size);
  doc.strokeColor('#000').fillColor('#000');
  for (const l of d.lines)
    doc
      .moveTo(l.x1 * MM, l.y1 * MM)
      .lineTo(l.x2 * MM, l.y2 * MM)
      .lineWidth(l.weight * MM)
      .stroke();
  for (const c of d.circles) {
    doc.circle(c.x * MM, c.y * MM, c.r * MM).lineWidth(0.25 * MM);
    if (c.fill) doc.fill();
    else doc.stroke();
  }
  doc.font('text');
  for (const t of d.texts) {
    doc.fontSize(t.size * MM);
    const width = doc.widthOfString(t.text);
    const x = t.x * MM - (t.anchor === 'middle' ? width / 2 : t.anchor === 'end' ? width : 0);
    doc.text(t.text, x, (t.y - t.size) * MM, { lineBreak: false });
  }
  return finish(doc);
}
