import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { JobEvent } from '$core/job/index.ts';
import type { EventInput } from '$core/job/event-input.ts';
import { Outbox } from '$lib/ui/job/outbox.svelte.ts';

/** A server that answers as it is told, one request after the other, and a store that outlives the page. */
const store = new Map<string, string>();
let answers: (() => Promise<Response>)[];
let asked: EventInput[];
let heard: JobEvent[];

const json =
  (body: unknown, status = 200) =>
  () =>
    Promise.resolve(new Response(JSON.stringify(body), { status }));
const away = () => Promise.reject(new TypeError('fetch failed'));
const echo = (): Promise<Response> => json({ ok: true, out: { ...asked.at(-1), seq: asked.length } })();
const input = (id: string): EventInput => ({ id, kind: 'done', step: 'plugs' });
let clock = 0;
const shown = (id: string) =>
  ({ ...input(id), seq: 0, at: new Date(1e12 + clock++).toISOString() }) as unknown as JobEvent;
const open = () => {
  const box = new Outbox('/api/jobs/1/events', 'unsent', (e) => heard.push(e));
  box.wake();
  return box;
};
const settle = () => vi.advanceTimersByTimeAsync(0);

beforeEach(() => {
  vi.useFakeTimers();
  store.clear();
  [answers, asked, heard] = [[], [], []];
  vi.stubGlobal('localStorage', {
    get length() {
      return store.size;
    },
    key: (k: number) => [...store.keys()][k] ?? null,
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
    expect([...store.keys()]).toEqual(['unsent:a']);
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

  it('is set aside with its reason when the application itself refuses it; the next goes on', async () => {
    answers = [json({ ok: false, error: { code: 'step-blocked', message: 'It has to wait.' } }, 422)];
    const box = open();
    for (const id of ['a', 'b']) box.post(input(id), shown(id));
    await settle();
    expect(box.setAside).toMatchObject([
      { input: { id: 'a' }, refused: { code: 'step-blocked', message: 'It has to wait.' } }
    ]);
    expect(heard.map((e) => e.id)).toEqual(['b']);
    expect(box.waiting).toEqual([]);
    // it stays over a reload and is not sent again; only dropping it on purpose lets go of it
    const later = open();
    await settle();
    expect(later.setAside.map((w) => w.input.id)).toEqual(['a']);
    expect(asked.map((e) => e.id)).toEqual(['a', 'b']);
    later.drop(later.setAside[0]!);
    expect([later.setAside, open().setAside, store.size]).toEqual([[], [], 0]);
  });

  it.each([['first'], ['second']])(
    'of two tabs of one job is kept for both, whichever is closed first: the %s',
    async (closed) => {
      answers = [away, away];
      const tabs = { first: open(), second: open() };
      tabs.first.post(input('a'), shown('a'));
      tabs.second.post(input('b'), shown('b'));
      await settle();
      const other = closed === 'first' ? tabs.second : tabs.first;
      tabs[closed as 'first' | 'second'].sleep();
      other.sleep();
      const third = open();
      expect(third.waiting.map((w) => w.input.id)).toEqual(['a', 'b']);
      await settle();
      expect(heard.map((e) => e.id)).toEqual(['a', 'b']);
      expect(store.size).toBe(0);
    }
  );

  it('kept by the version before, in one entry for the job, is taken over', async () => {
    store.set('unsent', JSON.stringify([{ input: input('a'), shown: shown('a') }]));
    const box = open();
    expect(box.waiting.map((w) => w.input.id)).toEqual(['a']);
    await settle();
    expect([heard.map((e) => e.id), store.size]).toEqual([['a'], 0]);
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
    const box = new Outbox('/x', 'unsent', (e) => heard.push(e));
    box.post(input('a'), shown('a'));
    await settle();
    expect(asked).toEqual([]);
    box.wake();
    await settle();
    expect(heard.map((e) => e.id)).toEqual(['a']);
  });
});
