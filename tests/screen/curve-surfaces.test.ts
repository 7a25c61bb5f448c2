// @vitest-environment jsdom
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cleanup, fireEvent, render, waitFor } from '@testing-library/svelte';
import { curveMatch } from '$core/calculations/curve/curve-match.ts';
import type { MatchInput } from '$core/domains/recurve/recurve-work.ts';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';
import { CURVE, found, inputs, stock, sweep } from '../support/curve-jobs.ts';
import { readCurveFile } from '$lib/ui/curves/curve-file.ts';
import CurveFiles from '$lib/ui/curves/CurveFiles.svelte';
import { picture } from '$lib/reader/curve-picture.ts';
import type { Refused } from '$lib/ui/unsent/waiting.ts';
import { importSweep } from '$lib/ui/curves/import-sweep.ts';
import { press as shortcut } from '$lib/ui/keys/keys.ts';
import { away, button, press, surface, withGeometry } from './support.ts';

/** A chart that draws nothing and remembers what it was given; a pixel is a degree upwards and a revolution across. */
const charts: { data: { datasets: { data: { x: number; y: number }[] }[] }; options: unknown }[] = [];
vi.mock('$lib/ui/charts/chart-setup.ts', () => ({
  Chart: class {
    data;
    options;
    scales = {
      x: { getPixelForValue: (v: number) => v, getValueForPixel: (v: number) => v },
      y: { getPixelForValue: (v: number) => 100 - v, getValueForPixel: (v: number) => 100 - v }
    };
    constructor(_: unknown, config: (typeof charts)[number]) {
      this.data = config.data;
      this.options = config.options;
      charts.push(this);
    }
    update() {}
    destroy() {}
  }
}));
/** The search's worker, on this thread. */
class Searching {
  onmessage: ((m: { data: unknown }) => void) | null = null;
  postMessage({ id, input }: { id: number; input: MatchInput }) {
    queueMicrotask(() => this.onmessage?.({ data: { id, answer: curveMatch(input) } }));
  }
  terminate() {}
}

let drag: ReturnType<typeof withGeometry>;
beforeEach(() => {
  charts.length = 0;
  away();
  vi.stubGlobal('Worker', Searching);
  drag = withGeometry();
});
afterEach(cleanup);

/** the next frame, and the task after it in which a chart is drawn */
const frame = async () => {
  await new Promise(requestAnimationFrame);
  await new Promise((r) => setTimeout(r));
};
const named = (page: Element, label: string) => page.querySelector<HTMLElement>(`[aria-label="${label}"]`)!;
const targeted = () => {
  const job = found();
  job.say({ kind: 'target', step: 'targets', points: inputs.target });
  return job;
};

