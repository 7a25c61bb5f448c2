// @vitest-environment jsdom
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cleanup, fireEvent, render, waitFor } from '@testing-library/svelte';
import { dropMm, slider } from '$core/calculations/piston/slider.ts';
import CurveFiles from '$lib/ui/curves/CurveFiles.svelte';
import { picture } from '$lib/reader/curve-picture.ts';
import TdcMethods from '$lib/ui/surfaces/crank/tdc.school.svelte';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';
import { CURVE, found } from '../support/curve-jobs.ts';
import { away, button, plain, screen, surface, withGeometry } from './support.ts';

/** Finding the crank as it is drawn, and curves brought in from a file. */
vi.mock('$lib/ui/charts/chart-setup.ts', () => ({
  Chart: class {
    data = {};
    options = { scales: {} };
    scales = {};
    update() {}
    destroy() {}
  }
}));
beforeEach(() => {
  away();
  withGeometry();
});
afterEach(cleanup);

const ready = (values = SHEET, sheet?: string) =>
  new PlayedJob(engineWith(values), sheet).done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel');

describe('true TDC by pairs', () => {
  it('says what to type first, then keeps pairs with their middles as they are typed', async () => {
    const on = await surface(ready(), 'tdc');
    expect(on.text()).toContain('No pair yet. Type how far down the dial stands first.');
    on.type('1.8');
    await tick();
    expect(on.text()).toContain('Read at 1.80 mm down on this job.');
    on.type('342.5');
    await tick();
    expect(on.rows()[0]).toContain('next');
    on.type('11.5');
    await tick();
    expect(on.rows()[0]).toContain('357.00°');
  });
  it('names the pair that pulls, and what to look at', async () => {
    const job = ready().pairs('1.8', ['342.5', '11.5'], ['343', '11.5'], ['346', '15']);
    const on = await surface(job, 'tdc');
    expect(on.rows().filter((r) => r.includes('far off')).length).toBe(1);
    expect(on.text()).toContain('Pair 3 pulls: look whether the wheel slipped');
  });
  it('offers to swap a pair that was typed the wrong way round, with one press', async () => {
    const job = ready().pairs('1.8', ['342.5', '11.5'], ['12.0', '343.5']);
    const on = await surface(job, 'tdc');
    expect(on.rows()[1]).toContain('swapped?');
    await fireEvent.click(button(on.page, /^Swap the two/));
    await tick();
    expect(on.session.state.work.tdc.rows[1]!.error).toBeNull();
    expect(on.session.state.work.tdc.rows[1]!.middleDeg).toBeCloseTo(357.75, 6);
    expect(on.session.all.at(-1)).toMatchObject({ kind: 'amend', reason: 'before and after swapped' });
  });
  it('says how the limit compares with what the readings reached', async () => {
    const job = ready().pairs('1.8', ['342.5', '11.5'], ['343.5', '12.0'], ['343.0', '11.5']);
    const on = await surface(job, 'tdc');
    expect(on.text()).toContain('Works card 14 asks for ± 0.5°.');
    expect(on.text()).toMatch(/Spread of the pairs \d\.\d\d°\./);
    cleanup();
    const { tdcWithinDeg: _, ...less } = SHEET;
    const none = await surface(ready(less).pairs('1.8', ['342.5', '11.5'], ['343.5', '12.0']), 'tdc');
    expect(none.text()).toContain('The data sheet sets no limit on how well true TDC must be known.');
  });
});

