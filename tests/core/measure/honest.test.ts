import { describe, expect, it } from 'vitest';
import { mostTelling, sharesCause, cycleEvidence } from '$core/calculations/cycle/cycle-evidence.ts';
import { crankPlan, slackTaken } from '$core/calculations/crank/crank-plan.ts';
import { curveFit } from '$core/calculations/curve/curve-fit.ts';
import { gaugeCombine } from '$core/calculations/gauge/gauge-combine.ts';
import { handU, repeatedU } from '$core/calculations/gauge/hand.ts';
import { springRate } from '$core/calculations/spring/spring-rate.ts';
import { stackEndFloat } from '$core/calculations/stack/stack-end-float.ts';
import { stackPick } from '$core/calculations/stack/stack-pick.ts';
import { dropMm, slider } from '$core/calculations/piston/slider.ts';
import { tdcFit } from '$core/calculations/tdc/tdc-fit.ts';
import { tdcPairs } from '$core/calculations/tdc/tdc-pairs.ts';
import { verdict, verdictOrNone } from '$core/calculations/verdict/verdict.ts';
import { settingDoubt } from '$core/domains/timing/setting-doubt.ts';
import { shared } from '$core/job/narrow.ts';
import { wrap180 } from '$core/numerics/angles.ts';
import { normalQuantile } from '$core/numerics/normal.ts';
import { stretch, studentQuantile, studentTail } from '$core/numerics/student.ts';
import { enterGauge } from '$core/tray/enter.ts';
import { ASSUMED_DOF, assumedScatter, inHand } from '$core/tray/hands.ts';
import { chances } from '../../../study/chances.ts';
import { engineWith, PlayedJob, SHEET } from '../../support/played.ts';

describe('Student’s distribution', () => {
  // from printed tables of the two-sided quantile
  it.each([
    [0.05, 1, 12.7062],
    [0.05, 2, 4.3027],
    [0.05, 10, 2.2281],
    [0.05, 30, 2.0423],
    [0.01, 5, 4.0321],
    [0.01, 120, 2.6174],
    [0.1, 3, 2.3534]
  ])('exceeds with the chance %d at %d degrees of freedom what the table says', (p, dof, t) => {
    expect(studentQuantile(p, dof)).toBeCloseTo(t, 4);
    expect(studentTail(t, dof)).toBeCloseTo(p, 4);
  });
  it('stretches a few repeats much, many hardly, and always less with more', () => {
    expect(stretch(1)).toBeCloseTo(6.984, 2);
    expect(stretch(2)).toBeCloseTo(2.263, 2);
    expect(stretch(1e6)).toBeCloseTo(1, 5);
    for (let dof = 1; dof < 60; dof++) expect(stretch(dof + 1)).toBeLessThan(stretch(dof));
  });
  it('has the normal one as its limit', () => {
    expect(normalQuantile(0.975)).toBeCloseTo(1.959964, 6);
    expect(normalQuantile(0.5)).toBeCloseTo(0, 9);
    expect(studentQuantile(0.05, 1e7)).toBeCloseTo(normalQuantile(0.975), 5);
  });
});

