import { describe, expect, it } from 'vitest';
import { finish, MM, newPaper, paint } from '$lib/server/export/paper.ts';
import { cardCurve } from '$lib/server/jobs/card-curve.ts';
import { asSvg, curveDrawing } from '$lib/reader/curve-drawing.ts';
import { stateOf } from '$core/sheets/index.ts';
import { CURVE, found, inputs, sweep } from '../support/curve-jobs.ts';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';
import { strokes } from '../e2e/support/pdf.ts';

const onCard = (job: PlayedJob) => cardCurve(stateOf(job.sheet, job.engine, job.log), job.engine);
const read = (points: readonly (readonly number[])[]) => points.map(([x, y]) => ({ x, y }));

describe('the curve on a job card', () => {
  it('is the one that was swept, with the limits of the data sheet', () => {
    const c = onCard(found())!;
    expect(c.picture.up).toEqual(read(inputs.up));
    expect(c.picture.down).toEqual(read(inputs.down));
    expect(c.picture.band!.length).toBeGreaterThan(1);
    expect(c.picture.ghost).toEqual([]);
    expect(c.title).toBe('Timing, degrees before TDC, no vacuum');
    expect(c.key).toBe('Black: read going up. White: coming down. Shaded: the limits of the data sheet.');
  });
  it('stands beside the curve that was found and the target, once it was swept again', () => {
    const job = found();
    job.say({ kind: 'target', step: 'targets', points: [{ rpm: 1500, deg: 20 }] });
    const again = inputs.up.map(([rpm, deg]) => [rpm!, deg! + 1]);
    const c = onCard(sweep(job, 'sweep', again))!;
    expect(c.picture.up).toEqual(read(again));
    expect(c.picture.ghost).toEqual(read(inputs.up));
    expect(c.picture.target).toEqual([{ x: 1500, y: 20 }]);
    expect(c.key).toContain('Grey: as it was found. Rings: the target.');
    expect(c.key).not.toContain('White');
  });
  it('says that the data sheet has no limits where it has none, and is left out where nothing was swept', () => {
    const { advanceBand: _, ...values } = CURVE;
    const job = new PlayedJob(engineWith(values), 'strobe-timing');
    const c = onCard(sweep(job, 'sweep', inputs.up))!;
    expect(c.picture.band).toBeNull();
    expect(c.key).toContain('The data sheet has no limits for it.');
    expect(onCard(new PlayedJob(engineWith(SHEET), 'strobe-timing'))).toBeNull();
    expect(onCard(new PlayedJob(engineWith(SHEET), 'verify-marks'))).toBeNull();
  });
});

describe('a drawing of a curve', () => {
  const c = onCard(found())!;
  const drawn = curveDrawing({ ...c.picture, target: [{ x: 1500, y: 20 }] }, c.title);
  it('has a mark for each point and keeps within its frame', () => {
    const svg = asSvg(drawn);
    expect(svg.match(/m-5 4h10l-5 -9z/g)).toHaveLength(inputs.up.length);
    expect(svg.match(/m-5 -4h10l-5 9z/g)).toHaveLength(inputs.down.length);
    expect(svg.match(/a8 8 0 1 0 16 0/g)).toHaveLength(1);
    for (const [, x, y] of svg.matchAll(/[ML]([\d.-]+) ([\d.-]+)/g)) {
      expect(Number(x)).toBeGreaterThanOrEqual(0);
      expect(Number(x)).toBeLessThanOrEqual(drawn.width);
      expect(Number(y)).toBeGreaterThanOrEqual(0);
      expect(Number(y)).toBeLessThanOrEqual(drawn.height);
    }
  });
  it('keeps within it too where the curve that was found goes higher and faster, and a ring lies beyond', () => {
    const far = {
      ...c.picture,
      ghost: [
        { x: 900, y: 70 },
        { x: 9000, y: 30 }
      ],
      target: [{ x: 9000, y: 20 }]
    };
    const { lines, width } = curveDrawing(far, c.title);
    for (const { path } of lines)
      for (const [, x, y] of path.matchAll(/[ML]([\d.-]+) ([\d.-]+)/g)) {
        expect(Number(x)).toBeLessThanOrEqual(width);
        expect(Number(y)).toBeGreaterThanOrEqual(0);
      }
  });
  it('stands on paper where it was put, as wide as it was asked for', async () => {
    const doc = newPaper('A curve');
    paint(doc, drawn, { x: 20 * MM, y: 30 * MM, width: 120 * MM });
    const { page, lines } = strokes(Buffer.from(await finish(doc)));
    const scale = 120 / drawn.width;
    const grid = drawn.lines.filter((l) => /^M[\d.]+ [\d.]+H/.test(l.path));
    expect(grid.length).toBeGreaterThan(3);
    for (const g of grid) {
      const [, x1, y, x2] = /^M([\d.]+) ([\d.]+)H([\d.]+)/.exec(g.path)!.map(Number);
      const there = lines.some(
        (l) =>
          Math.abs(l.x1 - (20 + x1! * scale)) < 0.05 &&
          Math.abs(l.x2 - (20 + x2! * scale)) < 0.05 &&
          Math.abs(page[1] - l.y1 - (30 + y! * scale)) < 0.05
      );
      expect([g.path, there]).toEqual([g.path, true]);
    }
  });
});