describe('springs and stop on the drawing', () => {
  async function recurve(job = targeted(), tray = stock) {
    const on = await surface(job, 'search', tray);
    await waitFor(() => expect(on.page.querySelectorAll('[data-testid=matches] li').length).toBe(5));
    await waitFor(() => expect(on.page.querySelector('.chart')!.getAttribute('data-ready')).toBe('true'));
    const a = () => named(on.page, 'Spring A on the drawing');
    const b = () => named(on.page, 'Spring B on the drawing');
    const stop = () => named(on.page, 'Stop on the drawing');
    const curve = () =>
      charts
        .at(-1)!
        .data.datasets.map((d) => JSON.stringify(d.data))
        .join();
    return { ...on, a, b, stop, curve };
  }
  const rates = stock.filter((s) => s.kind === 'spring').map((s) => s.rateNPerMm!);

  it('show the search\u2019s best pick, and follow another that is looked at', async () => {
    const on = await recurve();
    const best = on.rows('[data-testid=matches] li')[0]!;
    // the stop that is in is searched too, though its total was fitted a tenth short of it
    expect(best).toContain('S-08 + S-31, stop 11');
    expect(on.a().getAttribute('aria-valuetext')).toContain('S-08');
    expect(on.b().getAttribute('aria-valuetext')).toContain('S-31');
    const before = on.curve();
    await fireEvent.click(on.page.querySelectorAll('[data-testid=matches] .pick')[2]!);
    await frame();
    expect(on.curve()).not.toBe(before);
  });
  it('are pulled through the tray: each step is a stiffer one, with its predicted curve at once', async () => {
    const on = await recurve();
    const was = Number(on.a().getAttribute('aria-valuenow'));
    const before = on.curve();
    await press(on.a(), 'ArrowRight');
    expect(Number(on.a().getAttribute('aria-valuenow'))).toBeGreaterThanOrEqual(was);
    await frame();
    expect(on.curve()).not.toBe(before);
    expect(on.page.querySelector('.judged')!.textContent).toMatch(/initial .* starts .* all in .* total/);
    await press(on.a(), 'End');
    expect(Number(on.a().getAttribute('aria-valuenow'))).toBe(Math.max(...rates));
    // two places of the drawing's nine to the left
    await drag(on.a(), [120, 82], [102, 82]);
    expect(Number(on.a().getAttribute('aria-valuenow'))).toBeLessThan(Math.max(...rates));
  });
  it('the stop goes along its slot to the nearest of the tray', async () => {
    const on = await recurve();
    const degs = stock.filter((s) => s.kind === 'stop').map((s) => s.deg!);
    await press(on.stop(), 'Home');
    expect(Number(on.stop().getAttribute('aria-valuenow'))).toBe(Math.min(...degs));
    // straight down is a hundred degrees beyond the beginning of the slot
    await drag(on.stop(), [198, 110], [120, 178]);
    expect(Number(on.stop().getAttribute('aria-valuenow'))).toBe(Math.max(...degs));
  });
  it('put in by hand can be taken, with the initial setting that suits them, or dropped again', async () => {
    const on = await recurve();
    expect(on.page.querySelector('.hand')).toBeNull();
    await press(on.b(), 'ArrowLeft');
    const text = on.b().getAttribute('aria-valuetext')!.split(',')[0]!;
    await fireEvent.click(button(on.page, /^back to the search/));
    expect(on.b().getAttribute('aria-valuetext')).toContain('S-31');
    await press(on.b(), 'ArrowLeft');
    await fireEvent.click(button(on.page, /^Take these/));
    const taken = on.session.state.work.recurve.springs.map((s) => s.name);
    expect(taken).toContain(text);
    expect(on.session.state.work.recurve.stop).not.toBeNull();
    expect(on.session.state.replayed.remarks.at(-1)!.text).toMatch(/^Set the initial timing to [\d.]+° before/);
  });
  it('beyond what was measured are drawn as carried on, judged by nothing but their total, and not offered', async () => {
    const tray = [...stock, { ...stock.find((s) => s.kind === 'stop')!, id: 'long', name: 'stop 13', deg: 26 }];
    const on = await recurve(targeted(), tray);
    await press(on.stop(), 'End');
    expect(on.page.querySelector('.judged b')!.textContent).toBe('total above its limit');
    expect(on.text()).toContain('Sweep on to where the advance stops');
    expect(on.text()).toMatch(/beyond \d+\.\d° not measured, carried on/);
    expect(on.page.querySelector('.hand')!.textContent).not.toContain('Take these');
  });
  it('of which there are not enough are named, and are not offered', async () => {
    const few = stock.map((s) => ({ ...s, count: Math.min(s.count, s.kind === 'stop' ? 1 : 1) }));
    const on = await recurve(targeted(), few);
    await press(on.a(), 'Home');
    await press(on.b(), 'Home');
    expect(on.page.querySelector('.bench .problem')!.textContent).toMatch(/There are not enough of S-\d+ in the tray/);
    expect(on.page.querySelector('.hand')!.textContent).not.toContain('Take these');
  });
  it('are taken with one key as the search picked them', async () => {
    const on = await recurve();
    expect(shortcut('t')).toBe(true);
    await tick();
    expect(on.session.state.work.recurve.springs.map((s) => s.name).sort()).toEqual(['S-08', 'S-31']);
    expect(on.page.querySelector('[data-testid=matches] .taken')!.textContent).toBe('On this job.');
  });
  it('an empty tray says so, and a stop out of what was measured is named as not searched', async () => {
    const none = await surface(targeted(), 'search', []);
    await waitFor(() => expect(none.text()).toContain('There are no springs in the tray'));
    cleanup();
    const far = [...stock, { ...stock.find((s) => s.kind === 'stop')!, id: 'long', name: 'stop 19', deg: 38 }];
    const on = await surface(targeted(), 'search', far);
    await waitFor(() => expect(on.text()).toMatch(/Not searched, above the \d+\.\d° that was measured: stop 19/));
  });
  it('say what is still to come when the springs that are in are not known', async () => {
    const { springARate: _, ...less } = CURVE;
    const on = await surface(found(less), 'search', stock);
    expect(on.text()).toContain('Still to come:');
    expect(on.text()).toContain('two springs that are in now');
  });
});

