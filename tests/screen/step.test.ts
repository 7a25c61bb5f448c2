// @vitest-environment jsdom
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cleanup, fireEvent, render, waitFor } from '@testing-library/svelte';
import ReadingLineField from '$lib/ui/job-view/ReadingLine.svelte';
import Spine from '$lib/ui/job-view/Spine.svelte';
import StatePanel from '$lib/ui/job-view/StatePanel.svelte';
import WorkSurface from '$lib/ui/job-view/WorkSurface.svelte';
import { notSettled, type JobEvent, type StepView } from '$core/job/index.ts';
import { runSheets } from '$core/sheets/index.ts';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';
import { DRIVE, measured, packed, planned } from '../support/drive-jobs.ts';
import { away, button, plain, press, screen, withGeometry } from './support.ts';

/** One step of a job as the technician has it: what holds it, what it asks, what it says, what the line takes. */
beforeEach(() => {
  away();
  withGeometry();
  Object.assign(Element.prototype, { scrollIntoView: () => {}, hasPointerCapture: () => true });
});
afterEach(cleanup);

const PREFS = { theme: 'light', length: 'mm', view: 'front', zone: 'UTC' } as const;

/** The drawing is there; on a busy machine its part may take its time. */
const fetched = (page: Element) =>
  waitFor(() => expect(page.querySelector('.surface')!.textContent).not.toContain('Loading …'), { timeout: 15_000 });

async function work(job: PlayedJob, step: string | null) {
  const on = screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
  if (step) on.at(step);
  const told = { done: vi.fn(), ask: vi.fn(), undo: vi.fn() };
  const { container: page } = render(WorkSurface, {
    session: on.session,
    view: on.view,
    line: on.line,
    prefs: PREFS,
    ondone: told.done,
    onask: told.ask,
    onundo: told.undo,
    onagain: () => {}
  });
  await fetched(page);
  // what a step waits for stands at the top and is fetched when it is shown
  await waitFor(() => expect(plain(page)).not.toContain('Loading …'), { timeout: 15_000 });
  return { ...on, page, told, text: () => plain(page) };
}

describe.each(runSheets.map((s) => s.id))('the sheet %s', (id) => {
  it(
    'is leafed through as fast as a key repeats, each drawing with its own step alone',
    { timeout: 40_000 },
    async () => {
      const on = await work(new PlayedJob(engineWith(SHEET), id), null);
      const failed = vi.fn();
      window.addEventListener('error', failed);
      process.on('unhandledRejection', failed);
      try {
        const steps = on.session.sheet.steps.map((s) => s.id);
        for (const step of [...steps, ...steps.toReversed()]) {
          await fetched(on.page);
          on.at(step);
          await tick();
          expect(on.page.querySelector('#step-in-hand')!.textContent).toContain(on.view.selected.step.title);
        }
      } finally {
        window.removeEventListener('error', failed);
        process.off('unhandledRejection', failed);
      }
      expect(failed).not.toHaveBeenCalled();
    }
  );
});

/** A step that was passed over in a log of before, past what admission asks today. */
const passedOver = (seq: number, step: string): JobEvent => ({
  kind: 'skip',
  step,
  reason: 'done on another day',
  id: step,
  seq,
  at: '2026-01-01T00:00:00.000Z',
  by: { id: 'ines', name: 'Ines Farrow' }
});

