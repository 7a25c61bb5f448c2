import { describe, expect, it } from 'vitest';
import { repeatsIn } from '$core/job/index.ts';
import { runSheets } from '$core/sheets/index.ts';
import { stretch } from '$core/numerics/student.ts';
import { sampleSd } from '$core/numerics/statistics.ts';
import { handRows } from '$core/tray/hand-rows.ts';
import { ASSUMED_DOF, assumedScatter, learntInHand, learntKey, learntWith, trayInHand } from '$core/tray/hands.ts';
import { readsOf } from '$core/tray/reads.ts';
import type { TrayGauge } from '$core/tray/gauge-kinds.ts';
import { chances } from '../../../study/chances.ts';
import { GAUGES, PlayedJob } from '../../support/played.ts';

const gauge = (more: Partial<TrayGauge> = {}): TrayGauge => ({
  id: 'strobe',
  name: 'Strobe',
  kind: 'strobe',
  resolution: 0.1,
  accuracy: 0.2,
  perRevMm: null,
  calibratedOn: null,
  scatter: null,
  scatterDof: null,
  ...more
});

describe('repeats in a job', () => {
  const strobes = (...texts: string[]) => {
    const job = new PlayedJob().toStroke();
    for (const [k, text] of texts.entries()) job.read('strobe', k === 0 ? 'strobe' : 'strobe-again', text);
    return job;
  };
  const ofKind = (job: PlayedJob, kind: string) => repeatsIn(job.state).filter((r) => r.kind === kind);

  it('tell of a hand: n of one setting bring n-1 degrees of freedom and their squares', () => {
    const [told] = ofKind(strobes('9.5b', '9.9b', '9.1b', '9.7b'), 'strobe');
    expect(told).toMatchObject({ person: 'Ines Farrow', dof: 3, n: 4 });
    expect(Math.sqrt(told!.ss / 3)).toBeCloseTo(sampleSd([9.5, 9.9, 9.1, 9.7]), 9);
  });
  it('of a housing that was turned in between tell nothing: a new setting begins', () => {
    const job = strobes('9.5b', '9.7b');
    job.read('strobe', 'strobe', '7.1b');
    job.read('strobe', 'strobe-again', '7.2b');
    const [told] = ofKind(job, 'strobe');
    expect(told).toMatchObject({ dof: 2, n: 4 });
    expect(told!.ss).toBeCloseTo(0.02 + 0.005, 9);
  });
  it('read by two people are each their own', () => {
    const job = strobes('9.5b', '9.7b');
    const gaugeRef = GAUGES.strobe!;
    const figure = { quantity: 'timing', unit: 'deg', resolution: 0.1, gauge: gaugeRef } as const;
    for (const value of [9.4, 9.6])
      job.say(
        { kind: 'reading', step: 'strobe', slot: 'strobe-again', text: `${value}b`, value, ...figure },
        'Tom Bright'
      );
    expect(ofKind(job, 'strobe').map((r) => [r.person, r.dof])).toEqual([
      ['Ines Farrow', 1],
      ['Tom Bright', 1]
    ]);
  });
  it('without a gauge, alone, or undone tell nothing', () => {
    expect(ofKind(strobes('9.5b'), 'strobe')).toEqual([]);
    const job = strobes('9.5b');
    const again = job.read('strobe', 'strobe-again', '12b');
    job.say({ kind: 'undo', undoes: again.id });
    expect(ofKind(job, 'strobe')).toEqual([]);
  });
  it('as middles of pairs bring the scatter of one reading, not of the middle', () => {
    const job = new PlayedJob().toTdc();
    const [told] = ofKind(job, 'wheel');
    const middles = job.state.work.tdc.rows.map((r) => (r.middleDeg! > 180 ? r.middleDeg! - 360 : r.middleDeg!));
    expect(told).toMatchObject({ dof: 2, n: 3 });
    expect(told!.ss).toBeCloseTo(2 * 2 * sampleSd(middles) ** 2, 9);
  });
  it('of a wheel that slipped between two pairs are not learnt from', () => {
    const job = new PlayedJob().toTdc();
    job.read('tdc', 'before', '347');
    job.read('tdc', 'after', '15.5');
    expect(job.state.work.tdc.rows.some((r) => r.farOff)).toBe(true);
    expect(ofKind(job, 'wheel')).toEqual([]);
  });
  it('tell of the gauge and of what was read alone: pairs at the stop say nothing of another reading', () => {
    const job = new PlayedJob().toTdc();
    const [told] = ofKind(job, 'wheel');
    expect(told).toMatchObject({ gauge: GAUGES.wheel!.id, reads: 'flank' });
    expect([readsOf('before'), readsOf('after')]).toEqual(['flank', 'flank']);
    expect([readsOf('element-again'), readsOf('rotor-back')]).toEqual(['element', 'rotor']);
    const hand = { [learntKey(GAUGES.wheel!.id, 'flank')]: told! };
    expect(learntWith(hand, GAUGES.wheel!.id)).toMatchObject({ dof: 2, n: 3 });
    expect(learntWith(hand, 'head')).toBeNull();
  });
  it('of the gap are places and not repeats: the face may be tilted', () => {
    const gaps = runSheets.flatMap((s) => s.steps.flatMap((t) => t.slots.filter((x) => x.slot === 'gap')));
    expect(gaps.length).toBeGreaterThan(0);
    for (const gap of gaps) expect(gap.combine).toBe('each');
  });
});

