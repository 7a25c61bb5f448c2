// @vitest-environment jsdom
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { cleanup, fireEvent } from '@testing-library/svelte';
import { carriedOver } from '$core/job/carry.ts';
import { surfaceOf } from '$core/job/domain.ts';
import { jobCard } from '$core/job/card.ts';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';
import { DRIVE } from '../support/drive-jobs.ts';
import { away, button, press, surface, withGeometry } from './support.ts';

let drag: ReturnType<typeof withGeometry>;
beforeEach(() => {
  away();
  drag = withGeometry();
});
afterEach(cleanup);

describe('the leads as they are found', () => {
  const found = (values: Record<string, string> = {}) =>
    new PlayedJob(engineWith({ ...SHEET, ...DRIVE, ...values }), 'in-place-check');
  const feeds = (page: Element) =>
    [...page.querySelectorAll('[aria-labelledby=lead-next] button')].map((b) => b.textContent!.trim());
  const leads = (page: Element) =>
    [...page.querySelectorAll('svg .number')].map((t) => t.textContent!.trim()).join(' ');
  const cap = (page: Element) => page.querySelector('svg')!.getAttribute('aria-label')!;

  it('are tapped tower by tower, each cylinder once, and judged by the firing order from number one on', async () => {
    const on = await surface(found(), 'map');
    expect(feeds(on.page)).toEqual(['1', '2', '3', '4']);
    // begun at another tower: the firing order is 1-2-4-3 and the rotor runs anticlockwise, so clockwise it is 1-3-4-2
    for (const c of ['4', '2', '1', '3']) {
      expect(on.text()).not.toContain('follow the firing order');
      await fireEvent.click(button(on.page, c));
    }
    expect(on.readings()).toEqual([
      ['lead-map', 4],
      ['lead-map', 2],
      ['lead-map', 1],
      ['lead-map', 3]
    ]);
    expect(on.text()).toContain('The leads follow the firing order in the rotor’s direction.');
    expect(on.session.state.work.leadMap.fromOne).toEqual([1, 3, 4, 2]);
    expect(feeds(on.page)).toEqual([]);
  });
  it('of a wrong order say what is wrong, hold nothing up, and are kept on the card', async () => {
    const on = await surface(found(), 'map');
    for (const c of ['1', '3', '2']) await fireEvent.click(button(on.page, c));
    const words = surfaceOf(on.session.state.domains, 'lead-map')!;
    expect(words.headline!(on.session.state, on.view.selected, String)).toBe('3 of 4 leads mapped: go on clockwise');
    expect(words.open!(on.session.state, on.view.selected)).toBe('3 of 4 leads are mapped');
    await fireEvent.click(button(on.page, '4'));
    expect(on.text()).toContain(
      'As found the leads do not follow the firing order: cylinders 2 and 4 stand in each other’s place.'
    );
    expect(on.text()).toContain('Before the engine is started the leads are laid in the firing order 1-2-4-3');
    expect(words.open!(on.session.state, on.view.selected)).toBeNull();
    const line = jobCard(on.session.state, on.session.engine, (mm) => `${mm} mm`).results.find((r) =>
      r.label.startsWith('Leads as found')
    )!;
    expect(line.value).toMatch(/^1-3-2-4\. As found/);
  });
  it('change places by dragging one to another tower, or with an arrow; both readings keep why', async () => {
    const on = await surface(found(), 'map');
    for (const c of ['1', '3', '2', '4']) await fireEvent.click(button(on.page, c));
    expect(leads(on.page)).toBe('1 3 2 4');
    const lead = (c: number) => on.page.querySelector(`[aria-label="Lead of cylinder ${c}"]`)!;
    const spot = (c: number): [number, number] => {
      const t = lead(c).querySelector('.tower')!;
      return [Number(t.getAttribute('cx')), Number(t.getAttribute('cy'))];
    };
    await drag(lead(2), spot(2), spot(4));
    expect(leads(on.page)).toBe('1 3 4 2');
    expect(on.session.state.readings.map((r) => r.replaced.at(-1)?.reason)).toEqual([
      undefined,
      undefined,
      'moved on the drawing of the cap',
      'moved on the drawing of the cap'
    ]);
    await press(lead(3), 'ArrowRight');
    expect(leads(on.page)).toBe('1 4 3 2');
    await drag(lead(3), spot(3), spot(3));
    expect(leads(on.page)).toBe('1 4 3 2');
  });
  it('read twice are told, and a map begun is finished before the step is done', async () => {
    const on = await surface(found(), 'map');
    for (const text of ['1', '1']) {
      on.line.text = text;
      on.line.enter();
    }
    await tick();
    expect(on.page.querySelector('[role=alert]')!.textContent).toContain('Cylinder 1 was mapped twice');
    expect(cap(on.page)).toContain('1, 1');
    const open = () => surfaceOf(on.session.state.domains, 'lead-map')!.open!(on.session.state, on.view.selected);
    expect(open()).toContain('mapped twice');
  });
  it('mapped on the job before this one say by whom and when, and are still to be looked at', async () => {
    const before = found();
    for (const c of ['1', '3', '4', '2']) before.read('map', 'lead-map', c);
    const job = new PlayedJob(engineWith({ ...SHEET, ...DRIVE }), 'refit-same');
    const origin = { job: 'f0d4f8a2-0000-4000-8000-000000000001', sheet: 'in-place-check' };
    for (const c of carriedOver(before.state, origin, job.sheet)) job.say(c);
    const on = await surface(job, 'map');
    expect(leads(on.page)).toBe('1 3 4 2');
    expect(on.text()).toMatch(
      /Mapped by Ines Farrow on .*2023, on the job before this one: see that each still stands so/
    );
    // one that was moved since is this job's own
    await press(on.page.querySelector('[aria-label="Lead of cylinder 3"]')!, 'ArrowRight');
    expect(leads(on.page)).toBe('1 4 3 2');
    expect(on.session.state.readings.map((r) => Boolean(r.from))).toEqual([true, false, false, true]);
  });
  it('are shown, and not read again, where the cap goes back on', async () => {
    const job = found();
    const none = await surface(job, 'restore');
    expect(none.text()).toContain('go by the photographs');
    expect(none.page.querySelectorAll('[aria-labelledby=lead-next] button').length).toBe(0);
    cleanup();
    const on = await surface(job, 'map');
    for (const c of ['1', '3', '4', '2']) await fireEvent.click(button(on.page, c));
    cleanup();
    const later = await surface(Object.assign(found(), { log: [...on.session.all] }) as PlayedJob, 'restore');
    expect(leads(later.page)).toBe('1 3 4 2');
    expect(later.page.querySelector('[role=slider]')).toBeNull();
  });
});
