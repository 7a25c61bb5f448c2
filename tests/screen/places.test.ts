// @vitest-environment jsdom
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cleanup, fireEvent, render, waitFor } from '@testing-library/svelte';
import { runSheets } from '$core/sheets/index.ts';
import type { RunSheet, Step } from '$core/job/run-sheet.ts';
import { drawingOf } from '$lib/ui/instruments/places/places.ts';
import { stations } from '$lib/ui/instruments/engine/stations.ts';
import StatePanel from '$lib/ui/job-view/StatePanel.svelte';
import WorkSurface from '$lib/ui/job-view/WorkSurface.svelte';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';
import { away, button, plain, press, screen, surface, withGeometry } from './support.ts';

beforeEach(() => {
  away();
  withGeometry();
});
afterEach(cleanup);

const steps: [sheet: RunSheet, step: Step][] = runSheets.flatMap((s) => s.steps.map((x) => [s, x] as [RunSheet, Step]));
const asked = (s: Step) => s.choices.flatMap((c) => [c.part, ...c.options.map((o) => o.part)]);
const label = (page: Element, of: RegExp) =>
  [...page.querySelectorAll('svg')].map((s) => s.getAttribute('aria-label') ?? '').find((l) => of.test(l));

describe('the parts that steps touch', () => {
  it('each have a name on the sheet, and a point in the drawing of their place', () => {
    const wrong = steps.flatMap(([sheet, step]) =>
      [...Object.keys(step.handles), ...asked(step).filter((p) => p !== undefined)].flatMap((full) => {
        const [place, part] = full.split('.') as [string, string];
        const at = place === 'engine' ? stations.find((s) => s.id === part) : drawingOf(place)?.at[part];
        return at && sheet.words.parts[full] ? [] : [`${sheet.id} ${step.id}: ${full}`];
      })
    );
    expect(wrong).toEqual([]);
  });
  it('are all of one place, and what is asked of a part is asked where its place is drawn', () => {
    const places = (parts: readonly string[]) => new Set(parts.map((p) => p.split('.')[0]));
    for (const [sheet, step] of steps) {
      const mine = places(Object.keys(step.handles));
      expect(mine.size, `${sheet.id} ${step.id}`).toBeLessThanOrEqual(1);
      const drawn = step.surface === 'parts' ? [...mine] : [];
      if (step.surface === 'parts')
        expect([...places(asked(step).filter((p) => p !== undefined))].every((p) => drawn.includes(p))).toBe(true);
    }
  });
  it.each(runSheets.map((s) => s.id))('no plain step of %s is an empty page', async (id) => {
    const sheet = runSheets.find((s) => s.id === id)!;
    for (const step of sheet.steps.filter((s) => s.surface === 'plain' || s.surface === 'parts')) {
      const on = await surface(new PlayedJob(engineWith(SHEET), id), step.id);
      expect(on.page.querySelector('svg.drawing'), step.title).not.toBeNull();
      cleanup();
    }
  });
});

describe('a place with its parts', () => {
  it('says what is done to each, and names no other', async () => {
    const on = await surface(new PlayedJob(), 'clamp-ready');
    expect(label(on.page, /Distributor, cut open/)).toMatch(/\. clamp bolt: started; clamp: slid back$/);
    expect(on.text()).toContain('slid back');
    expect(on.text()).not.toContain('rotor');
  });
  it('draws what only some steps have, and leaves it out elsewhere', async () => {
    const lines = async (step: string) => {
      const on = await surface(new PlayedJob(engineWith(SHEET), 'shaft-in-place'), step);
      const n = on.page.querySelectorAll('svg path.thin').length;
      cleanup();
      return n;
    };
    expect(await lines('rod')).toBe((await lines('spring')) + 1);
  });
  it('too narrow for names beside it numbers the parts and names them below', async () => {
    class Narrow {
      constructor(private readonly told: () => void) {}
      observe(e: Element) {
        Object.defineProperty(e, 'clientWidth', { value: 350 });
        this.told();
      }
      disconnect() {}
    }
    vi.stubGlobal('ResizeObserver', Narrow);
    const on = await surface(new PlayedJob(), 'clamp-ready');
    vi.unstubAllGlobals();
    expect(on.page.querySelectorAll('text.deed').length).toBe(0);
    expect([...on.page.querySelectorAll('svg text.name')].map((t) => t.textContent!.trim())).toEqual(['1', '2']);
    expect([...on.page.querySelectorAll('ol li')].map(plain)).toEqual(['clamp bolt: started', 'clamp: slid back']);
  });
  it('shows a part above and below the ones that are touched no larger than it helps', async () => {
    const whole = await surface(new PlayedJob(engineWith(SHEET), 'fit-from-scratch'), 'bench');
    const seen = (page: Element) => page.querySelector('svg')!.getAttribute('viewBox')!.split(' ').map(Number);
    const all = seen(whole.page)[3]!;
    cleanup();
    const detail = await surface(new PlayedJob(engineWith(SHEET), 'teardown'), 'capsule');
    expect(seen(detail.page)[3]!).toBeLessThan(all);
    const y = seen(detail.page)[1]!;
    const words = [...detail.page.querySelectorAll('text.name')].map((t) => Number(t.getAttribute('y')));
    expect(words.every((t) => t > y && t < y + seen(detail.page)[3]!)).toBe(true);
  });
});

