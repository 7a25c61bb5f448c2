import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { curveMatch, type Match } from '$core/calculations/curve/curve-match.ts';
import { curveSwapSprings } from '$core/calculations/curve/curve-swap-springs.ts';
import type { MatchInput } from '$core/domains/recurve/recurve-work.ts';

/**
 * The slow twin of the search: every pair and stop through curve.swapSprings, the curve read at each speed by walking its
 * points, the initial timing tried on every step. It shares no line with the search but the curve itself.
 */
function slow(i: MatchInput): Match[] {
  const all: Match[] = [];
  const springs = i.tray.springs;
  const maxDeg = Math.max(...i.baseline.map((k) => k.deg));
  for (const [x, a] of springs.entries())
    for (const b of springs.slice(x)) {
      if (a === b ? a.count < 2 : a.count < 1 || b.count < 1) continue;
      for (const stop of i.tray.stops.filter((s) => s.deg <= maxDeg)) {
        const c = curveSwapSprings({ ...i, to: [a, b], stopDeg: stop.deg });
        if (!c.ok) throw new Error(c.error.message);
        const at = (rpm: number): number => {
          const { points } = c.out;
          if (rpm >= c.out.fullRpm) return stop.deg;
          const over = points.findIndex((p) => p.rpm > rpm);
          if (over === 0) return 0;
          const [p, q] = [points[over - 1]!, points[over]!];
          return p.deg + ((q.deg - p.deg) * (rpm - p.rpm)) / (q.rpm - p.rpm);
        };
        const weight = i.target.reduce((t, p) => t + p.weight, 0);
        const wanted = i.target.reduce((t, p) => t + p.weight * (p.deg - at(p.rpm)), 0) / weight;
        let initialBtdc = i.initial.minBtdc;
        for (let k = 1; i.initial.minBtdc + k * i.initial.stepDeg <= i.initial.maxBtdc + 1e-9; k++) {
          const next = i.initial.minBtdc + k * i.initial.stepDeg;
          if (Math.abs(next - wanted) <= Math.abs(initialBtdc - wanted) + 1e-9) initialBtdc = next;
        }
        const squares = i.target.reduce((t, p) => t + p.weight * (at(p.rpm) + initialBtdc - p.deg) ** 2, 0);
        const { totalMaxBtdc, idleRpm, creepMaxDeg } = i.limits;
        all.push({
          springs: [a.id, b.id].sort() as [string, string],
          stop: stop.id,
          initialBtdc,
          misfitDeg: Math.sqrt(squares / weight),
          violations: [
            ...(initialBtdc + stop.deg > totalMaxBtdc! + 1e-9 ? (['total'] as const) : []),
            ...(at(idleRpm!) > creepMaxDeg! + 1e-9 ? (['creep'] as const) : []),
            ...(c.out.unstableFromDeg !== null ? (['unstable'] as const) : [])
          ],
          startRpm: c.out.startRpm,
          fullRpm: c.out.fullRpm
        });
      }
    }
  return all.sort((p, q) => p.violations.length - q.violations.length || p.misfitDeg - q.misfitDeg);
}

