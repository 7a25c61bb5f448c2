import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { JobEvent } from '$core/job/index.ts';
import type { EventInput } from '$core/job/event-input.ts';
import { Outbox } from '$lib/ui/job/outbox.svelte.ts';
import { Unsent } from '$lib/ui/unsent/unsent.svelte.ts';

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
const echo = (): Promise<Response> => {
  const last = asked.at(-1)! as EventInput & { events?: EventInput[] };
  return json({ ok: true, out: last.events ?? { ...last, seq: asked.length } })();
};
const input = (id: string): EventInput => ({ id, kind: 'done', step: 'plugs' });
let clock = 0;
const shown = (id: string) =>
  ({ ...input(id), seq: 0, at: new Date(1e12 + clock++).toISOString(), by: ines }) as unknown as JobEvent;
const ines = { id: 'ines', name: 'Ines' };
/** A tab: what it has in mind of what is unsent, and the job it shows. */
const tab = (unsent = new Unsent()) => new Outbox('1', (e) => heard.push(...e), unsent);
const open = (unsent?: Unsent) => {
  const box = tab(unsent);
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
  vi.stubGlobal('BroadcastChannel', undefined);
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
    expect([...store.keys()]).toEqual(['nemrik-unsent-1:a']);
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
    store.set('nemrik-unsent-1', JSON.stringify([{ input: input('a'), shown: shown('a') }]));
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
    store.set('nemrik-unsent-1', '{"not": "a list"');
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
    const box = tab();
    box.post(input('a'), shown('a'));
    await settle();
    expect(asked).toEqual([]);
    box.wake();
    await settle();
    expect(heard.map((e) => e.id)).toEqual(['a']);
  });

  it('goes under the name of who typed it, whoever sits there when it is sent', async () => {
    answers = [away];
    const first = open();
    first.post(input('a'), shown('a'));
    await settle();
    first.sleep();
    open();
    await settle();
    expect(asked.map((e) => (e as { by?: string }).by)).toEqual(['ines', 'ines']);
  });

  it('that the server fails on is tried three times, then set aside; the next goes on', async () => {
    const fails = json({ ok: false, error: { code: 'internal', message: 'Something went wrong.' } }, 500);
    answers = [fails, fails, fails];
    const box = open();
    for (const id of ['a', 'b']) box.post(input(id), shown(id));
    await vi.advanceTimersByTimeAsync(5000);
    expect(asked.map((e) => e.id)).toEqual(['a', 'a', 'a', 'b']);
    expect(heard.map((e) => e.id)).toEqual(['b']);
    expect(box.away).toBe(false);
    expect(box.setAside).toMatchObject([{ input: { id: 'a' }, refused: { code: 'server-failed' } }]);
    expect(box.setAside[0]!.refused!.message).toContain('Something went wrong.');
    // asked for on purpose it is tried again
    box.again(box.setAside[0]!);
    await settle();
    expect([heard.map((e) => e.id), box.setAside, store.size]).toEqual([['b', 'a'], [], 0]);
  });

  it('says what the server says is the matter, and forgets it when it is over', async () => {
    answers = [json({ ok: false, error: { code: 'disk-full', message: 'The disk is full.' } }, 503)];
    const box = open();
    box.post(input('a'), shown('a'));
    await settle();
    expect([box.away, box.trouble]).toEqual([true, 'The disk is full.']);
    await vi.advanceTimersByTimeAsync(1000);
    expect([box.away, box.trouble]).toEqual([false, null]);
  });

  it('said together is sent together, and refused together', async () => {
    answers = [json({ ok: false, error: { code: 'bad-text', message: 'Not so.' } }, 422)];
    const box = open();
    box.postTogether(['a', 'b', 'c'].map((id) => ({ input: input(id), shown: shown(id) })));
    box.post(input('d'), shown('d'));
    await settle();
    expect(asked.map((e) => (e as { events?: EventInput[] }).events?.map((x) => x.id) ?? e.id)).toEqual([
      ['a', 'b', 'c'],
      'd'
    ]);
    expect(box.setAside.map((w) => w.input.id)).toEqual(['a', 'b', 'c']);
    expect(heard.map((e) => e.id)).toEqual(['d']);
    box.again(box.setAside[1]!);
    await settle();
    expect(heard.map((e) => e.id)).toEqual(['d', 'a', 'b', 'c']);
    expect([box.setAside, store.size]).toEqual([[], 0]);
  });

  it('of another job goes too, from whatever page is open', async () => {
    answers = [away];
    const other = new Outbox('2', () => {}, new Unsent());
    other.wake();
    other.post(input('x'), shown('x'));
    await settle();
    other.sleep();
    const box = open();
    expect(box.waiting).toEqual([]);
    await settle();
    expect(asked.map((e) => e.id)).toEqual(['x', 'x']);
    expect([heard, store.size]).toEqual([[], 0]);
  });

  it('is not sent by two tabs: the second waits for its turn, and then finds that it was heard', async () => {
    const turns: (() => void)[] = [];
    let busy = Promise.resolve();
    const request = (_: string, work: () => Promise<void>) =>
      (busy = busy.then(() => new Promise<void>((r) => turns.push(r))).then(work));
    vi.stubGlobal('navigator', { locks: { request } });
    const tabs = [open(), open()];
    tabs[0]!.post(input('a'), shown('a'));
    tabs[1]!.wake();
    tabs[1]!.retryNow();
    for (let k = 0; k < 4; k++) {
      await settle();
      turns.shift()?.();
    }
    await settle();
    expect(asked.map((e) => e.id)).toEqual(['a']);
    expect(store.size).toBe(0);
  });

  it('heard by one tab is told to the others, which show it at once', async () => {
    const channels: { onmessage: ((m: { data: unknown }) => void) | null }[] = [];
    class Channel {
      onmessage: ((m: { data: unknown }) => void) | null = null;
      constructor() {
        channels.push(this);
      }
      postMessage(data: unknown) {
        for (const c of channels) if (c !== this) c.onmessage?.({ data });
      }
      close() {}
    }
    vi.stubGlobal('BroadcastChannel', Channel);
    const told: string[] = [];
    const second = new Outbox('1', (e) => told.push(...e.map((x) => x.id)), new Unsent());
    second.wake();
    const first = open();
    first.post(input('a'), shown('a'));
    await settle();
    expect([heard.map((e) => e.id), told]).toEqual([['a'], ['a']]);
  });

  it('stays on the page that said it when the store is cleared under it', async () => {
    answers = [away];
    const box = open();
    box.post(input('a'), shown('a'));
    await settle();
    store.clear();
    box.retryNow();
    await settle();
    expect([heard.map((e) => e.id), box.waiting]).toEqual([['a'], []]);
  });

  it('said in one moment is sent in the order in which it was said, over a reload too', async () => {
    answers = Array(6).fill(away) as typeof answers;
    const first = open();
    const ids = ['z', 'm', 'a', 'q', 'b'];
    const at = new Date(2e12).toISOString();
    for (const id of ids) first.post(input(id), { ...shown(id), at });
    await settle();
    first.sleep();
    answers = [];
    expect(open().waiting.map((w) => w.input.id)).toEqual(ids);
    await settle();
    expect(heard.map((e) => e.id)).toEqual(ids);
  });
});