describe('true TDC by other ways', () => {
  it('many readings: each with how far it lies off the curve, the wrong one thrown out', async () => {
    const job = ready();
    job.say({ kind: 'choose', school: 'tdc', option: 'fit' });
    const on = await surface(job, 'tdc');
    await waitFor(() => expect(on.text()).toContain('None yet. Type the wheel, then the dial at that place'));
    const geometry = slider({ strokeMm: 92, rodMm: 171 });
    if (!geometry.ok) throw new Error(geometry.error.message);
    for (const [k, deg] of [-38, -29, -18, -9, 11, 22, 30, 41].entries()) {
      on.type(String((357 + deg + 360) % 360));
      on.type((20 - dropMm(geometry.out, deg) + (k === 5 ? 1 : 0)).toFixed(2));
    }
    await tick();
    // each with its distance from the curve; the table beside it says what the ± is made of
    const readings = on.rows().filter((r) => r.includes('µm'));
    expect(readings.length).toBe(8);
    expect(readings.map((r) => r.includes('thrown out')).indexOf(true)).toBe(5);
    expect(on.text()).toContain('1 reading thrown out');
  });
  it('a positive stop is to be touched, never forced', async () => {
    const job = ready();
    job.say({ kind: 'choose', school: 'tdc', option: 'stop' });
    const on = await surface(job, 'tdc');
    expect(on.text()).toContain('never force it');
  });
  it('each way says what it would reach against the limit; the cheapest that is enough is named', async () => {
    const job = ready();
    const on = screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
    on.at('tdc');
    const { container: page } = render(TdcMethods, { session: on.session, line: on.line });
    const ways = [...page.querySelectorAll('details[aria-label="How true TDC is found"] button')];
    expect(ways.filter((w) => plain(w).includes('cheapest that is enough')).length).toBe(1);
    const highest = ways.find((w) => plain(w).startsWith('highest point'))!;
    expect(plain(highest)).toMatch(/✕ too coarse for ± 0\.5°/);
    await fireEvent.click(highest);
    expect(on.session.state.schools.tdc).toMatchObject({ option: 'highest', chosen: true });
    expect(plain(page.querySelector('summary')!)).toContain('chosen on this job');
  });
});

describe('mark, stroke and plan', () => {
  it('the mark is not judged before true TDC is found, and then with its doubt', async () => {
    const none = await surface(ready(), 'mark');
    expect(none.text()).toContain('where its mark stands follows once true TDC is found');
    expect(none.page.querySelector('path.mark')).toBeNull();
    cleanup();
    const job = new PlayedJob().toTdc().done('tdc');
    const on = await surface(job, 'mark');
    expect(on.text()).toMatch(/2\.67° early ?± 0\.\d\d°/);
  });
  it.each([
    ['cw', 'front', 1],
    ['cw', 'rear', -1],
    ['ccw', 'front', -1],
    ['ccw', 'rear', 1]
  ] as const)('an early mark has passed the pointer: engine %s, seen from the %s', async (runs, view, side) => {
    const job = new PlayedJob(engineWith({ ...SHEET, runningDirection: runs })).toTdc().done('tdc');
    const on = await surface(job, 'mark', [], { theme: 'light', length: 'mm', view, zone: 'UTC' });
    const x = Number(/^M([\d.]+)/.exec(on.page.querySelector('path.mark')!.getAttribute('d')!)![1]);
    expect(Math.sign(x - 280)).toBe(side);
    expect(on.text()).toContain(`seen from the ${view}`);
  });
  it('signs of the stroke are given and taken back by the same button', async () => {
    const job = new PlayedJob().toTdc().done('tdc', 'mark', 'probe-out');
    const on = await surface(job, 'stroke');
    expect(on.text()).toContain('Nothing given yet.');
    const yes = on.page.querySelector<HTMLButtonElement>('li button')!;
    await fireEvent.click(yes);
    expect(yes.getAttribute('aria-pressed')).toBe('true');
    expect(on.text()).toMatch(/\d\d\.\d %/);
    await fireEvent.click(yes);
    expect(yes.getAttribute('aria-pressed')).toBe('false');
    expect(on.text()).toContain('Nothing given yet.');
  });
  it('signs that contradict each other leave it open', async () => {
    const job = new PlayedJob().toTdc().done('tdc', 'mark', 'probe-out');
    job.say({ kind: 'sign', sign: 'airPushedOut', seen: true });
    const one = job.state.work.evidence!.pCompression;
    job.say({ kind: 'sign', sign: 'intakeJustClosed', seen: false });
    expect(job.state.work.evidence!.pCompression).toBeLessThan(one);
    const on = await surface(job, 'stroke');
    expect(on.page.querySelectorAll('[aria-pressed=true]').length).toBe(2);
  });
  it('the plan says each move with its degrees, and how the next figure was reached counts', async () => {
    const on = await surface(new PlayedJob().toStroke(), 'ref');
    const moves = on.page.querySelector('[data-testid=plan]')!;
    expect(plain(moves)).toMatch(/338\.8°/);
    expect(on.text()).toContain('Passing the target is an ordinary thing');
    const back = [...on.page.querySelectorAll<HTMLInputElement>('input[name=came]')][1]!;
    await fireEvent.click(back);
    expect(on.line.prefer).toBe('back');
  });
  it('without a place of the crank there is no plan, and it says what to do', async () => {
    const on = await surface(ready(), 'ref');
    expect(on.text()).toContain('Where the crank stands is not known.');
    expect(on.page.querySelector('[data-testid=plan]')).toBeNull();
  });
});