describe('a gauge in a hand', () => {
  const gauge = { resolution: 0.01, accuracy: 0.02 };
  it('read once by a hand of which nothing is known says so', () => {
    const one = gaugeCombine({ readings: [1.2], gauge });
    expect(one).toMatchObject({ scatterUnknown: true, uA: 0 });
    expect(gaugeCombine({ readings: [1.2, 1.21], gauge }).scatterUnknown).toBeUndefined();
    expect(gaugeCombine({ readings: [1.2], gauge: { ...gauge, scatter: 0.01 } }).scatterUnknown).toBeUndefined();
  });
  it('pools what was learnt with today’s repeats, each by its degrees of freedom', () => {
    // (20·0.05² + 3·0.09²)/23 = 0.0032304; /4; times t(23)/2
    const hand = handU(0.09, 4, { ...gauge, scatter: 0.05, scatterDof: 20 });
    expect(hand.s).toBeCloseTo(Math.sqrt(0.0743 / 23), 6);
    expect(hand.u).toBeCloseTo((hand.s / 2) * stretch(23), 9);
  });
  it('does not lessen its fixed error by repeats, and counts its step once', () => {
    const many = repeatedU(0.001, 1000, gauge);
    expect(many.u).toBeCloseTo(Math.hypot(0.01 / Math.sqrt(12), 0.02 / Math.sqrt(3)), 6);
    expect(repeatedU(0, 5, { resolution: 0, accuracy: 0 }).u).toBe(0);
  });
  it('is the workshop’s assumption for its kind until more is known, and nothing without a gauge', () => {
    const reading = { quantity: 'angle' as const, resolution: 0.1 };
    expect(inHand({ ...gauge, kind: 'wheel' }, reading)).toMatchObject({
      scatter: assumedScatter.wheel,
      scatterDof: ASSUMED_DOF
    });
    // kept before the kind was: the usual gauge of its quantity
    expect(inHand(gauge, { quantity: 'timing', resolution: 0.1 }).scatter).toBe(assumedScatter.strobe);
    expect(inHand({ ...gauge, kind: 'wheel', scatter: 0, scatterDof: 9 }, reading)).toMatchObject({
      scatter: 0,
      scatterDof: 9
    });
    expect(inHand(null, reading)).toEqual({ resolution: 0.1, accuracy: 0 });
  });
  it('is entered with how much it scatters and from how many repeats, or with neither', () => {
    const typed = { name: 'Wheel', kind: 'wheel', resolution: '0.5', accuracy: '0.25', unit: 'deg' };
    expect(enterGauge(typed)).toMatchObject({ ok: true, out: { scatter: null, scatterDof: null } });
    expect(enterGauge({ ...typed, scatter: '0.15', repeats: '12' })).toMatchObject({
      ok: true,
      out: { scatter: 0.15, scatterDof: 11 }
    });
    for (const [wrong, why] of [
      [{ scatter: '0.15', repeats: '' }, 'from how many repeats'],
      [{ scatter: '', repeats: '5' }, 'how much one reading scatters'],
      [{ scatter: '0.15', repeats: '1' }, 'from 2 to 1,000'],
      [{ scatter: 'much', repeats: '5' }, 'Scatter of one reading']
    ] as const) {
      const answer = enterGauge({ ...typed, ...wrong });
      expect([answer.ok, !answer.ok && answer.message.includes(why)]).toEqual([false, true]);
    }
  });
});

describe('a verdict', () => {
  it('whose scatter is not known is never in, and out only far beyond a limit', () => {
    expect(verdict(5, 0.1, 0, 10, true).state).toBe('unsure');
    expect(verdict(10.25, 0.1, 0, 10, true).state).toBe('unsure');
    expect(verdict(10.31, 0.1, 0, 10, true).state).toBe('out');
    expect(verdict(5, 0.1, 0, 10).state).toBe('in');
  });
  it('without limits is none', () => {
    expect(verdictOrNone(5, 0.1, null, null)).toBeNull();
    const f = stackEndFloat({
      washerMm: [1.5],
      washerGauge: { resolution: 0.01, accuracy: 0, scatter: 0.01 },
      gaps: [[1.2]],
      bladeGauge: { resolution: 0.01, accuracy: 0, scatter: 0.01 },
      spec: { minMm: null, maxMm: null }
    });
    expect(f.verdict).toBeNull();
  });
});

