// @vitest-environment jsdom
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cleanup, fireEvent, render, waitFor } from '@testing-library/svelte';
import { domains } from '$core/domains/all.ts';
import { settledFigures, words } from '$core/job/index.ts';
import { tradesNeeded } from '$core/job/needed.ts';
import { jobState } from '$core/job/state.ts';
import { runSheets } from '$core/sheets/index.ts';
import ReadingLineField from '$lib/ui/job-view/ReadingLine.svelte';
import StatePanel from '$lib/ui/job-view/StatePanel.svelte';
import WorkSurface from '$lib/ui/job-view/WorkSurface.svelte';
import { CURVE, found } from '../support/curve-jobs.ts';
import { DRIVE, atTooth, measured, packed, planned } from '../support/drive-jobs.ts';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';
import { away, plain, press, screen, surface, withGeometry } from './support.ts';

/** A screen begins with the trades that a job needs as it stands, and fetches those of later steps when it is idle. */
beforeEach(() => {
  away();
  withGeometry();
});
afterEach(cleanup);

const PREFS = { theme: 'light', length: 'mm', view: 'front', zone: 'UTC' } as const;
const named = (names: readonly string[]) => domains.filter((d) => names.includes(d.name));
const ALL = { ...SHEET, ...DRIVE, ...CURVE };

function worked({ session, view, line }: ReturnType<typeof screen>): HTMLElement {
  const nothing = () => {};
  const given = {
    session,
    view,
    line,
    prefs: PREFS,
    ondone: nothing,
    onask: nothing,
    onundo: nothing,
    onagain: nothing
  };
  return render(WorkSurface, given).container;
}

describe.each(runSheets.map((s) => s.id))('the sheet %s', (id) => {
  const sheet = runSheets.find((s) => s.id === id)!;
  it('draws every step with its own trades as it does with all of them', { timeout: 40_000 }, async () => {
    for (const step of sheet.steps) {
      const job = new PlayedJob(engineWith(ALL), id);
      const whole = (await surface(job, step.id)).text();
      cleanup();
      const own = ['engine', 'crank', ...sheet.tradesOf[step.id]!].filter((t) => sheet.domains.includes(t));
      expect((await surface(job, step.id, [], PREFS, own)).text(), step.title).toBe(whole);
      cleanup();
    }
  });
  it('is leafed through at once, before the trades of later steps are here', { timeout: 40_000 }, async () => {
    const on = screen({ sheet: id, values: ALL, trades: tradesNeeded(sheet, [], 0) });
    const failed = vi.fn();
    window.addEventListener('error', failed);
    process.on('unhandledRejection', failed);
    try {
      const page = worked(on);
      for (const step of sheet.steps) {
        on.at(step.id);
        await tick();
        expect(page.querySelector('#step-in-hand')!.textContent).toContain(step.title);
      }
      await waitFor(() => expect(on.session.has(sheet.steps.at(-1)!.id)).toBe(true), { timeout: 15_000 });
      await waitFor(() => expect(plain(page.querySelector('.surface')!)).not.toContain('Loading …'), {
        timeout: 15_000
      });
    } finally {
      window.removeEventListener('error', failed);
      process.off('unhandledRejection', failed);
    }
    expect(failed).not.toHaveBeenCalled();
  });
  it('has its instrument beside the work from the first step on', async () => {
    const on = screen({ sheet: id, values: ALL, trades: tradesNeeded(sheet, [], 0) });
    const { container: page } = render(StatePanel, {
      session: on.session,
      view: on.view,
      prefs: PREFS,
      onview: () => {},
      onask: () => {}
    });
    await waitFor(() => expect(page.querySelector('aside svg.drawing')).not.toBeNull(), { timeout: 15_000 });
  });
});

const wheeled = () => new PlayedJob().done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel');
/** A job whose true TDC was sought by many readings. */
function fitted(): PlayedJob {
  const job = wheeled();
  job.say({ kind: 'choose', school: 'tdc', option: 'fit' });
  for (const [wheel, dial] of FITTED) {
    job.read('tdc', 'fit-wheel', wheel);
    job.read('tdc', 'fit-dial', dial);
  }
  return job;
}
function left(): PlayedJob {
  const job = fitted();
  job.say({ kind: 'choose', school: 'tdc', option: 'pairs' });
  return job;
}
const FITTED = [
  ['330', '2.10'],
  ['340', '6.40'],
  ['350', '8.90'],
  ['10', '8.00'],
  ['20', '5.20'],
  ['30', '0.90']
] as const;