describe('a step in view', () => {
  it('says its phase, its finding as a headline and why it is done; cautions run in, with whom they defer to', async () => {
    const on = await work(new PlayedJob(engineWith(SHEET)), 'safe');
    expect(on.page.querySelector('.phase')!.textContent).toContain('·');
    expect(on.page.querySelector('h1')!.textContent!.length).toBeGreaterThan(10);
    expect(on.text()).toMatch(/Defers to [a-z]/);
  });
  it('that is held says what must come first, and leads there', async () => {
    const on = await work(measured(), 'seal');
    expect(on.text()).toContain('Held. Put it right first:');
    const to = button(on.page, /^to “/);
    await fireEvent.click(to);
    expect(on.view.selected.step.id).not.toBe('seal');
  });
  it('held in hand says at length how it is put right, and in one line where one looks ahead', async () => {
    const ahead = await work(new PlayedJob(engineWith(SHEET)), 'start');
    const folded = ahead.page.querySelector<HTMLDetailsElement>('.caution details')!;
    expect(folded.open).toBe(false);
    const { on } = ahead.session.sheet.words.flags[ahead.view.selected.missing[0]!]!;
    expect(plain(folded.querySelector('summary')!)).toMatch(new RegExp(`^Held\\. Put it right first: ${on}`));
    cleanup();
    // everything before it passed over: now it is the step in hand
    const job = new PlayedJob(engineWith(SHEET));
    const { steps } = ahead.session.sheet;
    for (const { id } of steps.slice(
      0,
      steps.findIndex((s) => s.id === 'start')
    ))
      job.log.push(passedOver(job.log.length + 1, id));
    const inHand = await work(job, null);
    expect(inHand.view.selected.step.id).toBe('start');
    expect(inHand.text()).toContain('Held. Put it right first:');
    expect(inHand.page.querySelector('.caution details')).toBeNull();
    expect(inHand.page.querySelectorAll('.caution .held li').length).toBe(
      inHand.view.selected.missing.length + inHand.view.selected.stillOn.length
    );
  });
  it('asks one thing at a time: whether it is needed first, and only then what it is done with', async () => {
    const on = await work(new PlayedJob(engineWith(SHEET), 'shaft-in-place'), 'slot-seen');
    await waitFor(() => expect(on.page.querySelector('.question')).not.toBeNull());
    expect(on.page.querySelector('form')).toBeNull();
    expect(plain(on.page.querySelector('h1')!)).not.toMatch(/^Enter/);
    await fireEvent.click(on.page.querySelectorAll<HTMLButtonElement>('.question button')[0]!);
    await waitFor(() => expect(on.page.querySelector('form')).not.toBeNull());
    expect(on.page.querySelector('.question')).toBeNull();
    expect(plain(on.page.querySelector('h1')!)).toMatch(/^Enter/);
  });
  it('says how many values it lacks where they are several, and names the one', async () => {
    const headline = async (...known: string[]) => {
      cleanup();
      const values = Object.fromEntries(Object.entries(SHEET).filter(([k]) => known.includes(k)));
      const on = await work(new PlayedJob(engineWith(values), 'fit-from-scratch'), 'intake');
      return plain(on.page.querySelector('h1')!);
    };
    const asked = new PlayedJob(engineWith(SHEET)).state.steps[0]!.step.values;
    expect(asked.length).toBeGreaterThan(2);
    expect(await headline()).toBe(`Enter ${asked.length} values of the data sheet`);
    expect(await headline(...asked.slice(2))).toBe('Enter 2 values of the data sheet');
    expect(await headline(...asked.slice(1))).toMatch(/^Enter, with its source: [^0-9]+$/);
  });
  it('held by what can be said so is freed by saying it, and the log keeps who did', async () => {
    const on = await work(new PlayedJob(engineWith(SHEET)), 'tdc');
    const held = on.view.selected.missing.length;
    expect(held).toBeGreaterThan(0);
    await fireEvent.click(button(on.page, /^seen:/));
    const { flag } = on.told.ask.mock.calls[0]![0] as { flag: string };
    on.session.say({ kind: 'say', flag, on: true, seen: 'all four on the tray' });
    expect(on.view.selected.missing.length).toBe(held - 1);
    expect(on.session.all.at(-1)).toMatchObject({ kind: 'say', on: true, by: { name: 'Ines Farrow' } });
  });
  it('never offers to go on with the gauge washer in, but does where only judgement is asked', async () => {
    const hard = await work(measured(), 'seal');
    const offers = [...hard.page.querySelectorAll('button')].map(plain).filter((t) => t.startsWith('Go on without'));
    expect(offers.join()).not.toContain('washer');
    cleanup();
    const soft = await work(new PlayedJob(engineWith(SHEET)), 'tdc');
    await fireEvent.click(button(soft.page, /^Go on without plugs out, and say why/));
    expect(soft.told.ask).toHaveBeenCalledWith({
      for: 'override',
      step: soft.view.selected.step,
      flags: ['plugs-out']
    });
  });
  it('asks for what the data sheet lacks where it is needed', async () => {
    const { gearFaceMm: _, ...less } = DRIVE;
    const on = await work(new PlayedJob(engineWith(less), 'regear'), 'contact');
    await waitFor(() => expect(on.text()).toContain('Drive gear, width of its teeth'));
    expect(on.page.querySelector('svg[role=group]')).toBeNull();
  });
  it('shows a refusal on the page with a way out, and it goes when it is understood', async () => {
    const on = await work(new PlayedJob(engineWith(SHEET), 'pedestal'), 'washer');
    on.session.say({ kind: 'done', step: 'washer' });
    await tick();
    const alert = on.page.querySelector('[role=alert]')!;
    expect(plain(alert).length).toBeGreaterThan(20);
    await fireEvent.click(button(on.page, /^Understood/));
    expect(on.page.querySelector('[role=alert]')).toBeNull();
  });
  it('offers to go on with a reason only where a reason goes on', async () => {
    const refused = async (job: PlayedJob, step: string) => {
      const on = await work(job, step);
      on.session.say({ kind: 'done', step });
      await tick();
      const offers = [...on.page.querySelectorAll('[role=alert] button')].map(plain);
      const says = plain(on.page.querySelector('[role=alert]')!);
      cleanup();
      return { offers, says };
    };
    const REASON = 'Go on all the same, and say why';
    const worn = new PlayedJob(engineWith(SHEET), 'pedestal');
    for (const seen of ['teeth', 'faces', 'tang', 'bush'])
      worn.say({ kind: 'choose', school: `seen-${seen}`, option: seen === 'teeth' ? 'worn' : 'sound' });
    const gone = await refused(worn, 'inspect');
    expect(gone.says).toContain('teeth worn: a worn gear wears its partner; take a new one, or say why it goes back');
    expect(gone.offers).toContain(REASON);
    const on = await work(worn, 'inspect');
    on.session.say({ kind: 'done', step: 'inspect' });
    await tick();
    await fireEvent.click(button(on.page, new RegExp(REASON)));
    const { step } = on.view.selected;
    expect(on.told.ask).toHaveBeenCalledWith({
      for: 'override',
      step,
      flags: [],
      open: notSettled(worn.state, worn.view('inspect'))
    });
    cleanup();
    const short = new PlayedJob(engineWith(SHEET), 'regear');
    short.read('cover', 'small-parts-out', '9');
    short.read('off', 'small-parts-back', '8');
    const never = await refused(short, 'off');
    expect(never.says).toContain('no reason goes on without it. 1 of 9 missing: never turn the engine');
    expect(never.offers).toEqual(['Understood']);
    // what it would make true is never overruled, so nothing is offered that would be refused
    const rings = new PlayedJob(engineWith(SHEET), 'open-case');
    rings.read('inventory', 'rings-drawn', '2');
    rings.read('inventory', 'ring-count', '2');
    const unread = await refused(rings, 'inventory');
    expect(unread.says).toContain('a ring, thickness: 2 of 2 not read yet');
    expect(unread.offers).toEqual(['Understood']);
  });
  it('is opened again after it was done, and says who did it', async () => {
    const on = await work(packed(), 'packing');
    expect(on.page.querySelector('.phase')!.textContent).toContain('done by Ines Farrow');
    expect([...on.page.querySelectorAll('button')].map(plain)).not.toContain('Done D');
    await fireEvent.click(button(on.page, /^Open again/));
    expect(on.view.selected.state).not.toBe('done');
  });
  it('says when the server does not answer, and that nothing typed is lost', async () => {
    const on = await work(new PlayedJob(engineWith(SHEET)), 'safe');
    on.session.outbox.wake();
    on.session.say({ kind: 'remark', step: 'safe', text: 'starter disconnected' });
    await waitFor(() => expect(on.text()).toContain('The server or its database does not answer.'));
    expect(on.text()).toContain('stays here as unsent');
    expect(on.text()).toContain('“starter disconnected”');
    on.session.outbox.sleep();
  });
  it('asks a plain question where the way parts, and follows the answer', async () => {
    const job = planned().done('tooth-plan', 'lead', 'in');
    const on = await work(job, 'drop');
    const question = on.page.querySelector('.question');
    expect(question).not.toBeNull();
    await fireEvent.click(question!.querySelector('button')!);
    expect(on.page.querySelector('.question')).toBeNull();
    expect(on.session.all.at(-1)).toMatchObject({ kind: 'fact', value: true });
  });
  it('takes keys and buttons to the same place', async () => {
    const on = await work(measured(), 'packing');
    await fireEvent.click(button(on.page, /^Skip/));
    expect(on.told.ask).toHaveBeenLastCalledWith(expect.objectContaining({ for: 'skip' }));
    await fireEvent.click(button(on.page, /^Remark/));
    expect(on.told.ask).toHaveBeenLastCalledWith(expect.objectContaining({ for: 'remark' }));
    await fireEvent.click(button(on.page, /^Done/));
    expect(on.told.done).toHaveBeenCalledOnce();
  });
});

