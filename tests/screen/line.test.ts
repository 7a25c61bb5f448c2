import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Prefs } from '$lib/reader/prefs.ts';
import type { StockItem } from '$core/tray/part-kinds.ts';
import { SHEET } from '../support/played.ts';
import { away, gauges, me, screen as open } from './support.ts';

let prefs: Prefs;
beforeEach(() => {
  prefs = { theme: 'light', length: 'mm', view: 'front', zone: 'UTC' };
  away();
});
const screen = (
  sheet: string,
  values: Record<string, string> = SHEET,
  who: typeof me | null = me,
  stock: StockItem[] = []
) => open({ sheet, values, who, stock, prefs: () => prefs });

describe('a figure typed on the line', () => {
  it('goes to what is read next, in the order of the hand, and says so before Enter', () => {
    const { line, type, at, readings } = screen('verify-marks');
    at('tdc');
    line.text = '1.8';
    expect(line.meaning).toEqual({ ok: true, label: 'dial, down from the top:', text: '1.8 mm' });
    type('1.8');
    line.text = '342,5';
    expect(line.meaning).toEqual({ ok: true, label: 'wheel, before the top, pair 1:', text: '342.5°' });
    expect(type('342,5')).toBe(true);
    type('11.5');
    line.text = '343';
    expect(line.meaning.label).toBe('wheel, before the top, pair 2:');
    expect(readings()).toEqual([
      ['depth', 1.8],
      ['before', 342.5],
      ['after', 11.5]
    ]);
    expect(line.text).toBe('343');
  });
  it('is read with the turns of the dial, and in the unit of whoever reads', () => {
    const { line, type, at, readings } = screen('verify-marks');
    at('tdc');
    type('1r 0.80');
    expect(readings()).toEqual([['depth', 1.8]]);
    prefs = { ...prefs, length: 'in' };
    const inches = screen('verify-marks');
    inches.at('tdc');
    inches.line.text = '0.070';
    expect(inches.line.meaning.text).toContain('0.070');
    inches.type('0.070');
    expect(inches.readings()[0]![1]).toBeCloseTo(1.778, 6);
    expect(line.gauges.map((g) => g.id)).toEqual(['wheel']);
  });
  it('that cannot be read stays on the line with the reason, and nothing is logged', () => {
    const { line, type, at, readings } = screen('verify-marks');
    at('tdc');
    expect(type('12 kPa')).toBe(false);
    expect(line.meaning).toMatchObject({ ok: false, text: expect.stringContaining('kPa') });
    expect(line.text).toBe('12 kPa');
    expect(readings()).toEqual([]);
  });
  it('that is improbable is asked about once; Enter again keeps it, another figure asks anew', () => {
    const { line, type, at, readings } = screen('verify-marks');
    at('tdc');
    expect(type('40')).toBe(false);
    expect(line.question).toContain('more than a third of the stroke');
    line.text = '200';
    expect(line.question).toBeNull();
    expect(type('200')).toBe(false);
    expect(line.question).toContain('the piston does not go 200.0 mm down');
    expect(type('200')).toBe(true);
    expect(readings()).toEqual([['depth', 200]]);
  });
  it.each([
    ['0.38', 'Is it the gap?'],
    ['95', 'From lobe to lobe there are 90°']
  ])('a dwell of %s is doubted on four cylinders', (text, question) => {
    const { line, type, at } = screen('static-timing');
    at('gap');
    line.prefer = 'dwell';
    expect(type(text)).toBe(false);
    expect(line.question).toContain(question);
  });
  it('where no figure is read is kept as a remark of that step', () => {
    const { session, line, type, at } = screen('verify-marks');
    at('safe');
    line.text = 'fan belt frayed';
    expect(line.meaning.label).toContain('kept as a remark');
    type('fan belt frayed');
    expect(session.state.replayed.remarks).toMatchObject([{ step: 'safe', text: 'fan belt frayed' }]);
  });
  it('needs somebody who took it', () => {
    const { session, line, type, at, readings } = screen('verify-marks', SHEET, null);
    at('tdc');
    expect(type('1.8')).toBe(false);
    expect(session.refusal!.code).toBe('nobody-acts');
    expect(readings()).toEqual([]);
    expect(line.text).toBe('1.8');
  });
});

