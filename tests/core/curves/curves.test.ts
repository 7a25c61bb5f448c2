import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runCalc } from '$core/index.ts';
import { interpolate } from '$core/calculations/curve/knots.ts';
import { curveFit } from '$core/calculations/curve/curve-fit.ts';
import { curveCompare } from '$core/calculations/curve/curve-compare.ts';
import { curveInterval } from '$core/calculations/curve/curve-interval.ts';
import { curveMatch } from '$core/calculations/curve/curve-match.ts';
import { springRate } from '$core/calculations/spring/spring-rate.ts';
import { curveSwapSprings } from '$core/calculations/curve/curve-swap-springs.ts';

const baseline = [
  { rpm: 600, deg: 0 },
  { rpm: 900, deg: 0 },
  { rpm: 1500, deg: 8 },
  { rpm: 3000, deg: 17 },
  { rpm: 4500, deg: 17 }
];
const from = [
  { rateNPerMm: 1.2, preloadN: 3 },
  { rateNPerMm: 4.5, preloadN: -2.8 }
];
const extensionMmPerDeg = 0.12;
const good = <T>(r: { ok: true; out: T } | { ok: false; error: { message: string } }): T => {
  if (!r.ok) throw new Error(r.error.message);
  return r.out;
};
const spring = fc.record({
  rateNPerMm: fc.double({ min: 0.4, max: 6, noNaN: true }),
  preloadN: fc.double({ min: -3, max: 6, noNaN: true })
});

describe('swapping springs', () => {
  it('gives the measured curve back for the springs it was measured with', () => {
    const c = good(curveSwapSprings({ baseline, from, to: from, extensionMmPerDeg, stopDeg: 17 }));
    for (const p of c.points) expect(p.rpm).toBeCloseTo(interpolate([0, 8, 17], [900, 1500, 3000], p.deg), 6);
    expect(c).toMatchObject({ startRpm: 900, fullDeg: 17, unstableFromDeg: null, extrapolatedFromDeg: null });
  });

  it('there and back again is where it began', () => {
    fc.assert(
      fc.property(spring, spring, (a, b) => {
        const to = [{ ...a, preloadN: Math.abs(a.preloadN) + 0.5 }, b];
        const there = good(curveSwapSprings({ baseline, from, to, extensionMmPerDeg, stopDeg: 17 }));
        if (there.unstableFromDeg !== null) return;
        const rows = there.points.map((p) => ({ rpm: p.rpm, deg: p.deg }));
        if (rows.some((r, k) => k > 0 && r.rpm <= rows[k - 1]!.rpm + 1e-6)) return;
        const back = good(curveSwapSprings({ baseline: rows, from: to, to: from, extensionMmPerDeg, stopDeg: 17 }));
        for (const p of back.points) expect(p.rpm).toBeCloseTo(interpolate([0, 8, 17], [900, 1500, 3000], p.deg), 5);
      })
    );
  });

  it('needs more speed everywhere for stiffer springs', () => {
    const stiff = good(
      curveSwapSprings({
        baseline,
        from,
        to: from.map((s) => ({ rateNPerMm: 2 * s.rateNPerMm, preloadN: 2 * s.preloadN })),
        extensionMmPerDeg,
        stopDeg: 17
      })
    );
    for (const p of stiff.points)
      expect(p.rpm / interpolate([0, 8, 17], [900, 1500, 3000], p.deg)).toBeCloseTo(Math.SQRT2, 9);
  });

  it('says from where it was carried on, and where the weights snap out', () => {
    const far = good(curveSwapSprings({ baseline, from, to: from, extensionMmPerDeg, stopDeg: 20 }));
    expect(far.extrapolatedFromDeg).toBe(8);
    expect(far.points.at(-1)!.deg).toBe(20);
    const weak = good(
      curveSwapSprings({ baseline, from, to: [{ rateNPerMm: 0.1, preloadN: 6 }], extensionMmPerDeg, stopDeg: 17 })
    );
    expect(weak.unstableFromDeg).not.toBeNull();
    expect(weak.points.every((p, k) => k === 0 || p.rpm >= weak.points[k - 1]!.rpm)).toBe(true);
  });

  it.each([
    [
      'curve-order',
      {
        baseline: [
          { rpm: 900, deg: 0 },
          { rpm: 800, deg: 5 }
        ]
      }
    ],
    [
      'baseline-needs-zero',
      {
        baseline: [
          { rpm: 900, deg: 2 },
          { rpm: 1500, deg: 8 }
        ]
      }
    ],
    [
      'baseline-not-rising',
      {
        baseline: [
          { rpm: 900, deg: 0 },
          { rpm: 1200, deg: 6 },
          { rpm: 1500, deg: 4 },
          { rpm: 2000, deg: 9 }
        ]
      }
    ],
    ['baseline-slack', { from: [{ rateNPerMm: 2, preloadN: -1 }] }],
    [
      'cannot-extrapolate',
      {
        baseline: [
          { rpm: 900, deg: 0 },
          { rpm: 1500, deg: 8 }
        ],
        stopDeg: 12
      }
    ]
  ])('refuses with %s', (code, change) => {
    expect(
      runCalc('curve.swapSprings', { baseline, from, to: from, extensionMmPerDeg, stopDeg: 10, ...change })
    ).toMatchObject({ ok: false, error: { code } });
  });
});

