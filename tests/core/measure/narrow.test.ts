import { describe, expect, it } from 'vitest';
import { stackEndFloat } from '$core/calculations/stack/stack-end-float.ts';
import { repeatedU } from '$core/calculations/gauge/hand.ts';
import { tdcDoubt } from '$core/domains/crank/tdc-doubt.ts';
import { floatDoubt } from '$core/domains/stack/float-doubt.ts';
import { settingDoubt } from '$core/domains/timing/setting-doubt.ts';
import { gaugeOf } from '$core/job/readings.ts';
import {
  adviceText,
  KNOW_THE_HAND,
  meanRemedies,
  narrowest,
  shared,
  type Doubt,
  type NamedGauge
} from '$core/job/narrow.ts';
import { ASSUMED_DOF } from '$core/tray/hands.ts';
import { GAUGES, mm, PlayedJob } from '../../support/played.ts';

const none = () => [];
const named = (id: string, more: Partial<NamedGauge>): NamedGauge => ({
  id,
  name: id.toUpperCase(),
  resolution: 0.1,
  accuracy: 0.1,
  scatter: 0.1,
  scatterDof: 20,
  ...more
});

describe('what narrows a figure most', () => {
  it('is the remedy with the least doubt, and none where nothing brings a twentieth', () => {
    const remedies = [
      { what: 'a', u: 0.9 },
      { what: 'b', u: 0.5 },
      { what: 'c', u: 0.5 }
    ];
    expect(narrowest(1, remedies)?.what).toBe('b');
    expect(narrowest(1, [{ what: 'a', u: 0.96 }])).toBeNull();
  });
  it('is said with where most of the doubt comes from, from what to what', () => {
    const parts = [
      { name: 'x', u: 0.3 },
      { name: 'y', u: 0.4 }
    ];
    const pm = (u: number) => `± ${(2 * u).toFixed(2)}°`;
    expect(shared(parts).u).toBeCloseTo(0.5, 12);
    expect(adviceText(parts, [{ what: 'a finer wheel', u: 0.25 }], pm)).toBe(
      'Most of it, 64 %, is y. What narrows it most: a finer wheel, from ± 1.00° to ± 0.50°.'
    );
    expect(adviceText(parts, [], pm)).toBe('Most of it, 64 %, is y. Nothing within reach narrows it by a twentieth.');
    expect(adviceText([], [], pm)).toBe('');
  });
  it('asks for repeats only of a hand that is assumed, and never counts the gauge in hand as another', () => {
    const gauge = { resolution: 0.1, accuracy: 0, scatter: 0.5, scatterDof: ASSUMED_DOF };
    const whats = (g: typeof gauge) =>
      meanRemedies([1], g, [named('mine', {})], { gaugeId: 'mine' }).map((r) => r.what);
    expect(whats(gauge)).toEqual(['one more reading', KNOW_THE_HAND]);
    expect(whats({ ...gauge, scatterDof: 20 })).toEqual(['one more reading']);
  });
});

const said = ({ parts, remedies }: Doubt) => adviceText(parts, remedies, (u) => `± ${(2 * u).toFixed(2)}°`);

describe('a setting', () => {
  const strobe = (...texts: string[]) => {
    const job = new PlayedJob().toStroke();
    for (const [k, text] of texts.entries()) job.read('strobe', k === 0 ? 'strobe' : 'strobe-again', text);
    return job.state.work.timing.strobe!.latest!;
  };
  const ofMore = (row: ReturnType<typeof strobe>) =>
    meanRemedies(
      row.readings.map((r) => r.value),
      row.gauge,
      [],
      { rest: row.uMark }
    )[0]!.u;
  it('is told what one more reading would bring, and the next one then brings no less', () => {
    const before = strobe('9.5b');
    expect(ofMore(before)).toBeLessThan(before.uDeg);
    // the second agreed with the first: it scattered less than the hand was known to
    expect(strobe('9.5b', '9.5b').uDeg).toBeLessThanOrEqual(ofMore(before) + 1e-9);
  });
  it('whose doubt is the gauge’s own is sent to a truer one in the tray, if there is one', () => {
    const row = strobe('9.5b');
    const truer = named('st-2', { resolution: 0.1, accuracy: 0.1 });
    const advice = said(settingDoubt(row, true, [truer], []));
    expect(advice).toContain('is the gauge’s own ±');
    const then = 2 * Math.hypot(repeatedU(0.1, 1, truer).u, row.uMark);
    expect(advice).toContain(
      `What narrows it most: reading it with ST-2, from ± ${(2 * row.uDeg).toFixed(2)}° to ± ${then.toFixed(2)}°.`
    );
  });
  it('whose doubt is the hand is told to read again', () => {
    expect(said(settingDoubt(strobe('9.5b', '16b'), true, [], []))).toMatch(
      /is the hand’s scatter\. What narrows it most: one more reading, from/
    );
  });
});