describe('a hand that was learnt', () => {
  it('begins from the assumption and goes over to what the repeats say, by degrees of freedom', () => {
    const held = learntInHand(gauge(), { dof: 18, ss: 18 * 0.6 ** 2, n: 24 });
    const pooled = (ASSUMED_DOF * assumedScatter.strobe ** 2 + 18 * 0.36) / (ASSUMED_DOF + 18);
    expect(held).toMatchObject({ scatterDof: ASSUMED_DOF + 18 });
    expect(held.scatter).toBeCloseTo(Math.sqrt(pooled), 9);
  });
  it('begins from what was measured with this gauge, where it was', () => {
    const held = learntInHand(gauge({ scatter: 0.1, scatterDof: 9 }), { dof: 9, ss: 9 * 0.3 ** 2, n: 12 });
    expect(held.scatter).toBeCloseTo(Math.sqrt((0.01 + 0.09) / 2), 9);
    expect(held.scatterDof).toBe(18);
  });
  it('is left as it is without repeats', () => {
    expect(learntInHand(gauge(), undefined)).toEqual(gauge());
    expect(trayInHand(gauge()).scatter).toBe(assumedScatter.strobe);
  });
  it('comes close to the truth, and its ± then holds, whatever was assumed', () => {
    for (const truth of [0.1, 0.9]) {
      const c = chances(7 + truth * 100);
      // forty settings; what was assumed still weighs a little, towards the wider where the hand is the finer of three readings each
      let ss = 0;
      for (let k = 0; k < 40; k++) {
        const three = [c.normal(truth), c.normal(truth), c.normal(truth)];
        ss += 2 * sampleSd(three) ** 2;
      }
      const held = learntInHand(gauge(), { dof: 80, ss, n: 120 });
      expect(held.scatter! / truth).toBeGreaterThan(0.8);
      expect(held.scatter! / truth).toBeLessThan(1.35);
    }
  });
});

describe('the view of hands', () => {
  const learnt = [
    { gauge: 'strobe', reads: 'the mark', name: 'Zoe', dof: 20, ss: 20 * 0.01, n: 24, jobs: 3 },
    { gauge: 'strobe', reads: 'the mark', name: 'Abel', dof: 20, ss: 20 * 0.81, n: 24, jobs: 2 },
    { gauge: 'w', reads: 'flanks', name: 'Zoe', dof: 4, ss: 4, n: 6, jobs: 1 }
  ];
  it('names people in the order of their names, whoever reads closer', () => {
    const [strobe] = handRows([gauge()], learnt);
    expect(strobe!.hands.map((h) => h.name)).toEqual([null, 'Abel', 'Zoe']);
    expect(strobe!.begins).toEqual({ from: 'assumed', scatter: assumedScatter.strobe, dof: ASSUMED_DOF });
  });
  it('says what a hand does to one reading and to an answer that is often made', () => {
    const [strobe, wheel] = handRows([gauge(), gauge({ id: 'w', kind: 'wheel', resolution: 0.5 })], learnt);
    const [assumed, abel, zoe] = strobe!.hands;
    expect(abel!.onePm).toBeGreaterThan(assumed!.onePm);
    expect(zoe!.onePm).toBeLessThan(assumed!.onePm);
    for (const h of strobe!.hands) expect(h.typical.pm).toBeLessThan(h.onePm);
    expect(wheel!.hands[0]!.typical.what).toBe('true TDC by two pairs');
    // two pairs by a hand of 0.2°: a middle has 0.2/√2, two of them 0.2/2, with seven degrees of freedom
    const hand = (assumedScatter.wheel / 2) * stretch(ASSUMED_DOF + 1);
    expect(wheel!.hands[0]!.typical.pm).toBeCloseTo(2 * Math.hypot(hand, 0.2 / Math.sqrt(6)), 9);
  });
});
