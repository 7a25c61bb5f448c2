import { describe, expect, it } from 'vitest';
import { roundedOtherwise } from '$core/job/judged.ts';
import { jobCard } from '$core/job/card.ts';
import { notSettled, settledFigures } from '$core/job/index.ts';
import { budgetText } from '$core/domains/recurve/budget-work.ts';
import type { Engine } from '$core/engine/engine.ts';
import { engineWith, headline, mm, PlayedJob, SHEET } from '../../support/played.ts';
import { CURVE, found } from '../../support/curve-jobs.ts';

/** Judgement calls that the core supports with figures: what speaks for what, and how sure that is. */
describe('the budget of the total', () => {
  const plain = (values: Record<string, string>) =>
    new PlayedJob(engineWith({ ...SHEET, vacuumUnit: 'none', ...values }), 'recurve').state.work.budget;
  it('adds initial and mechanical advance of the data sheet, and says what initial timing is left', () => {
    const b = plain({ stopDeg: '22', totalMaxBtdc: '32 before' });
    expect(b.initial).toMatchObject({ deg: 7, u: null, from: expect.stringContaining('data sheet') });
    expect(b.total).toEqual({ btdc: 29, u: null, verdict: null });
    expect(b.initialMost).toBe(10);
    expect(budgetText(b)).toBe(
      'With 22.0° of mechanical advance the initial timing may be 10.0° at most, for a total of 32° at most'
    );
  });
  it('is measured where the curve was swept: with its ±, and judged by the limit', () => {
    const { state } = found({ ...CURVE, totalMaxBtdc: '30' });
    const b = state.work.budget;
    const sweep = state.work.sweeps[0]!;
    expect(b.mechanical!.deg).toBeCloseTo(sweep.fit!.fullDeg - sweep.initialBtdc!, 9);
    expect(b.total!.btdc).toBeCloseTo(sweep.fit!.fullDeg, 9);
    expect(b.total!.u).toBe(sweep.total!.uDeg);
    expect(b.total!.verdict?.state).toBe(sweep.total!.verdict?.state);
  });
  it('adds the capsule for part load, and says what to do when that is too much', () => {
    const values = { stopDeg: '22', totalMaxBtdc: '32 before', vacuumCurve: '15 0; 25 6; 40 14' };
    expect(plain(values).partLoad).toBe(43);
    expect(budgetText(plain(values))).toContain('no limit');
    expect(budgetText(plain({ ...values, partLoadMaxBtdc: '40 before' }))).toMatch(
      /43\.0° at part load, above the 40° it may have: limit the capsule/
    );
    expect(budgetText(plain({ ...values, partLoadMaxBtdc: '48 before' }))).toContain('of 48° at most');
  });
  it('says nothing where there is nothing to say it from', () => {
    expect(budgetText(plain({ totalMaxBtdc: '32 before' }))).toBeNull();
    expect(budgetText(plain({ stopDeg: '22' }))).toBeNull();
  });
});

describe('knock under load', () => {
  const job = () => new PlayedJob(engineWith(CURVE), 'recurve');
  const open = (j: PlayedJob) => notSettled(j.state, j.view('load'));
  const say = (j: PlayedJob, option: string) => j.say({ kind: 'choose', school: 'knock-heard', option });
  it('is asked, and no knock takes nothing back', () => {
    const j = job();
    expect(open(j)).toContain('nobody has said');
    say(j, 'none');
    expect(open(j)).toBeNull();
    expect(headline(j, 'load')).toBe('No knock at the worst load and fuel: nothing is taken back');
  });
  it('is taken back step by step, with a margin beyond, and what it leaves is told', () => {
    const j = job();
    say(j, 'still');
    expect(headline(j, 'load')).toContain('lift the throttle at once');
    j.read('load', 'taken-back', '1.5');
    j.read('load', 'taken-back', '1.5');
    expect(open(j)).toContain('it still knocks');
    say(j, 'gone');
    expect(open(j)).toContain('for safety');
    j.read('load', 'knock-margin', '1');
    expect(open(j)).toBeNull();
    const initial = Number(CURVE.staticBtdc);
    expect(headline(j, 'load')).toBe(
      `Taken back 3.0° in 2 steps and 1.0° for safety, the initial timing is then ${(initial - 4).toFixed(1)}°`
    );
    expect(JSON.stringify(jobCard(j.state, j.engine, mm))).toContain('Knock under load');
  });
  it('that is gone without a step logged is open', () => {
    const j = job();
    say(j, 'gone');
    expect(open(j)).toContain('not logged');
  });
});