describe('searching the tray', () => {
  const target = [
    { rpm: 800, deg: 6, weight: 1 },
    { rpm: 1400, deg: 12, weight: 2 },
    { rpm: 2200, deg: 19, weight: 1 },
    { rpm: 3500, deg: 24, weight: 1 }
  ];
  const tray = {
    springs: [
      { id: 'a', rateNPerMm: 1.2, preloadN: 3, count: 2 },
      { id: 'b', rateNPerMm: 1.9, preloadN: 4.4, count: 1 },
      { id: 'c', rateNPerMm: 4.5, preloadN: -2.8, count: 1 },
      { id: 'd', rateNPerMm: 0.3, preloadN: 5, count: 2 }
    ],
    stops: [
      { id: 's1', deg: 11.1 },
      { id: 's2', deg: 14 },
      { id: 's3', deg: 17 },
      { id: 's4', deg: 30 }
    ]
  };
  const input = {
    baseline,
    from,
    extensionMmPerDeg,
    target,
    tray,
    initial: { minBtdc: 4, maxBtdc: 10, stepDeg: 0.5 },
    limits: { totalMaxBtdc: 26, idleRpm: 700, creepMaxDeg: 1 },
    top: 100
  };

  it('finds what trying every pair and stop through curve.swapSprings finds', () => {
    const { evaluated, ranked } = good(curveMatch(input));
    // pairs aa ab ac ad bc bd cd dd, and the three stops that lie within what was measured
    expect(evaluated).toBe(8 * 3);
    for (const m of ranked) {
      const to = m.springs
        .map((id) => tray.springs.find((s) => s.id === id)!)
        .map(({ rateNPerMm, preloadN }) => ({ rateNPerMm, preloadN }));
      const stopDeg = tray.stops.find((s) => s.id === m.stop)!.deg;
      const c = good(curveSwapSprings({ baseline, from, to, extensionMmPerDeg, stopDeg }));
      const advance = (rpm: number) => {
        if (rpm < c.startRpm) return 0;
        let k = 0;
        while (k + 1 < c.points.length && c.points[k + 1]!.rpm <= rpm) k++;
        const [p, q] = [c.points[k]!, c.points[k + 1]];
        return q ? p.deg + ((q.deg - p.deg) * (rpm - p.rpm)) / (q.rpm - p.rpm) : p.deg;
      };
      const sq = target.reduce((t, x) => t + x.weight * (advance(x.rpm) + m.initialBtdc - x.deg) ** 2, 0);
      expect(m.misfitDeg).toBeCloseTo(Math.sqrt(sq / 5), 9);
      expect(m.violations.includes('unstable')).toBe(c.unstableFromDeg !== null);
      expect(m.violations.includes('creep')).toBe(advance(700) > 1);
      expect(m.violations.includes('total')).toBe(m.initialBtdc + stopDeg > 26);
      expect(m.fullRpm).toBeCloseTo(c.fullRpm, 9);
    }
    const order = ranked.map((m) => [m.violations.length, m.misfitDeg] as const);
    expect([...order].sort((a, b) => a[0] - b[0] || a[1] - b[1])).toEqual(order);
  });

  it('keeps the best of a long ranking, tells how far it is, and stops when asked', () => {
    const all = good(curveMatch(input)).ranked;
    expect(good(curveMatch({ ...input, top: 3 })).ranked).toEqual(all.slice(0, 3));
    const seen: number[] = [];
    good(curveMatch(input, (share) => seen.push(share) > 0));
    expect(seen).toEqual([0.25, 0.5, 0.75, 1]);
    expect(good(curveMatch(input, () => false)).evaluated).toBeLessThan(24);
  });

  it('answers an empty tray with nothing', () => {
    expect(good(curveMatch({ ...input, tray: { springs: [], stops: [] } }))).toEqual({ evaluated: 0, ranked: [] });
  });
});