const tray = fc.record({
  springs: fc
    .array(
      fc.record({
        rateNPerMm: fc.integer({ min: 2, max: 60 }).map((n) => n / 10),
        preloadN: fc.integer({ min: -10, max: 40 }).map((n) => n / 10),
        count: fc.integer({ min: 0, max: 2 })
      }),
      { minLength: 1, maxLength: 5 }
    )
    .map((all) => all.map((s, k) => ({ ...s, id: `S-${k}` }))),
  stops: fc
    .uniqueArray(fc.integer({ min: 4, max: 60 }), { minLength: 1, maxLength: 4 })
    .map((all) => all.map((n, k) => ({ id: `stop ${k}`, deg: n / 2 })))
});
const question = fc
  .record({
    tray,
    target: fc.uniqueArray(
      fc.record({
        rpm: fc.integer({ min: 300, max: 5000 }),
        deg: fc.integer({ min: 0, max: 40 }),
        weight: fc.integer({ min: 1, max: 3 })
      }),
      { minLength: 1, maxLength: 6, selector: (p) => p.rpm }
    ),
    totalMaxBtdc: fc.integer({ min: 15, max: 45 }),
    idleRpm: fc.integer({ min: 400, max: 1500 })
  })
  .map(({ tray, target, ...limits }): MatchInput => ({
    baseline: [
      { rpm: 600, deg: 0 },
      { rpm: 1200, deg: 8 },
      { rpm: 3200, deg: 24 }
    ],
    from: [
      { rateNPerMm: 1.9, preloadN: 2.6 },
      { rateNPerMm: 3.4, preloadN: 0.4 }
    ],
    extensionMmPerDeg: 0.11,
    target: target.sort((a, b) => a.rpm - b.rpm),
    tray,
    initial: { minBtdc: 6, maxBtdc: 11, stepDeg: 0.5 },
    limits: { ...limits, creepMaxDeg: 0.5 },
    top: 1000
  }))
  // two springs that are slack at rest have no curve at all; the twin would divide by nothing
  .filter((i) => i.tray.springs.every((s) => s.preloadN > 0 || s.rateNPerMm > 1));

describe('the search over a tray', () => {
  it('finds what every pair and stop, tried one by one, would do', () => {
    fc.assert(
      fc.property(question, (i) => {
        const fast = curveMatch(i);
        if (!fast.ok) throw new Error(fast.error.message);
        const want = slow(i);
        expect(fast.out.evaluated).toBe(want.length);
        expect(fast.out.ranked).toHaveLength(want.length);
        const key = (m: Match) => `${m.springs.join()} ${m.stop}`;
        const by = new Map(want.map((m) => [key(m), m]));
        for (const m of fast.out.ranked) {
          const w = by.get(key(m))!;
          expect(m.violations).toEqual(w.violations);
          expect(m.initialBtdc).toBeCloseTo(w.initialBtdc, 9);
          expect(m.misfitDeg).toBeCloseTo(w.misfitDeg, 6);
          expect(m.startRpm).toBeCloseTo(w.startRpm, 6);
          expect(m.fullRpm).toBeCloseTo(w.fullRpm, 6);
        }
      }),
      { numRuns: 150 }
    );
  });
  it('ranks by what is violated, then by the misfit, and the best few are the first of all', () => {
    fc.assert(
      fc.property(question, fc.integer({ min: 1, max: 6 }), (i, top) => {
        const [all, few] = [curveMatch(i), curveMatch({ ...i, top })];
        if (!all.ok || !few.ok) throw new Error('refused');
        expect(few.out.ranked).toEqual(all.out.ranked.slice(0, top));
        for (const [k, m] of all.out.ranked.entries()) {
          const next = all.out.ranked[k + 1];
          if (next && next.violations.length === m.violations.length)
            expect(next.misfitDeg).toBeGreaterThanOrEqual(m.misfitDeg - 1e-9);
          else if (next) expect(next.violations.length).toBeGreaterThan(m.violations.length);
        }
      }),
      { numRuns: 100 }
    );
  });
  it('can be stopped, and answers what was tried until then', () => {
    const i = fc.sample(
      question.filter((q) => q.tray.springs.filter((s) => s.count > 0).length > 3),
      { numRuns: 1, seed: 7 }
    )[0]!;
    const shares: number[] = [];
    const part = curveMatch(i, (share) => shares.push(share) < 2);
    const whole = curveMatch(i);
    if (!part.ok || !whole.ok) throw new Error('refused');
    expect(shares).toHaveLength(2);
    expect(part.out.evaluated).toBeLessThan(whole.out.evaluated);
    expect(part.out.evaluated).toBeGreaterThan(0);
  });
  it('has nothing to rank in an empty tray, nor with every stop beyond what was measured', () => {
    const i = fc.sample(question, { numRuns: 1, seed: 3 })[0]!;
    for (const tray of [
      { ...i.tray, springs: [] },
      { ...i.tray, stops: [{ id: 'long', deg: 25 }] }
    ]) {
      const answer = curveMatch({ ...i, tray });
      expect(answer).toEqual({ ok: true, out: { evaluated: 0, ranked: [] } });
    }
  });
});