describe('the target', () => {
  it('is moved by its handle or typed, and is logged only when it is meant', async () => {
    const on = await surface(found(), 'targets');
    await waitFor(() => expect(on.page.querySelectorAll('.target').length).toBeGreaterThan(2));
    expect(on.text()).toContain('The middle of the data sheet\u2019s limits, until a target is logged.');
    const handle = on.page.querySelectorAll('.target')[2]!;
    await press(handle, 'ArrowUp');
    await press(handle, 'ArrowUp', { shiftKey: true });
    expect(handle.getAttribute('aria-valuenow')).toBe('24');
    expect(on.text()).toContain('Moved by hand, not logged yet.');
    expect(on.session.all.filter((e) => e.kind === 'target')).toEqual([]);
    const field = named(on.page, 'Target 3, degrees') as HTMLInputElement;
    await fireEvent.change(field, { target: { value: '21' } });
    await fireEvent.click(button(on.page, /^Log this target/));
    expect(on.session.state.work.recurve.target[2]).toEqual({ rpm: 1800, deg: 21 });
    expect(on.text()).toContain('As logged on this job.');
  });
  it('is dragged on the chart, half a degree at a time', async () => {
    const on = await surface(found(), 'targets');
    await waitFor(() => expect(on.page.querySelectorAll('.target').length).toBeGreaterThan(2));
    const handle = on.page.querySelectorAll<HTMLElement>('.target')[1]!;
    Object.assign(HTMLElement.prototype, { setPointerCapture: () => {} });
    await drag(handle, [0, 90], [0, 85.2]);
    expect(handle.getAttribute('aria-valuenow')).toBe('15');
  });
  it('has points added and taken away', async () => {
    const on = await surface(targeted(), 'targets');
    const n = on.rows().length;
    await fireEvent.click(button(on.page, /^one more point/));
    expect(on.rows().length).toBe(n + 1);
    await fireEvent.click(button(on.page, /^take away/));
    await fireEvent.click(button(on.page, /^take away/));
    expect(on.rows().length).toBe(n - 1);
    await fireEvent.click(button(on.page, /^back to what was said/));
    expect(on.rows().length).toBe(n);
  });
  it('is spoken for by load and fuel, as a rule of thumb; nothing is said before something is known', async () => {
    const job = found();
    const none = await surface(job, 'targets');
    expect(none.text()).not.toContain('rule of thumb');
    none.session.say({ kind: 'choose', school: 'fuel', option: 'poor' });
    await tick();
    expect(none.text()).toContain('A rule of thumb for poor fuel.');
    expect(none.text()).toContain('The limits stay the data sheet\u2019s.');
  });
});