describe('true TDC', () => {
  const found = (job: PlayedJob) => job.state.work.tdc;
  const pairs = (depth: string, ...rows: [string, string][]) =>
    new PlayedJob().done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel').pairs(depth, ...rows);
  const onePair = (job: PlayedJob) =>
    tdcDoubt(found(job), job.engine, none, mm)!.remedies.find((r) => r.what === 'one more pair')!.u;
  it('has parts that add up to its doubt', () => {
    const job = new PlayedJob().toTdc();
    const doubt = tdcDoubt(found(job), job.engine, none, mm)!;
    expect(shared(doubt.parts).u).toBeCloseTo(found(job).found!.uDeg, 9);
  });
  it('is promised something by another pair where the pairs scatter, and nothing where the step of the wheel rules', () => {
    const loose = new PlayedJob().toTdc();
    expect(onePair(loose)).toBeLessThan(0.95 * found(loose).found!.uDeg);
    const close = pairs('1.8', ['343.5', '12.5'], ['343.5', '12.5'], ['343.5', '12.5']);
    expect(onePair(close)).toBeCloseTo(found(close).found!.uDeg, 9);
  });
  it('read higher up than is good is sent further down, and another depth then brings just that', () => {
    const shallow = pairs('0.3', ['354.0', '0.0'], ['354.0', '0.0'], ['354.0', '0.0']);
    const doubt = tdcDoubt(found(shallow), shallow.engine, none, mm)!;
    const deeper = doubt.remedies.find((r) => r.what.includes('where the piston moves faster'))!;
    expect(deeper.u).toBeLessThan(0.9 * found(shallow).found!.uDeg);
    expect(narrowest(found(shallow).found!.uDeg, doubt.remedies)).toBe(deeper);
  });
  it('by a wheel that is coarse is sent to the finer one', () => {
    const job = new PlayedJob().toTdc();
    const fine = named('wheel-f', { resolution: 0.1, accuracy: 0.05, scatter: 0.05 });
    const doubt = tdcDoubt(found(job), job.engine, (kind) => (kind === 'wheel' ? [fine] : []), mm)!;
    const by = doubt.remedies.find((r) => r.what === 'taking the pairs with WHEEL-F')!;
    expect(by.u).toBeLessThan(doubt.remedies.find((r) => r.what === 'one more pair')!.u);
  });
});

describe('an end float', () => {
  const measured = (...gaps: string[]) => {
    const job = new PlayedJob(undefined, 'pedestal');
    job.read('washer', 'washer', '3.06');
    for (const gap of gaps) job.read('gap', 'gap', gap);
    return job.state.work.stack;
  };
  it('has parts that add up to its doubt', () => {
    const work = measured('2.0 + 0.8', '2.0 + 0.8');
    expect(shared(floatDoubt(work, none)!.parts).u).toBeCloseTo(work.float!.uMm, 9);
  });
  it('is told what another place brings: what that place then does', () => {
    const [two, three] = [measured('2.0 + 0.8', '2.0 + 0.8'), measured('2.0 + 0.8', '2.0 + 0.8', '2.0 + 0.8')];
    const more = floatDoubt(two, none)!.remedies.find((r) => r.what.startsWith('one more place'))!;
    expect(more.u).toBeCloseTo(three.float!.uMm, 9);
  });
  it('is told what a finer micrometer brings: what the sum with it says', () => {
    const work = measured('2.8');
    const fine = named('mic-f', { resolution: 0.001, accuracy: 0.002, scatter: 0.001 });
    const told = floatDoubt(work, (kind) => (kind === 'micrometer' ? [fine] : []))!.remedies;
    const withIt = stackEndFloat({
      washerMm: [3.06],
      washerGauge: fine,
      gaps: [[2.8]],
      bladeGauge: gaugeOf(work.gaps[0]!.reading),
      spec: { minMm: null, maxMm: null }
    });
    expect(told.find((r) => r.what === 'reading it with MIC-F')!.u).toBeCloseTo(withIt.uMm, 9);
    expect(GAUGES.micrometer!.accuracy).toBeGreaterThan(fine.accuracy);
  });
});