describe('an amendment', () => {
  it('asks for the figure, then for the reason, and strikes the old one through', () => {
    const { session, line, type, at } = screen('verify-marks');
    at('tdc');
    type('1.8');
    type('342.5');
    line.open({ for: 'amend', reading: session.state.readings[1]! }, '342.5');
    expect(line.aim!.as).toBe('before');
    // the figure alone closes nothing
    expect(type('341.5')).toBe(false);
    expect(line.asking.for).toBe('amend-why');
    expect(line.text).toBe('');
    expect(type('misread')).toBe(true);
    expect(line.asking.for).toBe('figure');
    expect(session.state.readings[1]).toMatchObject({
      value: 341.5,
      replaced: [{ text: '342.5', reason: 'misread' }]
    });
  });
  it('is in the unit of the reading that it replaces, and what is shown is what is kept', () => {
    prefs = { ...prefs, length: 'in' };
    const { session, line, type, at } = screen('verify-marks');
    at('tdc');
    type('1.80mm');
    line.open({ for: 'amend', reading: session.state.readings[0]! }, '1.80mm');
    line.text = '1.7';
    expect(line.meaning).toMatchObject({ ok: true, text: '1.7 mm (0.06693 in)' });
    type('1.7');
    type('misread');
    expect(session.state.readings[0]).toMatchObject({ value: 1.7, unit: 'mm' });
  });
  it('of a reading taken by another way than the one now chosen goes to that reading', () => {
    const { session, line, type, at } = screen('verify-marks');
    at('tdc');
    type('1.8');
    type('342.5');
    session.say({ kind: 'choose', school: 'tdc', option: 'stop' });
    line.open({ for: 'amend', reading: session.state.readings[0]! }, '1.8');
    line.text = '1.9';
    expect(line.meaning.text).toBe('1.9 mm');
    type('1.9');
    expect(type('misread')).toBe(true);
    expect(session.state.readings[0]).toMatchObject({ slot: 'depth', value: 1.9 });
  });
  it('puts right with which gauge it was read, and reads the next one with the gauge in hand', () => {
    const fine = { ...gauges.find((g) => g.kind === 'dial')!, id: 'fine', name: 'Dial, fine', accuracy: 0.002 };
    const { session, line, type, at } = open({ sheet: 'verify-marks', gauges: [...gauges, fine], prefs: () => prefs });
    at('tdc');
    line.chooseGauge('dial', 'dial');
    type('1.8');
    line.open({ for: 'amend', reading: session.state.readings[0]! }, '1.8');
    expect(line.gauge!.id).toBe('dial');
    line.chooseGauge('dial', 'fine');
    expect(line.gauge!.id).toBe('fine');
    type('1.8');
    type('read with another gauge');
    expect(session.state.readings[0]).toMatchObject({
      value: 1.8,
      gauge: { id: 'fine', accuracy: 0.002 },
      replaced: [{ text: '1.8', gauge: 'Dial' }]
    });
    expect(line.chosenGauge).toEqual({ dial: 'dial' });
    // amended once more, its gauge is the one it has by now
    line.open({ for: 'amend', reading: session.state.readings[0]! }, '1.8');
    expect(line.gauge!.id).toBe('fine');
    type('1.9');
    type('misread');
    expect(session.state.readings[0]).toMatchObject({ value: 1.9, gauge: { id: 'fine' } });
    expect(session.state.readings[0]!.replaced[1]).toEqual(expect.not.objectContaining({ gauge: expect.anything() }));
  });
  it('to something that cannot be read goes no further', () => {
    const { session, line, type, at } = screen('verify-marks');
    at('tdc');
    type('1.8');
    line.open({ for: 'amend', reading: session.state.readings[0]! });
    expect(type('long')).toBe(false);
    expect(line.asking.for).toBe('amend');
    line.drop();
    expect(session.state.readings[0]).toMatchObject({ value: 1.8, replaced: [] });
  });
});

describe('skipping, overruling, undoing', () => {
  it('take a reason, and an undo takes back the last of my own', () => {
    const { session, view, line, type } = screen('verify-marks');
    line.open({ for: 'skip', step: session.sheet.steps[0]! });
    expect(type('')).toBe(false);
    expect(type('done yesterday')).toBe(true);
    expect(session.state.steps[0]).toMatchObject({ state: 'skipped', mark: { reason: 'done yesterday' } });
    expect(view.selected.step.id).toBe(session.sheet.steps[1]!.id);
    const undo = session.undoable!;
    expect(undo.kind).toBe('skip');
    session.say({ kind: 'undo', undoes: undo.id });
    expect(session.state.steps[0]!.state).not.toBe('skipped');
    expect(session.undoable).toBeNull();
  });
  it('that the core does not admit are refused in place and not sent', () => {
    const { session, line, type } = screen('verify-marks');
    const step = session.sheet.steps.find((s) => s.id === 'wheel')!;
    line.open({ for: 'override', step, flags: ['battery-isolated'] });
    expect(type('in a hurry')).toBe(false);
    expect(session.refusal!.message.length).toBeGreaterThan(10);
    expect(session.outbox.waiting).toEqual([]);
    expect(line.asking.for).toBe('override');
  });
});