describe('what repeats and pieces share', () => {
  const blade = { resolution: 0.05, accuracy: 0.003, scatter: 0.005 };
  const washer = { resolution: 0.01, accuracy: 0.004, scatter: 0.004 };
  const float = (pack: 'nearest' | 'largest', gaps = [[1.2], [1.2]]) =>
    stackEndFloat({
      washerMm: [1.5],
      washerGauge: washer,
      gaps,
      bladeGauge: blade,
      pack,
      spec: { minMm: 0, maxMm: 1 }
    });
  it('the thickest pack that enters leaves half a step', () => {
    expect(float('nearest').floatMm - float('largest').floatMm).toBeCloseTo(0.025, 9);
  });
  it('the same blades at every place keep their errors; more of them a place bring more', () => {
    expect(float('nearest', [[1.2], [1.2], [1.2], [1.2]]).uMm).toBeCloseTo(float('nearest').uMm, 9);
    expect(
      float('nearest', [
        [0.6, 0.6],
        [0.6, 0.6]
      ]).uMm
    ).toBeGreaterThan(float('nearest').uMm);
  });
  it('pieces of one size were measured once: three of them are three times as wrong', () => {
    const picks = stackPick({
      currentMm: 0,
      uMm: 0.01,
      spec: { minMm: 0.29, maxMm: 0.31 },
      sense: 1,
      tray: [{ id: 'a', thicknessMm: 0.1, uMm: 0.004, count: 3 }],
      maxPieces: 3
    }).picks;
    expect(picks.find((p) => p.ids.length === 3)!.uMm).toBeCloseTo(Math.hypot(0.01, 0.012), 9);
  });
  it('a spring through two weights has no doubt of its own to show; a third weight or a known gauge gives one', () => {
    const loads = [
      { massG: 500, lengthMm: 20 },
      { massG: 2500, lengthMm: 30 }
    ];
    const rate = (i: Parameters<typeof springRate>[0]) => {
      const r = springRate(i);
      if (!r.ok) throw new Error(r.error.message);
      return r.out;
    };
    expect(rate({ loads }).uRate).toBeNull();
    const known = rate({ loads, lengthGauge: { resolution: 0.01, accuracy: 0, scatter: 0.1 } });
    expect(known.uRate).toBeCloseTo((known.rateNPerMm * 0.1 * stretch(20)) / Math.sqrt(50), 6);
    expect(rate({ loads: [...loads, { massG: 1500, lengthMm: 25.2 }] }).uRate).toBeGreaterThan(0);
  });
});

describe('signs that share a cause', () => {
  const seen = (...kinds: Parameters<typeof sharesCause>[0][]) => kinds.map((kind) => ({ kind, seen: true }));
  it('are one witness: however often number one\u2019s valves are looked at, they do not settle it', () => {
    const own = cycleEvidence({ evidence: seen('intakeJustClosed', 'bothValvesClosed', 'camMarksAgree'), prior: 0.5 });
    expect(own.state).toBe('unsure');
    expect(own.pCompression).toBeGreaterThan(0.93);
  });
  it('settle it with the companion\u2019s, which err together with them in two of a hundred', () => {
    const one = cycleEvidence({ evidence: seen('bothValvesClosed'), prior: 0.5 });
    expect([one.state, Math.round(one.pCompression * 100)]).toEqual(['unsure', 93]);
    // worked by hand: p = 60/61·…, A = 0.96·p + 0.04·q, L = 0.98·A² + 0.02·(1-A)² over its opposite
    const p = 60 * ((1 - 1 / 60) / (60 - 1 / 60));
    const A = 0.96 * p + 0.04 * (1 - p);
    const L = (0.98 * A * A + 0.02 * (1 - A) ** 2) / (0.98 * (1 - A) ** 2 + 0.02 * A * A);
    const both = cycleEvidence({ evidence: seen('bothValvesClosed', 'companionRocking'), prior: 0.5 });
    expect(both.pCompression).toBeCloseTo(L / (1 + L), 9);
    expect(both.state).toBe('compression');
  });
  it('are followed by one of another cause', () => {
    const given = seen('bothValvesClosed');
    const next = mostTelling(given, ['intakeJustClosed', 'camMarksAgree', 'airPushedOut'])!;
    expect(next).toBe('airPushedOut');
    expect(sharesCause(next, ['bothValvesClosed'])).toBe(false);
    expect(sharesCause('camMarksAgree', ['bothValvesClosed'])).toBe(true);
  });
});

