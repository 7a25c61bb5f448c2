// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cleanup, fireEvent, render, waitFor } from '@testing-library/svelte';
import Photos from '$lib/ui/photos/Photos.svelte';
import { carriedOver } from '$core/job/carry.ts';
import type { EventBody } from '$core/job/index.ts';
import { sheetOf } from '$core/sheets/index.ts';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';
import { part } from '../support/curve-jobs.ts';
import { DIESEL } from '../support/pump-jobs.ts';
import { away, button, plain, screen, surface } from './support.ts';

/** Surfaces that support a judgement: what they show, and what they leave unsaid while it is not known. */
beforeEach(away);
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('the walk before a start', () => {
  it('shows what is still on as such, and what is missing of the count', async () => {
    const job = new PlayedJob(engineWith(SHEET), 'static-timing').done('intake', 'safe', 'gap', 'plugs', 'bar');
    job.read('sweep-list', 'given-out', '14');
    job.read('sweep-list', 'counted-back', '12');
    const on = await surface(job, 'sweep-list');
    expect(on.page.querySelector('[data-testid=walk]')!.textContent).toContain('still barring tool on the crank');
    const back = on.page.querySelector('[aria-label="tools counted back"]')!;
    expect(back.querySelector('[role=status]')!.textContent).toBe('2 still to come');
    expect(back.textContent).toMatch(/12 of 14/);
    expect(on.text()).toContain('0 of 2 off');
  });
  it('says that nothing was put on, and counts nothing of nothing', async () => {
    const on = await surface(new PlayedJob(engineWith(SHEET), 'strobe-timing'), 'sweep-list');
    expect(on.text()).toContain('This job put nothing on or in.');
    expect(on.text()).not.toMatch(/0 of 0/);
  });
  it('shows who took it off', async () => {
    const job = new PlayedJob(engineWith(SHEET), 'static-timing').done(
      'intake',
      'safe',
      'gap',
      'plugs',
      'bar',
      'wheel'
    );
    job.look('off').say({ kind: 'done', step: 'off' }, 'Marit Oakes');
    const on = await surface(job, 'sweep-list');
    expect(on.rows('[data-testid=walk] tbody tr').every((r) => r.includes('Marit Oakes'))).toBe(true);
    expect(on.text()).not.toContain('still ');
  });
});

describe('two bodies', () => {
  it('stand side by side, not judged where nobody said what may differ', async () => {
    const job = new PlayedJob(engineWith({ ...SHEET, seatWithinMm: '0.3' }), 'fit-different');
    for (const [slot, text] of [
      ['old-shank', '31.98'],
      ['new-shank', '31.90'],
      ['old-seat', '101.5'],
      ['new-seat', '102.9']
    ] as const)
      job.read('bodies', slot, text);
    const on = await surface(job, 'bodies');
    const [shank, seat, tang] = on.rows('[data-testid=bodies] tbody tr');
    expect(shank).toMatch(/31\.98 mm.*31\.90 mm.*not known.*not judged/);
    expect(seat).toMatch(/1\.40 ± 0\.\d\d mm.*0\.30 mm.*out/);
    expect(tang).toContain('not compared');
  });
});

describe('knock taken back', () => {
  it('is a ledger from the setting downwards', async () => {
    const job = new PlayedJob(engineWith(SHEET), 'recurve');
    job.read('load', 'taken-back', '1.5');
    job.read('load', 'knock-margin', '1');
    const on = await surface(job, 'load');
    expect(on.rows('[data-testid=knock] tbody tr')).toEqual([
      expect.stringMatching(/as set.*0\.0°.*7\.0°/),
      expect.stringMatching(/1.*1\.5°.*5\.5°/),
      expect.stringMatching(/for safety.*1\.0°.*4\.5°/)
    ]);
    expect(on.text()).toMatch(/Never hold a knocking engine at load.*Lift the throttle at once\./);
  });
});

describe('the risk of a shaft drawn in place', () => {
  it('says what is assumed, and nothing of what was not answered', async () => {
    const job = new PlayedJob(engineWith(SHEET), 'shaft-in-place');
    job.say({ kind: 'choose', school: 'risk-rings', option: 'known' });
    const on = await surface(job, 'decide');
    const rows = on.rows('[data-testid=shaft-risk] tbody tr');
    expect(rows[0]).toMatch(/A ring jams.*5 of 100/);
    expect(rows[1]).toContain('not answered yet');
    expect(rows.at(-1)).toContain('not known');
    expect(on.text()).toContain('own assumption');
  });
});