describe('a sweep as it is read', () => {
  it('of a file comes a few points a frame, and is whole in the end', async () => {
    const on = await surface(new PlayedJob(engineWith(CURVE), 'recurve'), 'baseline');
    const points = () => on.page.querySelectorAll('tbody tr').length;
    const before = points();
    const table = readCurveFile(
      ['rpm,deg', ...Array.from({ length: 40 }, (_, k) => `${650 + 50 * k},${9 + k / 2}`)].join('\n')
    );
    await importSweep(on.session, 'baseline', table, 'engine', 'strobe');
    expect(on.session.state.work.sweeps[0]!.points).toHaveLength(40);
    await tick();
    expect(points()).toBeGreaterThan(before);
    expect(points()).toBeLessThan(40);
    await waitFor(() => expect(points()).toBe(40));
  });
  it('of a file that is refused keeps the file, and logs it once that is put right', async () => {
    let answer!: (refused: Refused | null) => void;
    const onimport = vi.fn(() => new Promise<Refused | null>((r) => (answer = r)));
    const sweep = found().state.work.sweeps[0]!;
    const { container: page } = render(CurveFiles, {
      picture: picture(engineWith(CURVE), sweep),
      title: 'x',
      onimport
    });
    const text = 'rpm,deg,dir,scale\n650,9,up,engine\n900,9,up,engine\n';
    const file = { name: 'bench.csv', text: () => Promise.resolve(text) };
    const input = page.querySelector<HTMLInputElement>('input[type=file]')!;
    Object.defineProperty(input, 'files', { value: [file] });
    await fireEvent.change(input);
    const incoming = () => page.querySelector('[data-testid=incoming]');
    await waitFor(() => expect(incoming()?.textContent).toContain('bench.csv: 2 points'));
    for (const refused of [{ code: 'nobody-acts', message: 'Choose your name at the top first.' }, null]) {
      await fireEvent.click(button(page, 'Log these points'));
      // a second press while they are logged does nothing
      expect(button(page, 'Logging them …').hasAttribute('disabled')).toBe(true);
      answer(refused);
      await waitFor(() => expect(incoming() === null).toBe(refused === null));
      if (refused) await waitFor(() => expect(button(page, 'Log these points').hasAttribute('disabled')).toBe(false));
    }
    expect(onimport).toHaveBeenCalledTimes(2);
  });
  it('stands in a table beside the chart, every point with its limits, and the fit below', async () => {
    const on = await surface(found(), 'baseline');
    expect(on.rows('table tbody tr').length).toBe(inputs.up.length + inputs.down.length);
    const fit = on.page.querySelector('[data-testid=fit]')!.textContent!.replace(/\s+/g, ' ');
    expect(fit).toMatch(/Initial, below the start 9\.\d° ±/);
    expect(fit).toContain('Down against up 3.2°, sticky');
    expect(on.text()).toContain('No job has proved this mark');
  });
  it('is drawn in the colours of the theme, which are asked for once, and anew when it changes', async () => {
    let ink = '#123456';
    const asked = vi.fn((token: string) => (token === '--ink' ? ink : '#ffffff'));
    vi.stubGlobal('getComputedStyle', () => ({ getPropertyValue: asked }));
    document.documentElement.dataset.theme = 'light';
    const on = await surface(found(), 'baseline');
    await waitFor(() => expect(charts).toHaveLength(1));
    const inked = () => charts[0]!.data.datasets.filter((d) => JSON.stringify(d).includes(ink)).length;
    await waitFor(() => expect(inked()).toBeGreaterThan(0));
    const tokens = asked.mock.calls.map(([t]) => t);
    expect(new Set(tokens).size).toBe(tokens.length);
    await importSweep(on.session, 'baseline', readCurveFile('4000,31\n4100,31\n'), 'engine', 'strobe');
    await frame();
    await frame();
    expect(asked.mock.calls).toHaveLength(tokens.length);
    ink = '#fedcba';
    document.documentElement.dataset.theme = 'dim';
    await waitFor(() => expect(inked()).toBeGreaterThan(0));
  });
  it('is walked with the keyboard, point by point, and said aloud', async () => {
    const on = await surface(found(), 'baseline');
    await waitFor(() => expect(on.page.querySelector('.chart')!.getAttribute('data-ready')).toBe('true'));
    const chart = on.page.querySelector('.chart')!;
    const said = () => on.page.querySelector('.chart ~ [aria-live]')!.textContent!.trim();
    expect(said()).toBe('');
    await press(chart, 'ArrowRight');
    const [rpm, deg] = inputs.up[0]!;
    expect(said()).toBe(
      `Point 1 of ${inputs.up.length + inputs.down.length}, going up: ${rpm} rpm, ${deg!.toFixed(1)} degrees`
    );
    await press(chart, 'ArrowLeft');
    expect(said()).toContain('going down');
    await fireEvent.blur(chart);
    expect(said()).toBe('');
  });
  it('on the bench is said to be doubled, once', async () => {
    const job = new PlayedJob(engineWith(CURVE), 'bench-check');
    job.say({ kind: 'choose', school: 'sweep-scale', option: 'bench' });
    sweep(job, 'sweep', [[900, 4]]);
    const on = await surface(job, 'sweep');
    expect(on.text()).toContain('every point is doubled once');
    expect(on.rows('table tbody tr')[0]).toMatch(/1,800/);
  });
  it('scatter is set against what the measured float explains, or it is said that nothing is known', async () => {
    const none = await surface(new PlayedJob(engineWith(CURVE), 'strobe-timing'), 'steady');
    expect(none.text()).toContain('What float and backlash explain is not known');
    expect(none.text()).toContain('No scatter read yet');
    cleanup();
    const engine = {
      ...engineWith({ ...CURVE, helixDeg: '41', gearPitchMm: '31', backlashMm: '0.08' }),
      earlier: { float: { value: 0.165, u: 0.012, at: '2026-01-02T00:00:00Z', output: null } }
    };
    const on = await surface(new PlayedJob(engine, 'strobe-timing'), 'steady');
    expect(on.text()).toMatch(
      /may wander by 1\.\d\d° through the play of float and backlash as measured on 2 Jan 2026/
    );
  });
});