describe('where technicians differ', () => {
  it('the ways stand with what each gives and costs; the choice is on the job, and the finding follows', async () => {
    const on = await work(measured(), 'packing');
    const school = () => on.page.querySelector('details[aria-label="Where in the limits the float is aimed"]')!;
    await waitFor(() => expect(school()).not.toBeNull());
    expect(plain(school())).toContain('proposed: ');
    const loose = [...school().querySelectorAll('button')].find((b) => plain(b).startsWith('the loose end'))!;
    await fireEvent.click(loose);
    expect(loose.getAttribute('aria-pressed')).toBe('true');
    expect(plain(school())).toContain('chosen on this job');
  });
});

describe('the run sheet at the side', () => {
  async function side(job: PlayedJob, selected: string) {
    const onselect = vi.fn();
    const { steps, current } = job.state;
    const { container: page } = render(Spine, {
      steps,
      flags: job.sheet.words.flags,
      current,
      selected,
      note: () => '',
      onselect
    });
    await tick();
    const phases = () => [...page.querySelectorAll('h2 button')];
    return { page, onselect, phases };
  }
  it('folds phases that are not at hand to a line with their count, and opens them on a press', async () => {
    const on = await side(packed(), 'depth');
    const [first] = on.phases();
    expect(first!.getAttribute('aria-expanded')).toBe('false');
    expect(plain(first!)).toMatch(/(\d+) of \1$/);
    const before = on.page.querySelectorAll('li').length;
    await fireEvent.click(first!);
    expect(on.page.querySelectorAll('li').length).toBeGreaterThan(before);
  });
  it('says in words what each step is, not only by its sign', async () => {
    const on = await side(measured(), 'packing');
    const now = on.page.querySelector('[aria-current=step]')!;
    expect(plain(now)).toContain('open');
    const done = [...on.page.querySelectorAll('li.done button')];
    expect(done.length).toBeGreaterThan(0);
    for (const d of done) expect(plain(d)).toContain(', done');
    await fireEvent.click(done[0]!);
    expect(on.onselect).toHaveBeenCalledOnce();
  });
  it('stays at the step that is looked at when the dial is turned: the next figure is not one of the wheel', () => {
    const job = new PlayedJob().toStroke().done('ref');
    const on = screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
    const { id } = on.view.selected.step;
    expect(id).not.toBe('ref');
    const slot = on.line.aim?.as;
    on.view.turned(120, 120);
    // the crank stands at the reference no more, and its step is to be repeated
    expect(on.session.state.steps[on.session.state.current!]!.step.id).toBe('ref');
    expect(on.view.selected.step.id).toBe(id);
    expect(on.line.aim?.as).toBe(slot);
  });
  it('brings another step into view, and is not laid out by what is written at the one in hand', async () => {
    const job = measured();
    const on = screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
    const scrolled = vi.fn();
    Object.assign(Element.prototype, { scrollIntoView: scrolled });
    const { container: page } = render(Spine, {
      get steps() {
        return on.session.state.steps;
      },
      get selected() {
        return on.view.selected.step.id;
      },
      flags: job.sheet.words.flags,
      current: on.session.state.current,
      note: (v: StepView) => `${on.session.all.length} at ${v.step.id}`,
      onselect: () => {}
    });
    await tick();
    expect(scrolled).toHaveBeenCalledOnce();
    const { id } = on.view.selected.step;
    on.session.say({ kind: 'remark', step: id, text: 'a burr, stoned off' });
    await tick();
    expect(plain(page)).toContain(`${job.log.length + 1} at ${id}`);
    expect(scrolled).toHaveBeenCalledOnce();
    on.view.move(-1);
    await tick();
    expect(scrolled).toHaveBeenCalledTimes(2);
    expect(scrolled.mock.contexts.at(-1)).toBe(page.querySelector('[aria-current=step]'));
  });
  it('says by what a step is held', async () => {
    const job = planned();
    const on = await side(job, job.current!);
    const held = on.page.querySelector('li.blocked .hint');
    expect(plain(held!)).toMatch(/^held: /);
  });
});

