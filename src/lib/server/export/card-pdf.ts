import { readAt, readBy } from '$core/job/readings.ts';
import { DEFERENCE } from '$core/job/texts.ts';
import { curveDrawing } from '$lib/reader/curve-drawing.ts';
import { givenText } from '$lib/reader/given.ts';
import { dateText, timeText } from '$lib/reader/dates.ts';
import { understood } from '$lib/reader/units.ts';
import type { Prefs } from '$lib/reader/prefs.ts';
import type { CardData } from '../jobs/card-data.ts';
import { photoOf } from '../repositories/photos.ts';
import { finish, MM, newPaper, paint, type Doc } from './paper.ts';

const LEFT = 14;
const RIGHT = 196;
const BOTTOM = 268;
const INK = '#15211d';
const SOFT = '#4c5a54';

/** Writes down a sheet from the top; y in millimetres. */
class Sheet {
  y = 14;
  constructor(readonly doc: Doc) {}

  text(
    s: string,
    x: number,
    width: number,
    o: { size?: number; face?: 'text' | 'strong'; colour?: string; align?: 'left' | 'right' } = {}
  ): number {
    this.doc
      .font(o.face ?? 'text')
      .fontSize(o.size ?? 8.6)
      .fillColor(o.colour ?? INK);
    const options = { width: width * MM, align: o.align ?? 'left' } as const;
    const height = this.doc.heightOfString(s || ' ', options) / MM;
    this.doc.text(s, x * MM, this.y * MM, options);
    return height;
  }
  rule(weight = 0.4, x1 = LEFT, x2 = RIGHT): void {
    this.doc
      .moveTo(x1 * MM, this.y * MM)
      .lineTo(x2 * MM, this.y * MM)
      .lineWidth(weight * MM)
      .strokeColor(INK)
      .stroke();
  }
  room(mm: number): void {
    if (this.y + mm <= BOTTOM) return;
    this.doc.addPage();
    this.y = 14;
  }
  head(s: string, x = LEFT, width = RIGHT - LEFT): void {
    this.y += this.text(s, x, width, { size: 10.5, face: 'strong' }) + 0.6;
    this.rule(0.35, x, x + width);
    this.y += 1;
  }
  /** One line of a table; the tallest cell sets its height. */
  row(cells: Cell[]): void {
    this.room(6);
    const heights = cells.map(([s, x, w, strong, right]) =>
      this.text(s, x, w, { face: strong ? 'strong' : 'text', align: right ? 'right' : 'left' })
    );
    this.y += Math.max(...heights) + 0.7;
  }
}

type Cell = [text: string, x: number, width: number, strong?: boolean, right?: boolean];

/** What goes on paper of a long log: the last of it. The whole stands on the job's screen. */
const MOST_READINGS = 3000;
const MOST_PHOTOS = 60;

/** The last of a long list, and a line that says how much before it is not printed. */
function lastOf<T>(s: Sheet, all: readonly T[], most: number, what: string): readonly T[] {
  const left = all.length - most;
  if (left <= 0) return all;
  s.y +=
    s.text(`The first ${left} ${what} are not printed; they stand in the log on the job\u2019s screen.`, LEFT, 182) + 1;
  return all.slice(left);
}

const ACROSS = 3;
const PHOTO_W = 57;
const PHOTO_H = 43;

const CURVE_W = 122;

/** The curve that the job leaves behind. */
function curve(s: Sheet, { curve }: CardData): void {
  if (!curve) return;
  const drawn = curveDrawing(curve.picture, curve.title);
  const high = (CURVE_W * drawn.height) / drawn.width;
  s.room(high + 14);
  s.head('Advance curve');
  paint(s.doc, drawn, { x: LEFT * MM, y: s.y * MM, width: CURVE_W * MM });
  s.y += high + 1;
  s.y += s.text(curve.key, LEFT, 182, { size: 7.5, colour: SOFT }) + 3;
}

/** Photographs three in a row, each with what it shows, who took it and when. */
async function photographs(s: Sheet, { job, card }: CardData, prefs: Prefs): Promise<void> {
  if (card.photos.length === 0) return;
  s.y += 3;
  s.room(PHOTO_H + 20);
  s.head('Photographs');
  const photos = lastOf(s, card.photos, MOST_PHOTOS, 'photographs');
  for (let k = 0; k < photos.length; k += ACROSS) {
    s.room(PHOTO_H + 10);
    const row = photos.slice(k, k + ACROSS);
    const [top, heights] = [s.y, [] as number[]];
    for (const [n, p] of row.entries()) {
      const x = LEFT + n * (PHOTO_W + 5);
      s.y = top;
      const { bytes } = await photoOf(job.id, p.id);
      try {
        s.doc.image(bytes, x * MM, top * MM, { fit: [PHOTO_W * MM, PHOTO_H * MM] });
      } catch {
        // a file that begins like a photograph and is none: the card is printed all the same
        s.text('This photograph cannot be printed.', x, PHOTO_W);
      }
      s.y = top + PHOTO_H + 1;
      heights.push(s.text(`${p.text || p.step}. ${p.by}, ${timeText(p.at, prefs)}`, x, PHOTO_W, { size: 7.5 }));
    }
    s.y = top + PHOTO_H + 1 + Math.max(...heights) + 2;
  }
}