describe('lobes and diaphragm', () => {
  it('draws run-out apart from single lobes, outward late, and marks what is beyond tolerance', async () => {
    const job = new PlayedJob(engineWith(CURVE), 'bench-check');
    for (let k = 0; k < 6; k++) job.read('lobes', 'lobe', String(k * 60 + (k === 2 ? 1.5 : 0)));
    const on = await surface(job, 'lobes');
    expect(on.page.querySelectorAll('.spark.bad').length).toBe(1);
    const third = on.rows().find((r) => r.startsWith('3'))!;
    expect(third).toContain('1.25° late');
    expect(on.text()).toMatch(/1\.25 ± 0\.\d\d°/);
  });
  it('asks for the lobes in firing order', async () => {
    const job = new PlayedJob(engineWith(CURVE), 'bench-check');
    job.read('lobes', 'lobe', '0');
    const on = await surface(job, 'lobes');
    expect(on.rows().map((r) => r[0])).toEqual(['1', '5', '3', '6', '2', '4']);
    expect(on.page.querySelector('tr.next')!.textContent).toMatch(/^\s*5/);
    expect(on.page.querySelector('.run')).toBeNull();
  });
  it('judges the diaphragm by a rule of thumb only where the data sheet has no figure, and says so', async () => {
    const job = new PlayedJob(engineWith(CURVE), 'bench-check');
    const on = await surface(job, 'vacuum');
    expect(on.text()).toContain('Begin with no depression');
    for (const [slot, text] of [
      ['hold-start', '60'],
      ['hold-end', '54'],
      ['hold-seconds', '60']
    ] as const) {
      await fireEvent.click(
        button(on.page, { 'hold-start': /^pump/, 'hold-end': /^after/, 'hold-seconds': /^sec/ }[slot])
      );
      expect(on.type(text)).toBe(true);
    }
    await tick();
    expect(on.text()).toContain('It loses 6.0 kPa a minute');
    expect(on.text()).toContain('rule of thumb: the data sheet has no figure');
  });
});

