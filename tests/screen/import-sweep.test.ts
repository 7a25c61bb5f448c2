import { beforeEach, describe, expect, it } from 'vitest';
import { measuredCsv, readCurveFile } from '$lib/ui/curves/curve-file.ts';
import { picture } from '$lib/reader/curve-picture.ts';
import { ghostOf, predictedPoints } from '$lib/ui/curves/curve-series.ts';
import { importSweep } from '$lib/ui/curves/import-sweep.ts';
import { engineWith } from '../support/played.ts';
import { CURVE, found, inputs } from '../support/curve-jobs.ts';
import { away, screen } from './support.ts';

/** A curve from a file becomes readings of the step, as if each had been typed. */
beforeEach(away);
const open = (sheet: string) => screen({ sheet, values: CURVE });
const bring = async (sheet: string, step: string, text: string, scale: 'engine' | 'distributor' = 'engine') => {
  const on = open(sheet);
  const table = readCurveFile(text);
  expect(table.problems).toEqual([]);
  expect(await importSweep(on.session, step, table, scale, 'strobe')).toBeNull();
  const sweep = on.session.state.work.sweeps.find((s) => s.step === step)!;
  return { ...on, sweep, points: sweep.points.map((p) => [p.rpm, p.deg, p.dir]) };
};

describe('a curve brought in', () => {
  it('goes up as it stands in the file, then down, with the gauge on its timings', async () => {
    const on = await bring('recurve', 'baseline', 'rpm,deg,dir\n650,9,up\n1500,16,up\n1000,12,down\n2000,24,up\n');
    expect(on.points).toEqual([
      [650, 9, 'up'],
      [1500, 16, 'up'],
      [2000, 24, 'up'],
      [1000, 12, 'down']
    ]);
    const [speed, timing] = on.session.state.readings;
    expect([speed!.gauge, timing!.gauge?.name]).toEqual([null, 'Strobe']);
  });
  it('whose way down is listed from slow to fast is still a way down', async () => {
    const on = await bring(
      'recurve',
      'baseline',
      'rpm,deg,dir\n650,9,up\n1500,16,up\n2000,24,up\n800,10,down\n1200,15,down\n1800,23,down\n'
    );
    expect(on.points.map((p) => p[2])).toEqual(['up', 'up', 'up', 'down', 'down', 'down']);
    expect(on.points.slice(3).map((p) => p[0])).toEqual([1800, 1200, 800]);
  });
  it('that does not say which way keeps its order, and the speeds tell', async () => {
    const on = await bring('recurve', 'baseline', '650,9\n1500,16\n2000,24\n1500,18\n');
    expect(on.points.map((p) => p[2])).toEqual(['up', 'up', 'up', 'down']);
  });
  it('of the distributor is doubled once: by the step where it asks, else as it comes in', async () => {
    const asked = await bring('bench-check', 'sweep', '325,2.25\n900,8\n', 'distributor');
    expect(asked.session.state.replayed.chosen.get('sweep-scale')).toBe('bench');
    expect(asked.session.state.readings.map((r) => r.value)).toEqual([325, 2.25, 900, 8]);
    expect(asked.sweep.points.map((p) => p.rpm)).toEqual([650, 1800]);
    const plain = await bring('recurve', 'baseline', '325,2.25\n900,8\n', 'distributor');
    expect(plain.session.state.readings.map((r) => r.value)).toEqual([650, 4.5, 1800, 16]);
  });
  it('after TDC is read as such', async () => {
    const on = await bring('recurve', 'baseline', 'rpm,deg\n400,-2.5\n650,9\n');
    expect(on.sweep.points[0]!.deg).toBe(-2.5);
    expect(on.session.state.readings[1]!.text).toBe('2.5a');
  });
  it('by nobody writes nothing, and says to choose a name first', async () => {
    const on = screen({ sheet: 'recurve', values: CURVE, who: null });
    const refused = await importSweep(on.session, 'baseline', readCurveFile('650,9\n900,9\n'), 'engine', null);
    expect(refused?.code).toBe('nobody-acts');
    expect(on.session.outbox.waiting).toEqual([]);
    expect(on.session.refusal).toEqual(refused);
  });
  it('with many points comes into sight bit by bit, stands together, and leaves room for what is typed meanwhile', async () => {
    const on = open('recurve');
    const rows = Array.from({ length: 300 }, (_, k) => `${650 + 5 * k},${9 + k / 20}`);
    let settled = false;
    const whole = importSweep(on.session, 'baseline', readCurveFile(rows.join('\n')), 'engine', 'strobe');
    void whole.then(() => (settled = true));
    const inSight: number[] = [];
    while (!settled) {
      inSight.push(on.session.all.length);
      await new Promise((r) => setTimeout(r));
    }
    // it grows, to no more than four times what was there, and what waits for the server is the whole from the first moment
    const steps = [...new Set(inSight.filter((n) => n > 0))];
    expect(steps.length).toBeGreaterThan(3);
    expect(steps).toEqual([...steps].sort((a, b) => a - b));
    for (const [k, n] of steps.entries()) expect(n).toBeLessThanOrEqual(k === 0 ? 8 : 4 * steps[k - 1]!);
    expect(on.session.outbox.waiting).toHaveLength(600);
    expect(new Set(on.session.outbox.waiting.map((w) => w.group)).size).toBe(1);
    expect(on.session.all).toHaveLength(600);
    on.session.say({ kind: 'remark', step: 'baseline', text: 'from a file' });
    expect(on.session.all.at(-1)).toMatchObject({ kind: 'remark', seq: 601 });
  });
  it('in which one figure cannot be a reading writes none of them', async () => {
    const on = open('recurve');
    const rows = Array.from({ length: 40 }, (_, k) => ({
      line: k + 1,
      rpm: 650 + k,
      deg: k === 39 ? NaN : 9,
      dir: 'up' as const
    }));
    const table = { ...readCurveFile('650,9\n900,9\n'), points: rows };
    expect((await importSweep(on.session, 'baseline', table, 'engine', 'strobe'))?.message).toBeTruthy();
    expect(on.session.outbox.waiting).toEqual([]);
    expect(on.session.all).toEqual([]);
  });
  it('that was written out here comes back as the same curve', async () => {
    const sweep = found().state.work.sweeps[0]!;
    const on = await bring('recurve', 'baseline', measuredCsv(picture(engineWith(CURVE), sweep)));
    expect(on.sweep.points.map((p) => [p.rpm, p.deg])).toEqual([...inputs.up, ...inputs.down]);
    expect(on.sweep.compare!.hysteresisDeg).toBeCloseTo(sweep.compare!.hysteresisDeg!, 6);
  });
});

