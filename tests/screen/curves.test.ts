import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { curveMatch } from '$core/calculations/curve/curve-match.ts';
import type { MatchInput } from '$core/domains/recurve/recurve-work.ts';
import { Matcher } from '$lib/ui/curves/matcher.svelte.ts';
import { TargetHand } from '$lib/ui/curves/target.svelte.ts';

/** A worker that answers when the test says so. */
class FakeWorker {
  static all: FakeWorker[] = [];
  onmessage: ((m: { data: unknown }) => void) | null = null;
  asked: { id: number; input: MatchInput }[] = [];
  ended = false;
  constructor() {
    FakeWorker.all.push(this);
  }
  postMessage(m: { id: number; input: MatchInput }) {
    this.asked.push(m);
  }
  terminate() {
    this.ended = true;
  }
  tell(data: object) {
    this.onmessage?.({ data: { id: this.asked.at(-1)!.id, ...data } });
  }
}
const worker = () => FakeWorker.all.at(-1)!;
const input = (deg: number): MatchInput => ({
  baseline: [
    { rpm: 900, deg: 0 },
    { rpm: 3000, deg: 20 }
  ],
  from: [
    { rateNPerMm: 1.9, preloadN: 2.6 },
    { rateNPerMm: 3.4, preloadN: 0.4 }
  ],
  extensionMmPerDeg: 0.11,
  target: [{ rpm: 2000, deg, weight: 1 }],
  tray: {
    springs: [{ id: 'a', rateNPerMm: 1.2, preloadN: 2, count: 2 }],
    stops: [{ id: 's', deg: 18 }]
  },
  initial: { minBtdc: 6, maxBtdc: 11, stepDeg: 0.5 },
  limits: {},
  top: 5
});
const answer = (deg: number) => ({ answer: curveMatch(input(deg)) });

beforeEach(() => {
  FakeWorker.all = [];
  vi.useFakeTimers();
  vi.stubGlobal('Worker', FakeWorker);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the search while a target is dragged', () => {
  it('asks one question at a time; of those that come meanwhile only the newest', () => {
    const m = new Matcher();
    for (const deg of [20, 21, 22, 23]) m.ask(input(deg));
    expect(FakeWorker.all).toHaveLength(1);
    expect(worker().asked.map((a) => a.input.target[0]!.deg)).toEqual([20]);
    worker().tell(answer(20));
    expect(m.result!.evaluated).toBe(1);
    expect(worker().asked.map((a) => a.input.target[0]!.deg)).toEqual([20, 23]);
    worker().tell(answer(23));
    expect(m.share).toBeNull();
    expect(worker().asked).toHaveLength(2);
  });
  it('gives up a search that runs long once there is a newer question', () => {
    const m = new Matcher();
    m.ask(input(20));
    vi.advanceTimersByTime(500);
    m.ask(input(25));
    expect(FakeWorker.all.map((w) => w.ended)).toEqual([true, false]);
    expect(worker().asked.map((a) => a.input.target[0]!.deg)).toEqual([25]);
    // the first, ended, says something late: it is not heard
    FakeWorker.all[0]!.tell({ share: 0.9 });
    expect(m.share).toBe(0);
  });
  it('tells its share, and keeps what was found when it is stopped', () => {
    const m = new Matcher();
    m.ask(input(20));
    worker().tell(answer(20));
    const found = m.result;
    m.ask(input(24));
    worker().tell({ share: 0.4 });
    expect(m.share).toBe(0.4);
    m.cancel();
    expect(worker().ended).toBe(true);
    expect([m.share, m.cancelled, m.result]).toEqual([null, true, found]);
    m.ask(input(24));
    expect(m.cancelled).toBe(false);
    expect(FakeWorker.all).toHaveLength(2);
  });
  it('says why nothing can be found', () => {
    const m = new Matcher();
    m.ask(input(20));
    worker().tell({
      answer: curveMatch({
        ...input(20),
        baseline: [
          { rpm: 900, deg: 3 },
          { rpm: 3000, deg: 20 }
        ]
      })
    });
    expect(m.result).toBeNull();
    expect(m.error!.code).toBe('baseline-needs-zero');
  });
});

describe('a target under the hand', () => {
  const said = [
    { rpm: 1000, deg: 10 },
    { rpm: 2000, deg: 20 }
  ];
  it('is what was said until a point is moved, and again when the hand lets go', () => {
    const t = new TargetHand(() => said);
    expect(t.points).toBe(said);
    t.set(1, 22);
    expect(t.points).toEqual([said[0], { rpm: 2000, deg: 22 }]);
    expect(said[1]!.deg).toBe(20);
    t.drop();
    expect(t.points).toBe(said);
  });
  it('stays in the order of its speeds when a point is moved past another', () => {
    const t = new TargetHand(() => said);
    t.speedTo(0, 2500);
    expect(t.points.map((p) => p.rpm)).toEqual([2000, 2500]);
    t.add();
    expect(t.points.at(-1)).toEqual({ rpm: 3000, deg: 10 });
    t.remove(0);
    expect(t.points.map((p) => p.rpm)).toEqual([2500, 3000]);
  });
  it('can be begun from nothing', () => {
    const t = new TargetHand(() => []);
    t.add();
    expect(t.points).toEqual([{ rpm: 1000, deg: 10 }]);
  });
});