describe('slack that was told too small', () => {
  it('is allowed for when backing up: half as much again and two degrees', () => {
    expect([slackTaken(0), slackTaken(10)]).toEqual([0, 17]);
    const plan = crankPlan({
      cycleDeg: 720,
      currentDeg: 30,
      targetDeg: 20,
      strokeKnown: true,
      approach: 'backUp',
      backlashDeg: 10,
      lastMove: 'forward',
      runningDirection: 'cw',
      view: 'front'
    });
    expect(plan.steps.map((s) => [s.move, s.degrees])).toEqual([
      ['backward', 27],
      ['forward', 17]
    ]);
  });
});

// simulated hands with a known truth: twice the stated u holds it about 95 times in 100
describe('what is claimed is held', { timeout: 60_000 }, () => {
  const TRIALS = 3000;
  const share = (hits: number) => (100 * hits) / TRIALS;

  it.each([1, 2, 3, 5, 20])('gauge.combine, a hand that scatters more than the step, %d readings', (n) => {
    const c = chances(n);
    const gauge = { resolution: 0.01, accuracy: 0.01, scatter: 0.05 };
    let hits = 0;
    for (let k = 0; k < TRIALS; k++) {
      const bias = c.within(gauge.accuracy);
      const readings = Array.from({ length: n }, () => c.step(15 + bias + c.normal(0.05), 0.01));
      const out = gaugeCombine({ readings, gauge });
      if (Math.abs(out.mean - 15) <= 2 * out.u) hits++;
    }
    expect(share(hits)).toBeGreaterThan(93);
    expect(share(hits)).toBeLessThan(98.5);
  });

  it.each([2, 5, 20])('gauge.combine, nothing known of the hand, %d readings', (n) => {
    const c = chances(100 + n);
    let hits = 0;
    for (let k = 0; k < TRIALS; k++) {
      const readings = Array.from({ length: n }, () => c.step(15 + c.normal(0.05), 0.01));
      const out = gaugeCombine({ readings, gauge: { resolution: 0.01, accuracy: 0 } });
      if (Math.abs(out.mean - 15) <= 2 * out.u) hits++;
    }
    expect(share(hits)).toBeGreaterThan(93);
    expect(share(hits)).toBeLessThan(98.5);
  });

  it.each([1, 2, 3, 5])('tdc.pairs, a wheel whose graduations are off, %d pairs', (n) => {
    const c = chances(200 + n);
    const wheel = { resolution: 0.1, accuracy: 0.1, scatter: 0.5 };
    let hits = 0;
    for (let k = 0; k < TRIALS; k++) {
      const [before, after] = [c.within(wheel.accuracy), c.within(wheel.accuracy)];
      const read = (deg: number) => c.step(deg + c.normal(0.5), 0.1);
      const pairs = Array.from({ length: n }, () => ({
        beforeWheelDeg: read(330 + before),
        afterWheelDeg: read(30 + after)
      }));
      const out = tdcPairs({ pairs, wheel });
      if (out.ok && Math.abs(out.out.errorDeg) <= 2 * out.out.uDeg) hits++;
    }
    expect(share(hits)).toBeGreaterThan(93);
    expect(share(hits)).toBeLessThan(98.5);
  });

  it.each([5, 8, 20])('tdc.fit, a dial that scatters, %d readings; good ones are hardly ever thrown out', (n) => {
    const c = chances(300 + n);
    const geometry = { strokeMm: 88, rodMm: 143 };
    const s = slider(geometry);
    if (!s.ok) throw new Error('geometry');
    let hits = 0;
    let thrown = 0;
    const trials = 800;
    for (let k = 0; k < trials; k++) {
      const readings = Array.from({ length: n }, (_, i) => {
        const at = -45 + (90 * i) / (n - 1);
        const theta = (Math.abs(at) < 4 ? 4 : at) + c.within(1.5);
        return { wheelDeg: c.step(theta, 0.1), dialMm: c.step(-dropMm(s.out, theta) + c.normal(0.03), 0.01) };
      });
      const out = tdcFit({
        readings,
        ...geometry,
        dialSense: 1,
        wheel: { resolution: 0.1, accuracy: 0 },
        dial: { resolution: 0.01, accuracy: 0 }
      });
      if (!out.ok) continue;
      if (Math.abs(wrap180(out.out.tdcWheelDeg)) <= 2 * out.out.uDeg) hits++;
      if (out.out.outliers.length) thrown++;
    }
    expect((100 * hits) / trials).toBeGreaterThan(92);
    expect((100 * thrown) / trials).toBeLessThan(4);
  });

  it('curve.fit, eight noisy points: initial and total timing', () => {
    const c = chances(400);
    const strobe = { resolution: 0.1, accuracy: 0.2, scatter: 1 };
    let hits = 0;
    const trials = 600;
    const truth = (x: number) => 8 + (24 * (Math.min(2600, Math.max(1000, x)) - 1000)) / 1600;
    for (let k = 0; k < trials; k++) {
      const bias = c.within(0.2);
      const points = [700, 900, 1300, 1700, 2100, 2500, 2900, 3300].map((rpm) => ({
        rpm,
        deg: c.step(truth(rpm) + bias + c.normal(1), 0.1)
      }));
      const fit = curveFit({ points, maxRamps: 2, strobe, tacho: { resolution: 10, accuracy: 20 } });
      if (fit.ok && Math.abs(fit.out.fullDeg - 32) <= 2 * (fit.out.uTotalDeg ?? Infinity)) hits++;
    }
    expect((100 * hits) / trials).toBeGreaterThan(92);
  });
});