describe('the bias of a first start', () => {
  const learnt = (value: number, u: number | null): Engine => ({
    ...engineWith(SHEET),
    earlier: { 'rest-error': { value, u, at: '2025-05-03T10:00:00Z', output: null } }
  });
  const school = (e: Engine) => new PlayedJob(e, 'static-timing').state.schools.bias!;
  it('is proposed from what the strobe read last on this engine, and not within its doubt', () => {
    expect(school(learnt(-2.4, 0.5))).toMatchObject({
      option: 'advance',
      because: 'set at rest on this engine, the strobe last read 2.4° ± 1.0° late'
    });
    expect(school(learnt(2.4, 0.5)).option).toBe('retard');
    expect(school(learnt(-0.8, 0.5)).option).toBe('none');
    expect(school(learnt(-2.4, null)).option).toBe('none');
  });
  it('is as large as what was learnt, unless another is typed', () => {
    const j = new PlayedJob(learnt(-2.4, 0.5), 'static-timing');
    expect(headline(j, 'bias')).toContain('2.4° early, logged as a bias');
    j.read('bias', 'bias', '1');
    expect(headline(j, 'bias')).toContain('1.0° early, logged as a bias');
  });
  it('is learnt: the first strobe reading less what was set at rest and less the bias', () => {
    const j = new PlayedJob(engineWith(SHEET), 'static-timing');
    j.read('index', 'fires', '7b');
    j.say({ kind: 'choose', school: 'bias', option: 'advance' });
    j.read('bias', 'bias', '1');
    j.read('strobe', 'strobe', '5b');
    j.read('strobe', 'strobe', '7b');
    const f = settledFigures(j.state).find((x) => x.key === 'rest-error')!;
    // 5 by strobe, 7 set, 1 of it on purpose: three degrees late
    expect(f.value).toBeCloseTo(-3, 9);
    expect(f.u).toBeGreaterThan(0);
  });
});

describe('a figure that is written shorter than it is', () => {
  const slot = { slot: 's', label: 's', quantity: 'length', gauge: 'dial' } as const;
  const judged = (value: number, u: number, max: number) => ({
    value,
    u,
    n: 1,
    min: null,
    max,
    target: null,
    verdict: { state: (value + 2 * u <= max ? 'in' : 'unsure') as 'in' | 'unsure', pInSpec: 0.9 }
  });
  it('is told where the shorter one would be judged otherwise', () => {
    expect(roundedOtherwise(slot, judged(0.2004, 0.01, 0.22))).toBe(0.2);
    expect(roundedOtherwise(slot, judged(0.2, 0.01, 0.22))).toBeNull();
    expect(roundedOtherwise(slot, judged(0.15, 0.01, 0.22))).toBeNull();
  });
});

describe('the risk of drawing a shaft in place', () => {
  const job = (said: Record<string, string>, hours?: [place: string, split: string]) => {
    const j = new PlayedJob(engineWith(SHEET), 'shaft-in-place');
    for (const [school, option] of Object.entries(said)) j.say({ kind: 'choose', school, option });
    if (hours) {
      j.read('decide', 'hours-place', hours[0]);
      j.read('decide', 'hours-split', hours[1]);
    }
    return j;
  };
  const GOOD = { 'risk-rings': 'known', 'risk-flange': 'sound', 'risk-tools': 'proper', 'risk-hands': 'practised' };
  it('is not told before everything is answered', () => {
    const { 'risk-hands': _, ...some } = GOOD;
    expect(job(some).state.work.risk.pSplit).toBeNull();
  });
  it('is one less the chance that nothing happens, and weighs the hours of both ways', () => {
    const w = job(GOOD, ['5', '16']).state.work.risk;
    expect(w.pSplit).toBeCloseTo(1 - 0.95 * 0.98 * 0.95 * 0.97, 9);
    expect(w.expected).toBeCloseTo(5 + w.pSplit! * 16, 9);
  });
  it('proposes it only with rings accounted for, however many hours it saves', () => {
    expect(job(GOOD, ['5', '16']).state.schools['shaft-in-place']).toMatchObject({ option: 'in-place' });
    for (const [question, option, why] of [
      ['risk-rings', 'unsure', /^Open the case: never draw the shaft over rings/],
      ['risk-flange', 'aged', /^Open the case: never lever an aged flange/],
      ['risk-tools', 'made', /^Open the case: never draw the shaft with a puller/]
    ] as const) {
      const j = job({ ...GOOD, [question]: option }, ['1', '40']);
      expect(j.state.schools['shaft-in-place']!.option).toBe('split');
      expect(headline(j, 'decide')).toMatch(why);
    }
    expect(job(GOOD, ['15', '16']).state.schools['shaft-in-place']!.option).toBe('split');
  });
  it('wants a plain yes, and takes none over an answer that speaks against it', () => {
    const open = (j: PlayedJob) => notSettled(j.state, j.view('decide'));
    const good = job(GOOD, ['5', '16']);
    expect(open(good)).toContain('nobody has said yes');
    for (const [option, what] of [
      ['live', 'live with it'],
      ['split', 'open the case']
    ] as const) {
      good.say({ kind: 'choose', school: 'shaft-in-place', option });
      expect(open(good)).toContain(what);
      expect(good.view('decide').step.say).toContain('Close this job');
    }
    good.say({ kind: 'choose', school: 'shaft-in-place', option: 'in-place' });
    expect(open(good)).toBeNull();
    const bad = job({ ...GOOD, 'risk-rings': 'unsure', 'shaft-in-place': 'in-place' }, ['1', '40']);
    const why = open(bad)!;
    expect(why).toContain('close this job and open the case');
    const left = bad.tryTo({
      kind: 'override',
      step: 'decide',
      flags: [],
      open: why,
      reason: 'we have done it before'
    });
    expect(left.ok).toBe(false);
  });
});