describe('what a chart of it shows', () => {
  it('has limits, idle, and room beyond the fastest point', () => {
    const p = picture(engineWith(CURVE), found().state.work.sweeps[0]!);
    expect(p.up).toHaveLength(inputs.up.length);
    expect(p.down).toHaveLength(inputs.down.length);
    expect(p.idleRpm).toBe(inputs.limits.idleRpm);
    expect(p.band![0]!.rpm).toBe(inputs.spec[0]!.rpm);
    expect(p.maxRpm).toBeGreaterThan(Math.max(...inputs.up.map((u) => u[0]!)));
    expect(p.maxRpm % 500).toBe(0);
  });
  it('draws a prediction from standstill over its initial timing to beyond full advance', () => {
    const curve = {
      points: [
        { rpm: 1000, deg: 0 },
        { rpm: 2500, deg: 20 }
      ],
      startRpm: 1000,
      fullRpm: 2500,
      fullDeg: 20,
      unstableFromDeg: null,
      extrapolatedFromDeg: null
    };
    const points = predictedPoints(curve as never, 10, 5000);
    expect(points[0]).toEqual({ x: 0, y: 10 });
    expect(points.at(-1)).toEqual({ x: 5000, y: 30 });
    expect(points.map((p) => p.x)).toEqual([0, 1000, 2500, 5000]);
  });
  it('draws the job before only where one left a curve', () => {
    expect(ghostOf({ knots: [{ rpm: 900, deg: 9 }] })).toEqual([{ x: 900, y: 9 }]);
    expect([ghostOf(null), ghostOf({}), ghostOf({ knots: 'none' })]).toEqual([[], [], []]);
  });
});