async function work(job: PlayedJob, step: string) {
  const on = screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
  on.at(step);
  const nothing = () => {};
  const { container: page } = render(WorkSurface, {
    session: on.session,
    view: on.view,
    line: on.line,
    prefs: { theme: 'light', length: 'mm', view: 'front', zone: 'UTC' } as const,
    ondone: nothing,
    onask: nothing,
    onundo: nothing,
    onagain: nothing
  });
  const part = (name: RegExp) =>
    [...page.querySelectorAll<SVGElement>('svg [role=button]')].find((p) => name.test(p.getAttribute('aria-label')!))!;
  await waitFor(
    () => {
      expect(page.querySelector('svg [role=button]')).not.toBeNull();
      expect(page.querySelector('[id^=asks-]')).not.toBeNull();
    },
    { timeout: 15_000 }
  );
  return { ...on, page, part };
}
const teardown = () => new PlayedJob(engineWith(SHEET), 'teardown');

describe('a finding', () => {
  it('that is longer than the column beside the drawing is written in lines, whole', async () => {
    const job = teardown();
    job.say({ kind: 'choose', school: 'cap-is', option: 'burnt-side' });
    const on = await surface(job, 'secondary');
    const lines = [...on.page.querySelectorAll('text.deed.hit')].map((t) => t.textContent!.trim());
    expect(lines.join(' ')).toBe('burnt on one side of its terminals');
    expect(Math.max(...lines.map((l) => l.length))).toBeLessThan(28);
    const ys = [...on.page.querySelectorAll('text.deed.hit')].map((t) => Number(t.getAttribute('y')));
    expect(new Set(ys).size).toBe(lines.length);
  });
  it('is put down by touching the place where it was seen, and again elsewhere when it was wrong', async () => {
    const on = await work(teardown(), 'pattern');
    await fireEvent.click(on.part(/^low/));
    expect(on.session.state.replayed.chosen.get('wear-place')).toBe('low');
    expect(on.part(/^low/).getAttribute('aria-pressed')).toBe('true');
    expect(plain(button(on.page, 'low'))).toBe('low');
    expect(button(on.page, 'low').getAttribute('aria-pressed')).toBe('true');
    await press(on.part(/^over an edge/), 'Enter');
    expect(on.session.state.replayed.chosen.get('wear-place')).toBe('edge');
    expect(on.part(/^low/).getAttribute('aria-pressed')).toBe('false');
  });
  it('of a part with several answers leads to them, also once they are folded away', async () => {
    const on = await work(teardown(), 'secondary');
    await fireEvent.click(on.part(/^rotor/));
    expect(document.activeElement!.closest('[role=group]')!.getAttribute('aria-labelledby')).toBe('asks-rotor-is');
    for (const [q, option] of [
      ['cap-is', 'cracked'],
      ['rotor-is', 'sound'],
      ['leads-are', 'sound']
    ] as const)
      on.session.say({ kind: 'choose', school: q, option });
    await tick();
    expect(on.page.querySelector('details')!.open).toBe(false);
    expect(label(on.page, /Distributor, cut open/)).toContain('cap: cracked or tracked');
    await press(on.part(/^cap/), ' ');
    await tick();
    expect(document.activeElement!.closest('details')!.open).toBe(true);
    expect(plain(document.activeElement!)).toBe('cracked or tracked');
  });
});

describe('beside the work', () => {
  const panel = async (job: PlayedJob) => {
    const on = screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
    const { container: page } = render(StatePanel, {
      session: on.session,
      view: on.view,
      prefs: { theme: 'light', length: 'mm', view: 'front', zone: 'UTC' } as const,
      onview: () => {},
      onask: () => {}
    });
    await waitFor(() => expect(page.querySelector('aside svg.drawing')).not.toBeNull(), { timeout: 15_000 });
    return { ...on, page };
  };
  it('a distributor that is looked at shows part by part what was found and what that speaks for', async () => {
    const job = teardown();
    const before = await panel(job);
    expect(plain(before.page)).toContain('None of 9 parts looked at yet');
    cleanup();
    job.say({ kind: 'choose', school: 'cap-is', option: 'cracked' });
    job.say({ kind: 'choose', school: 'rotor-is', option: 'sound' });
    const after = await panel(job);
    const rows = [...after.page.querySelectorAll('aside li')].map(plain);
    expect(plain(after.page)).toContain('2 of 9 parts looked at');
    expect(rows).toContain('Cap: cracked or tracked × replace');
    expect(rows).toContain('Rotor: sound ✓ keep');
    expect(rows.length).toBe(2);
  });
  it('no sheet leaves the room beside the work empty', async () => {
    for (const { id } of runSheets) {
      const on = await panel(new PlayedJob(engineWith(SHEET), id));
      expect(on.page.querySelectorAll('aside svg.drawing:not([aria-hidden])').length, id).toBe(1);
      cleanup();
    }
  });
  it('what the step shows in the middle is not shown a second time', async () => {
    const bench = new PlayedJob(engineWith(SHEET), 'pump-bench');
    const on = await panel(bench);
    const drawn = () => label(on.page, /Elements round the cam/) ?? label(on.page, /Injection pump/);
    expect(drawn()).toContain('Elements round the cam');
    on.at('spacing');
    await tick();
    expect(drawn()).toContain('Injection pump');
    cleanup();
    const gear = await panel(new PlayedJob(engineWith(SHEET), 'regear'));
    expect(label(gear.page, /The drive in section/)).toBeDefined();
    gear.at('bottom');
    await tick();
    expect(label(gear.page, /The drive in section/)).toBeUndefined();
    expect(label(gear.page, /Distributor, cut open/)).toBeDefined();
    cleanup();
    const received = await panel(teardown());
    received.at('decide');
    await tick();
    expect(received.page.querySelectorAll('aside li').length).toBe(0);
  });
  it('a gear that is not measured yet is drawn as such drives stand, and says so', async () => {
    const on = await panel(new PlayedJob(engineWith(SHEET), 'regear'));
    expect(plain(on.page)).toContain('Nothing measured yet: drawn as such a drive stands, not as this one.');
  });
});