describe('the plain shape behind a curve', () => {
  it('finds one ramp or two, in any order of the points and in spite of reading error', () => {
    const shape = (rpm: number) => interpolate([1000, 1800, 3200], [0, 9, 15], rpm);
    const points = Array.from({ length: 60 }, (_, k) => ({
      rpm: 500 + 60 * k,
      deg: shape(500 + 60 * k) + 0.1 * Math.sin(7 * k)
    }));
    const fit = good(curveFit({ points: [...points].reverse(), maxRamps: 2 }));
    expect(fit.ramps).toBe(2);
    for (const [k, want] of [1000, 1800, 3200].entries()) expect(Math.abs(fit.knots[k]!.rpm - want)).toBeLessThan(60);
    expect(fit.fullDeg).toBeCloseTo(15, 1);
    const plain = points.map((p) => ({ rpm: p.rpm, deg: interpolate([1000, 3000], [2, 14], p.rpm) }));
    expect(good(curveFit({ points: plain, maxRamps: 2 }))).toMatchObject({ ramps: 1 });
  });

  it('finds in hundreds of points, searched as means of neighbours, the least squares of all of them', () => {
    const shape = [
      { rpm: 800, deg: 8 },
      { rpm: 1700, deg: 21 },
      { rpm: 3100, deg: 30 }
    ];
    const on = (knots: typeof shape, rpm: number) =>
      interpolate(
        knots.map((k) => k.rpm),
        knots.map((k) => k.deg),
        rpm
      );
    // an even spread of reading error that repeats with no period of the groups
    const points = Array.from({ length: 601 }, (_, k) => {
      const rpm = 600 + 5.7 * k;
      return { rpm, deg: on(shape, rpm) + 0.4 * Math.sin(7.31 * k) };
    });
    const fit = good(curveFit({ points, maxRamps: 2 }));
    expect(fit.ramps).toBe(2);
    for (const [k, knot] of fit.knots.entries()) {
      expect(Math.abs(knot.rpm - shape[k]!.rpm)).toBeLessThan(25);
      expect(Math.abs(knot.deg - shape[k]!.deg)).toBeLessThan(0.2);
    }
    const rss = (knots: typeof shape) => points.reduce((t, p) => t + (p.deg - on(knots, p.rpm)) ** 2, 0);
    const least = rss(fit.knots);
    expect(Math.sqrt(least / points.length)).toBeCloseTo(fit.rmsDeg, 9);
    // no small move of any knot makes it better
    for (const k of [0, 1, 2])
      for (const [by, of] of [
        [2, 'rpm'],
        [-2, 'rpm'],
        [0.02, 'deg'],
        [-0.02, 'deg']
      ] as const)
        expect(rss(fit.knots.map((n, j) => (j === k ? { ...n, [of]: n[of] + by } : n)))).toBeGreaterThan(least);
  });
  it('refuses points at one speed and too few of them', () => {
    expect(curveFit({ points: Array.from({ length: 7 }, () => ({ rpm: 900, deg: 1 })), maxRamps: 2 })).toMatchObject({
      ok: false
    });
    expect(curveFit({ points: baseline, maxRamps: 2 })).toMatchObject({
      ok: false,
      error: { code: 'too-few-readings' }
    });
  });
});