describe('the trades that a job needs as it stands', () => {
  const jobs: [name: string, job: PlayedJob][] = [
    ['nothing done', new PlayedJob()],
    ['top found', new PlayedJob().toTdc().done('tdc')],
    ['top found by many readings', fitted()],
    ['a way tried and left', left()],
    ['a tooth planned', planned()],
    ['a drive measured', measured()],
    ['its packing taken', packed()],
    ['a curve swept', found()],
    ['at its tooth', atTooth()]
  ];
  it.each(jobs)('%s: what is shown without the others is what is shown with them', (_, job) => {
    const { sheet, engine, log } = job;
    const whole = jobState(sheet, engine, log, named(sheet.domains));
    const inHand = whole.current ?? sheet.steps.length - 1;
    const names = tradesNeeded(sheet, log, inHand);
    const begun = jobState(sheet, engine, log, named(names));
    const seen = (s: typeof whole) => ({
      current: s.current,
      steps: s.steps.map((v) => [v.step.id, v.state, v.missing, v.stillOn]),
      raised: s.raised.map((r) => r.id),
      bars: s.interlocks.map((r) => r.id),
      figures: settledFigures(s).map((f) => [f.key, f.value, f.verdict]),
      head: words.headline(s, engine, s.steps[inHand]!, String),
      readings: s.readings.map((r) => [r.slot, r.value, r.gauge]),
      top: s.work.tdc.found
    });
    expect(seen(begun)).toEqual(seen(whole));
  });
  it('are few at the beginning, and all of them once every step is reached', () => {
    const sheet = runSheets.find((s) => s.id === 'fit-from-scratch')!;
    expect(tradesNeeded(sheet, [], 0)).not.toContain('timing');
    // what works out one way alone comes where that was chosen
    const all = tradesNeeded(sheet, [], sheet.steps.length - 1);
    expect(all).toEqual(sheet.domains.filter((d) => d !== 'tdcfit'));
    const job = new PlayedJob();
    job.say({ kind: 'choose', school: 'tdc', option: 'fit' });
    expect(tradesNeeded(sheet, job.log, 0)).toContain('tdcfit');
  });
  it('take in what the log speaks of, in whatever order it was done', () => {
    const job = new PlayedJob();
    const sheet = job.sheet;
    const before = tradesNeeded(sheet, job.log, 0);
    expect(before).not.toContain('timing');
    const timing = sheet.steps.find((s) => sheet.tradesOf[s.id]!.includes('timing'))!;
    job.say({ kind: 'remark', text: 'looked at already', step: timing.id });
    expect(tradesNeeded(sheet, job.log, 0)).toContain('timing');
  });
});

describe('a step whose trade is not here yet', () => {
  const begun = () => {
    const sheet = runSheets.find((s) => s.id === 'fit-from-scratch')!;
    const on = screen({ sheet: sheet.id, values: ALL, trades: tradesNeeded(sheet, [], 0) });
    const late = sheet.steps.find((s) => sheet.tradesOf[s.id]!.includes('timing') && s.slots.length)!;
    return { ...on, late };
  };
  it('is fetched when it is looked at, and then shown as ever', async () => {
    const on = begun();
    expect(on.session.has(on.late.id)).toBe(false);
    on.at(on.late.id);
    const page = worked(on);
    await waitFor(() => expect(on.session.has(on.late.id)).toBe(true), { timeout: 15_000 });
    await waitFor(() => expect(plain(page.querySelector('.surface')!)).not.toContain('Loading …'), { timeout: 15_000 });
    const whole = await surface(new PlayedJob(engineWith(ALL)), on.late.id);
    expect(plain(page.querySelector('.surface')!)).toBe(whole.text());
  });
  it('takes what was typed too soon as soon as it is here', async () => {
    const on = begun();
    on.at(on.late.id);
    const logged = vi.fn();
    const { container: page } = render(ReadingLineField, {
      session: on.session,
      line: on.line,
      prefs: PREFS,
      onlogged: logged
    } as never);
    const field = page.querySelector('input')!;
    await fireEvent.input(field, { target: { value: '7' } });
    await press(field, 'Enter');
    expect(on.readings()).toEqual([]);
    await waitFor(() => expect(logged).toHaveBeenCalledOnce(), { timeout: 15_000 });
    expect(on.readings().length).toBe(1);
    expect(on.line.text).toBe('');
  });
  it('takes no figure before that: what was typed stays on the line', async () => {
    const on = begun();
    on.at(on.late.id);
    expect(on.type('7')).toBe(false);
    expect(on.line.text).toBe('7');
    expect(on.readings()).toEqual([]);
    await on.session.ready(on.late.id);
    await tick();
    expect(on.line.enter()).toBe(true);
    expect(on.readings().length).toBe(1);
  });
  it('is fetched when its way is chosen, and what was worked out before stands meanwhile', async () => {
    const { log, sheet } = wheeled();
    const on = screen({ sheet: 'fit-from-scratch', log: [...log], trades: tradesNeeded(sheet, log, 6) });
    on.at('tdc');
    const page = worked(on);
    expect(on.session.has('tdc')).toBe(true);
    on.session.say({ kind: 'choose', school: 'tdc', option: 'fit' });
    await tick();
    expect(on.session.has('tdc')).toBe(false);
    expect(on.session.state.work.tdc).toMatchObject({ method: 'fit', found: null, nextSlot: 'fit-wheel' });
    await waitFor(() => expect(on.session.has('tdc')).toBe(true), { timeout: 15_000 });
    for (const [wheel, dial] of FITTED) for (const typed of [wheel, dial]) expect(on.type(typed)).toBe(true);
    expect(on.session.state.work.tdc.found).toEqual(fitted().state.work.tdc.found);
    await waitFor(() => expect(plain(page.querySelector('.surface')!)).toContain('off the curve'), { timeout: 15_000 });
  });
  it('gives up no other that came meanwhile', async () => {
    const on = begun();
    await Promise.all([on.session.ready(on.late.id), on.session.ready(), on.session.ready(on.late.id)]);
    expect(on.session.sheet.steps.every((s) => on.session.has(s.id))).toBe(true);
    const order = on.session.state.domains.map((d) => d.name).filter((n) => on.session.sheet.domains.includes(n));
    expect(order.toSorted()).toEqual([...on.session.sheet.domains].toSorted());
  });
  it('is asked for once, and brings no trade that no step of the sheet has', async () => {
    const on = begun();
    await on.session.ready();
    await on.session.ready();
    expect(on.session.sheet.steps.every((s) => on.session.has(s.id))).toBe(true);
    const names = on.session.state.domains.map((d) => d.name);
    expect(new Set(names).size).toBe(names.length);
    vi.unstubAllGlobals();
  });
});