describe('where the engine is', () => {
  function panel(job: PlayedJob, step?: string) {
    const on = screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
    if (step) on.at(step);
    const onview = vi.fn();
    const { container: page } = render(StatePanel, {
      session: on.session,
      view: on.view,
      prefs: PREFS,
      onview,
      onask: vi.fn()
    });
    return { ...on, page, onview, dial: page.querySelector('[role=slider]')! };
  }
  it('says that the crank is not placed, and the dial stands still until it is', async () => {
    const on = panel(new PlayedJob(engineWith(SHEET)));
    expect(plain(on.page)).toContain('crank not placed');
    expect(on.dial.getAttribute('aria-disabled')).toBe('true');
    await press(on.dial, 'ArrowRight');
    expect(on.session.all).toEqual([]);
  });
  it('raises a bar where the count lacks a part, and offers no word that would not lower it', async () => {
    const bar = (on: { page: Element }) =>
      [...on.page.querySelectorAll('details')].find((d) => plain(d).startsWith('A part is missing'))!;
    const opened = async (job: PlayedJob) => {
      const on = panel(job);
      const d = bar(on);
      d.open = true;
      await fireEvent(d, new Event('toggle'));
      return { text: plain(d), buttons: [...d.querySelectorAll('button')].map(plain) };
    };
    const short = new PlayedJob(engineWith(SHEET), 'regear');
    short.read('cover', 'small-parts-out', '9');
    expect(bar(panel(short))).toBeUndefined();
    short.read('off', 'small-parts-back', '8');
    const counted = await opened(short);
    expect(counted.text).toContain('Never turn or start the engine while a part is missing.');
    expect(counted.text).toContain('Put it right first: the count closes');
    expect(counted.buttons).toEqual(['It happened']);
    cleanup();
    const said = new PlayedJob(engineWith(SHEET), 'regear');
    said.say({ kind: 'say', flag: 'part-missing', on: true });
    expect((await opened(said)).buttons).toEqual(['Seen: every part found and counted', 'It happened']);
  });
  it('turns the crank on the dial by keys, a degree or ten, and logs it when the hand lets go', async () => {
    const on = panel(new PlayedJob(engineWith(SHEET)).toStroke(), 'ref');
    const from = Number(on.dial.getAttribute('aria-valuenow'));
    await press(on.dial, 'ArrowRight', { shiftKey: true });
    await press(on.dial, 'ArrowRight');
    expect(on.session.all.filter((e) => e.kind === 'crank' && e.seq === 0)).toEqual([]);
    await press(on.dial, 'Enter');
    const said = on.session.all.at(-1)!;
    expect(said).toMatchObject({ kind: 'crank', move: 'forward' });
    expect((said as { crankDeg: number }).crankDeg).toBeCloseTo((from + 11) % 720, 6);
    expect(plain(on.page)).toContain('as turned on the dial');
  });
  it('lets go of a turn with Escape: the crank is where it was', async () => {
    const on = panel(new PlayedJob(engineWith(SHEET)).toStroke(), 'ref');
    const said = on.session.all.length;
    const from = on.dial.getAttribute('aria-valuenow');
    await press(on.dial, 'ArrowLeft', { shiftKey: true });
    await press(on.dial, 'Escape');
    await press(on.dial, 'Enter');
    expect(on.session.all.length).toBe(said);
    expect(on.dial.getAttribute('aria-valuenow')).toBe(from);
  });
  it('warns while the washer is in, and says what to do if it happened', async () => {
    const on = panel(measured());
    for (const bar of on.page.querySelectorAll<HTMLDetailsElement>('details.flag')) {
      bar.open = true;
      await fireEvent(bar, new Event('toggle'));
    }
    const flags = [...on.page.querySelectorAll('.flag')].map(plain);
    expect(flags.some((f) => f.includes('Gauge washer in'))).toBe(true);
    expect(flags.every((f) => f.includes('If it happened:'))).toBe(true);
  });
  it('asks from which end one looks only when it matters which way to turn', async () => {
    const on = panel(new PlayedJob(engineWith(SHEET)).toStroke(), 'ref');
    await fireEvent.click(on.page.querySelector('input[value=rear]')!);
    expect(on.onview).toHaveBeenCalledWith('rear');
  });
  it('lists what was settled with its doubt and verdict', async () => {
    const on = panel(packed());
    expect(plain(on.page)).toContain('0.165 ± 0.020 mm');
    expect(plain(on.page)).toContain('± is two standard uncertainties.');
  });
});

