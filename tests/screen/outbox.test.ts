import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { JobEvent } from '$core/job/index.ts';
import type { EventInput } from '$core/job/event-input.ts';
import { Outbox, type Refused } from '$lib/ui/job/outbox.svelte.ts';

/** A server that answers as it is told, one request after the other, and a store that outlives the page. */
const store = new Map<string, string>();
let answers: (() => Promise<Response>)[];
let asked: EventInput[];
let heard: JobEvent[];
let refused: Refused[];

const json =
  (body: unknown, status = 200) =>
  () =>
    Promise.resolve(new Response(JSON.stringify(body), { status }));
const away = () => Promise.reject(new TypeError('fetch failed'));
const echo = (): Promise<Response> => json({ ok: true, out: { ...asked.at(-1), seq: asked.length } })();
const input = (id: string): EventInput => ({ id, kind: 'done', step: 'plugs' });
const shown = (id: string) => ({ ...input(id), seq: 0 }) as unknown as JobEvent;
const open = () => {
  const box = new Outbox(
    '/api/jobs/1/events',
    'unsent',
    (e) => heard.push(e),
    (r) => refused.push(r)
  );
  box.wake();
  return box;
};
const settle = () => vi.advanceTimersByTimeAsync(0);

beforeEach(() => {
  vi.useFakeTimers();
  store.clear();
  [answers, asked, heard, refused] = [[], [], [], []];
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => store.get(k) ?? null,
    setItem: (k: string, v: string) => void store.set(k, v),
    removeItem: (k: string) => void store.delete(k)
  });
  vi.stubGlobal('fetch', (_: string, init: { body: string }) => {
    asked.push(JSON.parse(init.body) as EventInput);
    return (answers.shift() ?? echo)();
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('what waits to be heard', () => {
  it('is sent one after the other in the order in which it was said', async () => {
    const box = open();
    for (const id of ['a', 'b', 'c']) box.post(input(id), shown(id));
    expect(box.waiting.map((w) => w.input.id)).toEqual(['a', 'b', 'c']);
    await settle();
    expect(asked.map((e) => e.id)).toEqual(['a', 'b', 'c']);
    expect(heard.map((e) => e.id)).toEqual(['a', 'b', 'c']);
    expect(box.waiting).toEqual([]);
    expect(store.size).toBe(0);
  });

  it('is kept and sent again, ever more seldom, while the server is away; nothing overtakes it', async () => {
    answers = [away, away, away];
    const box = open();
    box.post(input('a'), shown('a'));
    await settle();
    expect(box.away).toBe(true);
    expect(JSON.parse(store.get('unsent')!)).toHaveLength(1);
    box.post(input('b'), shown('b'));
    await settle();
    // what is said meanwhile tries at once, and it is still the first that is tried
    expect(asked.map((e) => e.id)).toEqual(['a', 'a']);
    await vi.advanceTimersByTimeAsync(500);
    expect(asked).toHaveLength(2);
    await vi.advanceTimersByTimeAsync(200);
    expect(asked).toHaveLength(3);
    await vi.advanceTimersByTimeAsync(5000);
    expect(asked.map((e) => e.id)).toEqual(['a', 'a', 'a', 'a', 'b']);
    expect(box.away).toBe(false);
    expect(heard.map((e) => e.id)).toEqual(['a', 'b']);
  });

  it.each([
    ['a gateway', json('bad gateway', 502)],
    ['a server that restarts', json({ ok: false, error: { code: 'database-away', message: '' } }, 503)],
    ['one that is overrun', json({}, 429)],
    ['a page where an answer should be', () => Promise.resolve(new Response('<html>', { status: 200 }))]
  ])('is not lost to %s', async (_, answer) => {
    answers = [answer];
    const box = open();
    box.post(input('a'), shown('a'));
    await settle();
    expect(box.away).toBe(true);
    expect(heard).toEqual([]);
    box.retryNow();
    await settle();
    expect(heard.map((e) => e.id)).toEqual(['a']);
  });

  it('is given up, with the sentence, when the application itself refuses it; the next goes on', async () => {
    answers = [json({ ok: false, error: { code: 'step-blocked', message: 'It has to wait.' } }, 422)];
    const box = open();
    for (const id of ['a', 'b']) box.post(input(id), shown(id));
    await settle();
    expect(refused).toEqual([{ code: 'step-blocked', message: 'It has to wait.' }]);
    expect(heard.map((e) => e.id)).toEqual(['b']);
    expect(box.waiting).toEqual([]);
  });

  it('survives a reload, before what is said on the new page', async () => {
    answers = [away];
    const first = open();
    first.post(input('a'), shown('a'));
    await settle();
    first.sleep();
    const second = open();
    expect(second.waiting.map((w) => w.input.id)).toEqual(['a']);
    second.post(input('b'), shown('b'));
    await settle();
    expect(heard.map((e) => e.id)).toEqual(['a', 'b']);
    // the first page sleeps: it does not send what the second has sent
    await vi.advanceTimersByTimeAsync(10_000);
    expect(asked.map((e) => e.id)).toEqual(['a', 'a', 'b']);
  });

  it('does without a store, and with one that cannot be read', async () => {
    store.set('unsent', '{"not": "a list"');
    const box = open();
    expect(box.waiting).toEqual([]);
    vi.stubGlobal('localStorage', {
      getItem: () => null,
      setItem: () => {
        throw new Error('quota');
      },
      removeItem: () => {
        throw new Error('private');
      }
    });
    box.post(input('a'), shown('a'));
    await settle();
    expect(heard.map((e) => e.id)).toEqual(['a']);
  });

  it('waits for the page to wake before it sends anything', async () => {
    const box = new Outbox(
      '/x',
      'unsent',
      (e) => heard.push(e),
      () => {}
    );
    box.post(input('a'), shown('a'));
    await settle();
    expect(asked).toEqual([]);
    box.wake();
    await settle();
    expect(heard.map((e) => e.id)).toEqual(['a']);
  });
});
