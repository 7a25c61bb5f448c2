// @vitest-environment jsdom
import { cleanup, fireEvent, render, waitFor } from '@testing-library/svelte';
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { domains, manifests } from '$core/domains/all.ts';
import { jobCard } from '$core/job/card.ts';
import { judgedWith, trendsIn } from '$core/job/history.ts';
import { jobState, settledFigures, words, type JobEvent } from '$core/job/index.ts';
import { looksOpen } from '$core/job/proved.ts';
import { complete } from '$core/sheets/complete.ts';
import { dataSheetFields } from '$core/sheets/data-sheet.ts';
import { JobSession } from '$lib/ui/job/session.svelte.ts';
import { Unsent } from '$lib/ui/unsent/unsent.svelte.ts';
import { JobView } from '$lib/ui/job/view.svelte.ts';
import { ReadingLine } from '$lib/ui/job/line.svelte.ts';
import StatePanel from '$lib/ui/job-view/StatePanel.svelte';
import WorkSurface from '$lib/ui/job-view/WorkSurface.svelte';
import { bellows, bellowsManifest, bellowsSheet } from '../support/bellows/trade.ts';
import { mm } from '../support/played.ts';
import { away, gauges, me } from './support.ts';

const PREFS = { theme: 'light', length: 'mm', view: 'front', zone: 'UTC' } as const;
const allManifests = [...manifests, bellowsManifest];
const sheet = complete(bellowsSheet, [...domains, bellows], allManifests, [
  ...dataSheetFields,
  ...(bellowsManifest.fields ?? [])
]);
const mine = [...domains, bellows].filter((d) => sheet.domains.includes(d.name));
const value = (name: string, mmValue: number) => ({
  name,
  given: `${mmValue} mm`,
  unit: 'mm',
  value: mmValue,
  source: 'works card 9'
});
const engine = {
  id: 'organ',
  name: 'Test organ',
  summary: '',
  values: { bellowsMinMm: value('bellowsMinMm', 6), bellowsMaxMm: value('bellowsMaxMm', 7) }
};

function open(log: JobEvent[] = []) {
  const session = new JobSession(
    { job: { id: '1' }, sheet, domains: mine, engine, log, gauges, stock: [] },
    () => me,
    new Unsent()
  );
  const view = new JobView(session, () => PREFS);
  const line = new ReadingLine(
    session,
    () => view.selected.step,
    () => PREFS
  );
  return { session, view, line };
}
const plain = (x: Element) => (x.textContent ?? '').replace(/\s+/g, ' ').trim();

beforeEach(away);
afterEach(cleanup);

/** All that a step wants seen is as it should be. */
function look(session: JobSession, step: string): void {
  const v = session.state.steps.find((s) => s.step.id === step)!;
  for (const l of looksOpen(session.state, v)) session.say({ kind: 'choose', school: l.id, option: l.options[0]!.id });
}

describe('a trade made up in its own folder', () => {
  it('is worked with its own domain and those it needs, and with no other', () => {
    expect(mine.map((d) => d.name)).toEqual(['engine', 'bellows']);
    expect(jobState(sheet, engine, [], mine).domains.map((d) => d.name)).toEqual(['engine', 'bellows']);
  });

  it('is worked on screen: read, judged, said, watched over by its rule, on the floor, the card and in the history', async () => {
    const { session, view, line } = open();
    expect(words.floorLine(session.state, engine)).toMatchObject({ waits: 'ready' });
    look(session, 'safe');
    expect(session.say({ kind: 'done', step: 'safe' })).toBeNull();
    expect(words.floorLine(session.state, engine).next).toBe('Push the bellows from end to end and read the dial.');
    expect(session.say({ kind: 'done', step: 'travel' })?.code).toBe('readings-missing');
    for (const text of ['6.42', '6.44', '6.43']) {
      line.text = text;
      expect(line.enter()).toBe(true);
    }
    const { container: page } = render(WorkSurface, {
      session,
      view,
      line,
      prefs: PREFS,
      ondone: () => {},
      onask: () => {},
      onundo: () => {},
      onagain: () => {}
    });
    await waitFor(() => expect(plain(page)).not.toContain('Loading'));
    expect(plain(page.querySelector('h1')!)).toMatch(
      /^Bellows travel, end to end: 6\.430 ± 0\.0\d+ mm: in, limits 6\.00 to 7\.00 mm$/
    );
    expect(plain(page)).toContain('Limits: 6.00 to 7.00 mm.');

    expect(session.say({ kind: 'done', step: 'travel' })).toBeNull();
    const panel = render(StatePanel, { session, view, prefs: PREFS, onview: () => {}, onask: () => {} }).container;
    await tick();
    expect(plain(panel)).toContain('Bellows loose: no pressure');
    const bar = panel.querySelector<HTMLDetailsElement>('details.flag')!;
    bar.open = true;
    await fireEvent(bar, new Event('toggle'));
    expect(plain(panel)).toContain('Never open the air.');
    expect(plain(panel)).toContain('6.430 ±');
    expect(session.say({ kind: 'override', step: 'held', flags: ['bellows-loose'], reason: 'in a hurry' })?.code).toBe(
      'never-overrule'
    );
    session.say({ kind: 'done', step: 'held' });
    expect(session.state.interlocks.map((r) => r.id)).not.toContain('BL.1');

    const card = jobCard(session.state, engine, mm);
    expect(card.results).toContainEqual({
      label: 'Bellows travel, end to end',
      value: expect.stringMatching(/^6\.430 ± /),
      verdict: 'in',
      limits: '6.00 to 7.00 mm'
    });
    expect(card.limits.map((l) => [l.field.label, l.value.source])).toEqual([
      ['Bellows travel, least', 'works card 9'],
      ['Bellows travel, most', 'works card 9']
    ]);
    expect(card.readings.map((r) => r.label)).toEqual(Array(3).fill('bellows travel, end to end'));

    const [figure] = settledFigures(session.state);
    const trend = trendsIn(allManifests).find((t) => t.key === figure!.key)!;
    expect([trend.title, trend.text(figure!, mm)]).toEqual([
      'Bellows travel',
      expect.stringMatching(/^6\.430 ± .* mm$/)
    ]);
    expect(judgedWith(allManifests)).toContain('bellows-travel');
  });

  it('says nothing of a figure whose limits the data sheet does not have', () => {
    const { session, line } = open();
    session.engine = { ...engine, values: {} };
    look(session, 'safe');
    session.say({ kind: 'done', step: 'safe' });
    line.text = '6.42';
    line.enter();
    const [figure] = settledFigures(session.state);
    expect(figure).toMatchObject({ value: 6.42, verdict: null });
  });
});