describe('a curve from a file', () => {
  const pic = () => picture(engineWith(CURVE), found().state.work.sweeps[0]!, {});
  function files(more: object = {}) {
    const onimport = vi.fn();
    const { container: page } = render(CurveFiles, { picture: pic(), title: 'Winch baseline', onimport, ...more });
    const bring = async (text: string, name = 'curve.csv') => {
      const file = new File([text], name, { type: 'text/csv' });
      // a page without pixels does not read files by itself
      Object.assign(file, { text: () => Promise.resolve(text) });
      const input = page.querySelector('input[type=file]')!;
      Object.defineProperty(input, 'files', { value: [file], configurable: true });
      await fireEvent.change(input);
      await waitFor(() => expect(page.querySelector('[data-testid=incoming]')).not.toBeNull());
      return plain(page.querySelector('[data-testid=incoming]')!);
    };
    return { page, onimport, bring };
  }
  it('is understood with semicolons and decimal commas, and whose degrees they are is asked', async () => {
    const on = files({ gauges: [{ id: 'strobe-a', name: 'Strobe A' }] });
    const said = await on.bring('rpm;deg\n650;9,5\n1200;9,8\n1800;15,4\n');
    expect(said).toContain('curve.csv: 3 points, 650 to 1800 rpm.');
    expect(said).toContain('does not say whose degrees and speeds these are');
    const log = button(on.page, /^Log these points/);
    expect(log.disabled).toBe(true);
    await fireEvent.click(on.page.querySelectorAll('input[type=radio]')[1]!);
    expect(log.disabled).toBe(false);
    await fireEvent.click(log);
    const [table, scale, gauge] = on.onimport.mock.calls[0]!;
    expect(table.points.map((p: { deg: number }) => p.deg)).toEqual([9.5, 9.8, 15.4]);
    expect([scale, gauge]).toEqual(['distributor', 'strobe-a']);
    expect(on.page.querySelector('[data-testid=incoming]')).toBeNull();
  });
  it('with a bad line names it by its number, and nothing is taken', async () => {
    const on = files();
    const said = await on.bring('rpm,deg,scale\n650,9.5,engine\n1200,nine,engine\n1800,15.4,engine\n');
    expect(said).toContain('Nothing was taken from curve.csv.');
    expect(said).toContain('ine 3');
    expect([...on.page.querySelectorAll('button')].map(plain)).not.toContain('Log these points');
    await fireEvent.click(button(on.page, /^Understood/));
    expect(on.onimport).not.toHaveBeenCalled();
  });
  it('of something else is named as such', async () => {
    const on = files();
    const said = await on.bring('name,price\nbolt,2\n', 'bolts.csv');
    expect(said).toContain('Nothing was taken from bolts.csv.');
  });
  it('is dropped again without a trace', async () => {
    const on = files();
    await on.bring('rpm,deg,scale\n650,9.5,engine\n1800,15.4,engine\n');
    await fireEvent.click(button(on.page, /^Drop the file/));
    expect(on.onimport).not.toHaveBeenCalled();
    expect(on.page.querySelector('[data-testid=incoming]')).toBeNull();
  });
  it('nothing measured or predicted is not offered for saving', () => {
    const empty = { ...pic(), up: [], predicted: [] };
    const { container: page } = render(CurveFiles, { picture: empty, title: 'Empty' });
    expect(button(page, /^Measured as CSV/).disabled).toBe(true);
    expect(button(page, /^Predicted as CSV/).disabled).toBe(true);
    expect(page.querySelector('input[type=file]')).toBeNull();
  });
});