describe('shims for the tappets', () => {
  it('are picked from the tray, taken with one key, and put back', async () => {
    const job = new PlayedJob(engineWith({ ...DIESEL, elementWithinDeg: '0.3' }), 'pump-bench');
    for (const text of ['0', '90.7', '180', '269.3']) job.read('spacing', 'element', text);
    const shim = part('S15', { kind: 'shim', name: 'S15', thicknessMm: 0.15, uMm: 0.004, count: 1 });
    const on = await surface(job, 'shims', [shim]);
    const rows = on.rows('[data-testid=tappets] tbody tr');
    expect(rows.some((r) => /0\.15 mm thicker.*S15.*0\.000 mm/.test(r))).toBe(true);
    expect(rows.some((r) => r.includes('take shims out'))).toBe(true);
    await fireEvent.click(button(on.page, /Take it/));
    await waitFor(() => expect(on.text()).toContain('On this job: S15'));
    await fireEvent.click(button(on.page, /Put back/));
    await waitFor(() => expect(on.text()).not.toContain('On this job'));
  });
  it('wait for a whole round', async () => {
    const on = await surface(new PlayedJob(engineWith(DIESEL), 'pump-bench'), 'shims');
    expect(on.text()).toContain('Read all elements first');
  });
});

describe('what was carried over', () => {
  it('says who read it, on which terms', async () => {
    const before = new PlayedJob(engineWith(SHEET), 'teardown');
    before.say(before.reading('float', 'float-bench', '0.44'), 'Marit Oakes');
    const job = new PlayedJob(engineWith(SHEET), 'bench-check');
    for (const c of carriedOver(before.state, { job: 'x', sheet: 'teardown' }, sheetOf('bench-check')!))
      job.say(c as EventBody);
    const on = await surface(job, 'float');
    expect(on.text()).toContain('Marit Oakes, carried over');
  });
});

describe('photographs', () => {
  const shown = (job: PlayedJob, views: string[] = []) => {
    const on = screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
    const drawn = render(Photos, { session: on.session, stepId: 'received', views });
    return { ...on, page: drawn.container };
  };
  const job = () => new PlayedJob(engineWith(SHEET), 'teardown');
  it('lists the views to take, and strikes off what was taken', () => {
    const j = job();
    j.say({ kind: 'photo', photo: '6a000000-0000-4000-8000-000000000001', step: 'received', text: 'the gear' });
    const { page } = shown(j, ['from above', 'the gear']);
    expect(plain(page)).toContain('Still to take from above');
    expect(page.querySelectorAll('.chip')).toHaveLength(1);
    expect(page.querySelector('img')!.getAttribute('alt')).toBe('the gear');
    expect(page.querySelector('a')!.getAttribute('href')).toBe(
      '/api/jobs/1/photos/6a000000-0000-4000-8000-000000000001'
    );
  });
  it('keeps a file that is no photograph on the page, with why, until it is dropped', async () => {
    vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('no picture')));
    URL.createObjectURL = () => 'blob:x';
    URL.revokeObjectURL = () => {};
    const { page } = shown(job());
    const input = page.querySelector<HTMLInputElement>('#take-photo')!;
    const file = new File(['x'], 'notes.txt', { type: 'text/plain' });
    Object.defineProperty(input, 'files', { value: [file], configurable: true });
    Object.defineProperty(input, 'value', { value: '', writable: true });
    await fireEvent.change(input);
    await waitFor(() => expect(page.querySelector('[role=alert]')!.textContent).toContain('no photograph'));
    await fireEvent.click(button(page, /Drop it/));
    expect(page.querySelector('[role=alert]')).toBeNull();
  });
  it('are taken no more on a closed job', () => {
    const j = job();
    for (const v of j.state.steps)
      if (!v.mark && v.step.id !== 'close')
        j.log.push({
          ...j.log[0]!,
          kind: 'skip',
          step: v.step.id,
          reason: 'done on another day',
          id: v.step.id,
          seq: j.log.length + 1
        });
    j.done('close');
    const { page, session } = shown(j);
    expect(session.state.closed).toBe(true);
    expect(page.querySelector('#take-photo')).toBeNull();
  });
});