/** Who did what when, run together: a list of thirty steps would cost a page. */
function stepsByPerson(steps: CardData['card']['steps'], prefs: Prefs): [by: string, said: string][] {
  const out: [string, string[]][] = [];
  let before = '';
  for (const x of steps) {
    const [day, clock] = timeText(x.at, prefs).split(', ');
    const when = day === before ? (clock ?? '') : timeText(x.at, prefs);
    before = day!;
    const said = `${x.title}${x.state === 'skipped' ? ' (skipped)' : ''} ${when}`;
    const last = out[out.length - 1];
    if (last?.[0] === x.by) last[1].push(said);
    else out.push([x.by, [said]]);
  }
  return out.map(([by, said]) => [by, said.join('; ')]);
}

/** The job card on A4: one page for an ordinary job, more when there are many readings. */
export async function cardPdf(data: CardData, prefs: Prefs): Promise<Uint8Array<ArrayBuffer>> {
  const { card, engine, job } = data;
  const doc = newPaper(`Job card, ${engine.name}`);
  const s = new Sheet(doc);
  s.y += s.text(`${engine.name}: ${data.sheet.title.toLowerCase()}`, LEFT, 182, { size: 16, face: 'strong' });
  s.y +=
    s.text(
      `${engine.summary} · opened ${dateText(job.openedAt, prefs)} by ${job.openedBy} · ${card.done} of ${card.total} steps${data.closed ? ', log closed' : ', job still open'}`,
      LEFT,
      182,
      { colour: SOFT }
    ) + 3;
  const top = s.y;
  s.head('Worked to', LEFT, 86);
  for (const l of card.limits) {
    const given = givenText(l.field, l.value);
    const table = given.length > 26;
    s.row([
      [l.field.label, LEFT, 42],
      ...(table ? [] : [[given, LEFT + 42, 21, true, true] as Cell]),
      [l.value.source, LEFT + 65, 21]
    ]);
    // a row of points has no room in a column of figures
    if (table) s.row([[given, LEFT + 4, 82, true]]);
  }
  const left = s.y;
  s.y = top;
  s.head('Results', 108, 88);
  for (const r of card.results)
    s.row([
      [r.label, 108, 33],
      // a finding in words is read from its left, a figure down its column
      ...(r.verdict === '' && r.value.length > 20
        ? [[r.value, 142, 54, true] as Cell]
        : [
            [r.value, 141, 30, true, true] as Cell,
            [r.limits ? `${r.verdict}: ${r.limits}` : r.verdict, 173, 23] as Cell
          ])
    ]);
  s.y += s.text('± is two standard uncertainties.', 108, 88, { size: 7.5, colour: SOFT }) + 2;
  if (card.parts.length || card.schools.length) {
    s.head('Ways and parts', 108, 88);
    if (card.parts.length)
      s.row([
        ['Parts taken', 108, 34],
        [card.parts.join(', '), 143, 53, true]
      ]);
    for (const w of card.schools)
      s.row([
        [w.title, 108, 34],
        [w.way, 143, 53]
      ]);
    s.y += 2;
  }
  s.head('Stays open', 108, 88);
  for (const o of card.open)
    s.row([
      [o.what, 108, 34],
      [o.why, 143, 53]
    ]);
  if (card.open.length === 0) s.row([['Nothing.', 108, 88]]);
  s.y = Math.max(left, s.y) + 4;
  curve(s, data);
  // its head stands with its first lines
  s.room(24);
  s.head('Readings');
  s.row([
    ['figure', LEFT, 50],
    ['read', 64, 26, false, true],
    ['gauge', 93, 30],
    ['by', 125, 24],
    [`when (${prefs.zone})`, 150, 24],
    ['replaces', 175, 21]
  ]);
  for (const [k, r] of lastOf(s, card.readings, MOST_READINGS, 'readings').entries()) {
    // a log of thousands takes a second: other requests come in between
    if (k % 100 === 99) await new Promise((next) => setImmediate(next));
    s.row([
      [r.label, LEFT, 50],
      [understood(r.reading, r.reading.quantity, prefs), 64, 26, true, true],
      [r.reading.gauge?.name ?? '', 93, 30],
      [readBy(r.reading), 125, 24],
      [timeText(readAt(r.reading), prefs), 150, 24],
      [r.replaced, 175, 21]
    ]);
  }
  await photographs(s, data, prefs);
  if (card.said.length) {
    s.y += 3;
    s.head('Said by hand, as seen');
    for (const x of lastOf(s, card.said, MOST_READINGS, 'lines'))
      s.row([
        [x.state, LEFT, 60],
        [x.seen, 76, 84, true],
        [x.by, 162, 34]
      ]);
  }
  if (card.steps.length) {
    s.y += 3;
    s.room(12);
    s.head('Steps, with when they were done');
    for (const [by, said] of stepsByPerson(card.steps, prefs)) {
      s.room(8);
      s.y += s.text(`${by}: ${said}`, LEFT, 182, { size: 7.5 }) + 0.6;
    }
  }
  s.room(32);
  s.y += 2;
  s.y += s.text(DEFERENCE, LEFT, 182, { size: 7.5, colour: SOFT });
  s.y = Math.max(s.y + 16, Math.min(BOTTOM + 8, s.y + 30));
  s.rule(0.4, LEFT, 96);
  s.rule(0.4, 108, RIGHT);
  s.y += 1;
  s.text('Technician, date', LEFT, 80, { size: 8 });
  s.text('Lead, date', 108, 80, { size: 8 });
  return finish(doc);
}