describe('the line at the foot', () => {
  function foot(job: PlayedJob, step: string) {
    const on = screen({ sheet: job.sheetId, engine: job.engine, log: [...job.log] });
    on.at(step);
    const onlogged = vi.fn();
    const { container: page } = render(ReadingLineField, {
      line: on.line,
      session: on.session,
      stepTitle: 'True TDC',
      field: undefined,
      onlogged
    });
    const field = page.querySelector('input')!;
    const means = () => plain(page.querySelector('#meaning')!);
    const type = async (text: string) => {
      await fireEvent.input(field, { target: { value: text } });
    };
    return { ...on, page, field, means, typed: type, onlogged };
  }
  const tdc = () => new PlayedJob(engineWith(SHEET), 'verify-marks');

  it('asks for the next figure, says what it understood, and takes it on Enter', async () => {
    const on = foot(tdc(), 'tdc');
    expect(on.means()).toContain('down from the top');
    await on.typed('70.9 thou');
    expect(on.means()).toContain('70.9 thou (1.801 mm)');
    await press(on.field, 'Enter');
    expect(on.onlogged).toHaveBeenCalledOnce();
    expect(on.readings()).toHaveLength(1);
    expect(on.field.value).toBe('');
  });
  it('keeps what it cannot read, with the reason', async () => {
    const on = foot(tdc(), 'tdc');
    await on.typed('1.8.2');
    expect(on.means()).toContain('a length such as');
    await press(on.field, 'Enter');
    expect(on.onlogged).not.toHaveBeenCalled();
    expect(on.field.value).toBe('1.8.2');
  });
  it('asks once about a figure out of line; Enter keeps it, Escape drops it', async () => {
    const on = foot(tdc(), 'tdc');
    await on.typed('180');
    await press(on.field, 'Enter');
    expect(on.means()).toContain('The stroke is 92.0 mm');
    expect(on.means()).toContain('Enter keeps it, Esc drops it.');
    await press(on.field, 'Escape');
    expect(on.field.value).toBe('');
    expect(on.readings()).toEqual([]);
  });
  it('offers usual reasons for a skip as one press, and never skips without one', async () => {
    const on = foot(tdc(), 'tdc');
    on.line.open({ for: 'skip', step: on.view.selected.step });
    await tick();
    expect(on.means()).toMatch(/^why is “.*” skipped\?/);
    await press(on.field, 'Enter');
    expect(on.session.all).toEqual([]);
    await fireEvent.click(button(on.page, /^done before/));
    await press(on.field, 'Enter');
    expect(on.session.all.at(-1)).toMatchObject({ kind: 'skip', reason: 'done before' });
  });
  it('counts what is unsent while the server is away, and tries again on a press', async () => {
    const on = foot(tdc(), 'tdc');
    on.session.outbox.wake();
    await on.typed('1.8');
    await press(on.field, 'Enter');
    await waitFor(() => expect(button(on.page, /unsent, trying again/)).toBeTruthy());
    expect(plain(button(on.page, /unsent/))).toBe('1 unsent, trying again');
    const tried = vi.fn(() => Promise.reject(new TypeError('fetch failed')));
    vi.stubGlobal('fetch', tried);
    await fireEvent.click(button(on.page, /unsent/));
    expect(tried).toHaveBeenCalledOnce();
    on.session.outbox.sleep();
  });
});