describe('the step in view', () => {
  it('follows the work until the hand picks one, and stops at both ends', () => {
    const { session, view } = screen('verify-marks');
    expect(view.selected.step.id).toBe(session.sheet.steps[0]!.id);
    view.move(-1);
    expect(view.selected.step.id).toBe(session.sheet.steps[0]!.id);
    for (let k = 0; k < 50; k++) view.move(1);
    expect(view.selected.step.id).toBe('close');
  });
  it('lets words follow a hand on the dial ten times a second, what is drawn thirty times, and both at once when it lets go', () => {
    vi.useFakeTimers();
    const { session, view } = screen('fit-from-scratch');
    session.say({ kind: 'say', flag: 'vehicle-secured', on: true, seen: 'blocked at both wheels' });
    view.turned(30, 5);
    view.picked = session.sheet.steps.find((s) => s.surface === 'plan')!.id;
    const from = () => [view.plan, view.planSaid].map((p) => p!.steps[0]!.fromDeg);
    expect(from()).toEqual([30, 30]);
    view.turning(40);
    view.turning(42);
    // the first move is shown at once, what follows when that has been seen
    expect([view.held, view.place.crankDeg, ...from()]).toEqual([true, 42, 40, 40]);
    vi.advanceTimersByTime(33);
    expect([...from(), view.placeSaid.crankDeg]).toEqual([42, 40, 40]);
    vi.advanceTimersByTime(67);
    expect([...from(), view.placeSaid.crankDeg]).toEqual([42, 42, 42]);
    view.turning(43);
    expect(from()).toEqual([43, 42]);
    // a hand that rested is followed at once again
    vi.advanceTimersByTime(300);
    view.turning(45);
    expect(from()).toEqual([45, 45]);
    view.turning(null);
    expect(from()).toEqual([30, 30]);
    view.turning(50);
    view.turned(50, 5);
    expect([view.held, ...from()]).toEqual([false, 50, 50]);
    vi.useRealTimers();
  });
  it('shows the crank where the hand on the dial has it, and logs it when it is let go', () => {
    const { session, view } = screen('verify-marks');
    const before = view.place.crankDeg;
    view.turning(371.26);
    // the stroke is not known yet: one turn is all the dial has
    expect(view.place).toMatchObject({ crankDeg: expect.closeTo(11.26, 9), from: 'told', uDeg: null });
    view.turning(null);
    expect(view.place.crankDeg).toBe(before);
    // nobody turns an engine that may roll
    view.turned(11.26, 20);
    expect(session.refusal?.message).toMatch(/^Never bar or crank/);
    session.say({ kind: 'say', flag: 'vehicle-secured', on: true, seen: 'blocked at both wheels' });
    view.turned(11.26, 20);
    expect(session.all.at(-1)).toMatchObject({ kind: 'crank', crankDeg: 11.3, move: 'forward' });
  });
});

describe('parts taken on a screen', () => {
  const shim: StockItem = {
    id: 'pk-08',
    name: 'PK-08',
    kind: 'packing',
    thicknessMm: 0.081,
    uMm: 0.004,
    rateNPerMm: null,
    uRate: null,
    uPreload: null,
    preloadN: null,
    deg: null,
    count: 2,
    low: 1
  };
  it('are those of the tray as it measured then, and none that is not in it', () => {
    const { session } = screen('pedestal', SHEET, me, [shim]);
    expect(session.say({ kind: 'take', step: 'packing', part: 'packing', items: ['pk-08', 'pk-08'] })).toBeNull();
    expect(session.all.at(-1)).toMatchObject({ kind: 'take', parts: [{ name: 'PK-08', thicknessMm: 0.081 }, {}] });
    expect(session.say({ kind: 'take', step: 'packing', part: 'packing', items: ['pk-99'] })).toMatchObject({
      code: 'out-of-stock'
    });
  });
});

describe('what others write', () => {
  const theirs = (seq: number, over: object = {}) => ({
    id: `e${seq}`,
    seq,
    at: '2026-11-24T08:00:00Z',
    by: { id: 'marit-oakes', name: 'Marit Oakes' },
    kind: 'remark',
    text: 'seen',
    ...over
  });
  it('is fetched, announced, and put before what is still unsent here', async () => {
    const { session, type, at } = screen('verify-marks');
    at('safe');
    type('mine');
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify({ ok: true, out: [theirs(1)] }))));
    await session.catchUp();
    expect(session.announcement).toBe('Marit Oakes: remark');
    expect(session.all.map((e) => [e.seq, e.by.name])).toEqual([
      [1, 'Marit Oakes'],
      [2, 'Ines Farrow']
    ]);
  });
  it('with a gap in it is fetched whole', async () => {
    const { session } = screen('verify-marks');
    const asked: string[] = [];
    vi.stubGlobal('fetch', (url: string) => {
      asked.push(url);
      const out = asked.length === 1 ? [theirs(3)] : [theirs(1), theirs(2), theirs(3)];
      return Promise.resolve(new Response(JSON.stringify({ ok: true, out })));
    });
    await session.catchUp();
    await vi.waitFor(() => expect(session.log).toHaveLength(3));
    expect(asked.at(-1)).toContain('after=0');
  });
  it('is left alone when the server does not answer', async () => {
    const { session } = screen('verify-marks');
    await session.catchUp();
    await session.refreshEngine();
    await session.refreshStock();
    expect(session.log).toEqual([]);
    expect(session.engine.name).toBe('Test engine');
  });
});
