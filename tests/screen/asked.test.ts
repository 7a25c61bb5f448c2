// @vitest-environment jsdom
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { cleanup, fireEvent, render } from '@testing-library/svelte';
import CrankHere from '$lib/ui/job-view/CrankHere.svelte';
import TurnsAsked from '$lib/ui/job-view/TurnsAsked.svelte';
import SettingAct from '$lib/ui/surfaces/SettingAct.svelte';
import type { Prefs } from '$lib/reader/prefs.ts';
import { engineWith, PlayedJob } from '../support/played.ts';
import { SAW } from '../support/magneto-jobs.ts';
import { away, button, plain, screen } from './support.ts';

const prefs: Prefs = { theme: 'light', length: 'mm', view: 'front', zone: 'UTC' };
beforeEach(away);
afterEach(cleanup);

const at = (...wheel: string[]) => {
  const job = new PlayedJob().toStroke();
  for (const text of wheel) job.read('ref', 'stands', text);
  return screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
};

describe('how the crank was turned', () => {
  it('is asked with every way and where it ends, and what is said places the crank', async () => {
    const on = at('340.5', '160');
    const { asks } = on.session.state.work.crank;
    expect(asks).not.toBeNull();
    const { container } = render(TurnsAsked, { session: on.session, prefs, asks: asks! });
    expect(plain(container)).toContain('How was the crank turned before it was read?');
    expect(plain(container)).toContain('Read: 160 on the wheel; seen from the front.');
    expect(container.querySelectorAll('li')).toHaveLength(asks!.ways.length + 1);
    await fireEvent.click(button(container, /once round and on/));
    const { crank } = on.session.state.work;
    expect(crank).toMatchObject({ asks: null, strokeKnown: true, from: 'said' });
    expect(crank.crankDeg).toBeCloseTo(asks!.ways[1]!.crankDeg, 6);
  });
  it('that nobody can say leaves the stroke open', async () => {
    const on = at('340.5', '160');
    const { container } = render(TurnsAsked, { session: on.session, prefs, asks: on.session.state.work.crank.asks! });
    await fireEvent.click(button(container, /^Nobody can say/));
    expect(on.session.state.work.crank).toMatchObject({ asks: null, strokeKnown: false });
    expect(on.session.state.flags.has('compression-confirmed')).toBe(false);
  });
  it('names the turn as it is seen from the end that is looked at', () => {
    const on = at('340.5', '160');
    const { asks } = on.session.state.work.crank;
    const rear = render(TurnsAsked, { session: on.session, prefs: { ...prefs, view: 'rear' }, asks: asks! });
    expect(plain(rear.container)).toContain('turned anticlockwise');
  });
});

describe('what is believed of the crank', () => {
  const line = (on: ReturnType<typeof at>) =>
    render(CrankHere, { session: on.session, place: on.session.state.work.crank, prefs }).container;

  it('stands in one line with its doubt and why', () => {
    const page = line(at('340.5', '356'));
    expect(plain(page)).toMatch(/before firing TDC ± 0\.\d° ?read at the end of the turn that was asked for ?Not so/);
  });
  it('says so while the stroke is not proved, and offers no other way to a stroke nobody knows', () => {
    const job = new PlayedJob().toTdc().done('tdc');
    const page = line(screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] }));
    expect(plain(page)).toContain('stroke not proved');
    expect([...page.querySelectorAll('button')].map(plain)).toEqual([]);
  });
});

describe('whether something was turned', () => {
  const heard = (...snaps: string[]) => {
    const job = new PlayedJob(engineWith(SAW), 'magneto');
    for (const text of snaps) job.read('snap', 'snap', text);
    const on = screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
    const { container } = render(SettingAct, { session: on.session, step: job.view('snap').step });
    const counted = () => on.session.state.readings.map((r) => !r.setting!.earlier);
    return { ...on, container, counted };
  };

  it('is asked where a reading lies apart, and not before', () => {
    expect(plain(heard('11.0a', '11.0a').container)).not.toContain('lies apart');
    expect(plain(heard('11.0a', '11.0a', '4.0a').container)).toContain(
      '4.0a lies apart from what was read before. Was the flange turned in between?'
    );
  });
  it('turned: what was read before counts no more', async () => {
    const on = heard('11.0a', '11.0a', '4.0a');
    await fireEvent.click(button(on.container, /^It was turned/));
    await tick();
    expect(on.counted()).toEqual([false, false, true]);
    expect(plain(on.container)).not.toContain('lies apart');
  });
  it('not turned: it repeats the others and counts with them', async () => {
    const on = heard('11.0a', '11.0a', '4.0a');
    await fireEvent.click(button(on.container, /^It was not/));
    expect(on.counted()).toEqual([true, true, true]);
  });
  it('said before the next is read: nothing of what stands counts until then', async () => {
    const on = heard('11.0a', '11.0a');
    await fireEvent.click(button(on.container, /^The flange was turned/));
    expect(on.counted()).toEqual([false, false]);
  });
});