describe('judging a curve', () => {
  const spec = [
    { rpm: 800, minDeg: 0, maxDeg: 2 },
    { rpm: 2000, minDeg: 10, maxDeg: 14 }
  ];
  it('does not judge outside the band, and is only as good as its worst point', () => {
    const c = good(
      curveCompare({
        measured: [
          { rpm: 500, deg: 40 },
          { rpm: 1400, deg: 6.5 }
        ],
        spec,
        uDeg: 0.2
      })
    );
    expect(c.points.map((p) => p.state)).toEqual(['unjudged', 'in']);
    expect(c.state).toBe('in');
    expect(
      good(
        curveCompare({
          measured: [
            { rpm: 1400, deg: 6.5 },
            { rpm: 2000, deg: 15 }
          ],
          spec,
          uDeg: 0.2
        })
      ).state
    ).toBe('out');
  });
  it('finds weights that stick on the way down', () => {
    const up = [1000, 1400, 1800].map((rpm) => ({ rpm, deg: rpm / 200, dir: 'up' as const }));
    const down = [1700, 1300].map((rpm) => ({ rpm, deg: rpm / 200 + 2, dir: 'down' as const }));
    const c = good(curveCompare({ measured: [...up, ...down], spec, uDeg: 0.2 }));
    expect(c.hysteresisDeg).toBeCloseTo(2, 9);
    expect(c.sticky).toBe(true);
    expect(good(curveCompare({ measured: up, spec, uDeg: 0.2 }))).toMatchObject({ hysteresisDeg: null, sticky: false });
  });
});

describe('spacing of the sparks', () => {
  it('tells a bent shaft from a worn lobe', () => {
    const at = (e: (k: number) => number) =>
      Array.from({ length: 8 }, (_, k) => ({ cylinder: k + 1, distributorDeg: 20 + 45 * k + e(k) }));
    const bent = good(
      curveInterval({ angles: at((k) => 1.5 * Math.cos((2 * Math.PI * k) / 8 - 1)), toleranceDeg: 0.5 })
    );
    expect(bent).toMatchObject({ state: 'out', cause: 'run-out' });
    expect(bent.runOutDeg).toBeCloseTo(1.5, 6);
    expect(bent.runOutPhaseDeg).toBeCloseTo((180 / Math.PI) * 1, 6);
    expect(good(curveInterval({ angles: at((k) => (k === 3 ? 2 : 0)), toleranceDeg: 0.5 })).cause).toBe('lobe');
    expect(good(curveInterval({ angles: at(() => 0), toleranceDeg: 0.5 }))).toMatchObject({
      cause: 'even',
      explained: 0
    });
  });
});

describe('a spring from hanging weights', () => {
  it('is rated exactly from exact loads, and slack when it is shorter than its free length', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 8, noNaN: true }),
        fc.double({ min: 10, max: 40, noNaN: true }),
        (rate, free) => {
          const loads = [200, 500, 900].map((massG) => ({ massG, lengthMm: free + (massG * 9.80665) / 1000 / rate }));
          const r = good(springRate({ loads, installedLengthMm: free - 1 }));
          expect(r.rateNPerMm / rate).toBeCloseTo(1, 6);
          expect(r.installedForceN).toBeCloseTo(-rate, 5);
        }
      )
    );
  });
});