describe('setting at rest', () => {
  const still = () => {
    const job = new PlayedJob(
      engineWith({ ...SHEET, dwellMinDeg: '34', dwellMaxDeg: '40', contactGapMinMm: '0.35', contactGapMaxMm: '0.45' }),
      'static-timing'
    );
    return job;
  };
  const set = () => {
    const job = still();
    job.done('intake', 'safe', 'gap', 'plugs', 'bar', 'wheel').toReference();
    return job.done('room', 'trigger');
  };
  it('gap and dwell stand with their limits, in the unit of whoever reads, and with what a change does', async () => {
    const job = still();
    job.read('gap', 'contact-gap', '0.40');
    job.read('gap', 'dwell', '36');
    job.read('gap', 'dwell', '38');
    const on = await surface(job, 'gap');
    expect(on.text()).toContain('0.35 to 0.45 mm');
    expect(on.text()).toContain('34 to 40°');
    expect(on.text()).toContain('36° to 38° moves the timing 2.0° later');
    cleanup();
    const thou = await surface(job, 'gap', [], { theme: 'light', length: 'thou', view: 'front', zone: 'UTC' });
    expect(thou.text()).toContain('13.8 to 17.7 thou');
  });
  it('keeps settings apart, says what the next reading is, and where the doubt comes from', async () => {
    const job = set();
    const on = await surface(job, 'index');
    expect(on.text()).toContain('No reading yet.');
    expect(on.type('9.5b')).toBe(true);
    await tick();
    const [turned, again] = [...on.page.querySelectorAll<HTMLInputElement>('input[type=radio]')];
    await fireEvent.click(again!);
    on.type('10b');
    await tick();
    expect(on.rows('.read table tbody tr')[0]).toMatch(/^1/);
    expect(on.session.state.work.timing['index']!.rows).toHaveLength(1);
    await fireEvent.click(turned!);
    on.type('7b');
    await tick();
    expect(on.session.state.work.timing['index']!.rows).toHaveLength(2);
    const shares = on.rows('[data-testid=budget] tbody tr').map((r) => Number(/(\d+) %/.exec(r)![1]));
    expect(shares.reduce((s, x) => s + x, 0)).toBeGreaterThan(97);
  });
  it('says how far to turn, which way, and at the rim, until it is in', async () => {
    const on = await surface(set(), 'index');
    on.type('10b');
    await tick();
    const move = on.page.querySelector('[data-testid=housing]')!.textContent!;
    expect(move).toMatch(/^Turn the housing (anti)?clockwise \(from above\) \d\.\d\d°/);
    expect(move).toContain('mm');
    on.line.prefer = 'turned';
    on.type(on.session.state.work.mark ? String(7 + on.session.state.work.mark.errorDeg) + 'b' : '7b');
    await tick();
    expect(on.session.state.work.timing['index']!.latest!.verdict!.state).not.toBe('out');
  });
  it('warns of high voltage where the spark is watched with the engine at rest', async () => {
    const job = set();
    job.say({ kind: 'choose', school: 'trigger', option: 'lamp' });
    const lamp = await surface(job, 'index');
    expect(lamp.text()).not.toContain('high voltage');
    lamp.session.say({ kind: 'choose', school: 'trigger', option: 'spark' });
    await tick();
    expect(lamp.text()).toContain('Ignition on with the engine at rest: high voltage.');
  });
  it('turns for a bias only when one is chosen, and never calls it a setting', async () => {
    const job = set();
    const on = await surface(job, 'bias');
    expect(on.page.querySelector('[data-testid=bias]')).toBeNull();
    on.session.say({ kind: 'choose', school: 'bias', option: 'advance' });
    await tick();
    expect(on.page.querySelector('[data-testid=bias]')!.textContent).toContain('1.00°');
    expect(on.text()).toContain('It is logged as a bias, not as a setting');
  });
});