describe('the budget of a setting', () => {
  const strobe =
    (text: string, slot = 'strobe') =>
    (job: PlayedJob) =>
      job.read('strobe', slot, text);
  const row = (...all: ((job: PlayedJob) => unknown)[]) => {
    const job = new PlayedJob().toStroke();
    for (const say of all) say(job);
    return job.state.work.timing.strobe!;
  };
  it('shows hand, step, the gauge’s own and the reference apart, and adds up to the whole', () => {
    const { latest } = row(strobe('9.5b'));
    const { u, shares } = shared(settingDoubt(latest!, true, [], []).parts);
    expect(u).toBeCloseTo(latest!.uDeg, 9);
    expect(shares.map((s) => s.name)).toEqual(['the gauge’s own ±', 'where true TDC lies', 'the hand’s scatter']);
  });
});

describe('repeats that disagree', () => {
  const at = (hand: { scatter: number; scatterDof: number }) =>
    tdcPairs({
      pairs: [
        { beforeWheelDeg: 342.5, afterWheelDeg: 11.5 },
        { beforeWheelDeg: 343.5, afterWheelDeg: 12 }
      ],
      wheel: { resolution: 0.1, accuracy: 0.1, ...hand }
    });
  it('widen the scatter to what was seen, and carry it', () => {
    // middles 357.00 and 357.75 by a hand whose middles scatter 0.12°
    const apart = at({ scatter: 0.12 * Math.SQRT2, scatterDof: 20 });
    if (!apart.ok) throw new Error(apart.error.message);
    expect(apart.out.disagree).toBe(true);
    // the standard deviation of both is 0.75/√2, of their mean half of 0.75
    expect(apart.out.uDeg).toBeGreaterThanOrEqual(0.375);
  });
  it('are none where the hand scatters that far anyway', () => {
    const loose = at({ scatter: 0.5, scatterDof: 20 });
    expect(loose.ok && loose.out.disagree).toBeUndefined();
  });
  it('are never called in, whichever limits there are', () => {
    const job = new PlayedJob(engineWith({ ...SHEET, tdcWithinDeg: '5' }));
    job.pairs('1.8', ['342.5', '11.5'], ['343.5', '12.0']);
    expect(job.state.work.tdc.verdict!.state).toBe('unsure');
    expect(job.tryTo({ kind: 'done', step: 'tdc' }).ok).toBe(false);
    const even = new PlayedJob(engineWith({ ...SHEET, tdcWithinDeg: '5' }));
    even.pairs('1.8', ['343', '12.0'], ['343', '12.0']);
    expect(even.state.work.tdc.verdict!.state).toBe('in');
  });
});
