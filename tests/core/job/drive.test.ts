import * as crankWords from '$core/domains/crank/words.ts';
import { describe, expect, it } from 'vitest';
import { jobCard } from '$core/job/card.ts';
import { notSettled, settledFigures } from '$core/job/index.ts';
import { floatToFill, pickPlan } from '$core/domains/stack/picks.ts';
import { NO_TRIAL, whatIf, type Trial } from '$core/domains/stack/what-if.ts';
import { heightToFill } from '$core/domains/rings/rings-work.ts';
import { lastPatch } from '$core/domains/stack/patch-work.ts';
import { rivalText } from '$core/domains/tooth/tooth-work.ts';
import { doubt } from '$core/job/doubt.ts';
import { readFor } from '$core/job/next-slot.ts';
import type { PartKind } from '$core/tray/part-kinds.ts';
import { agrees } from '../../support/close.ts';
import { engineWith, PlayedJob, mm, headline } from '../../support/played.ts';
import {
  atTooth,
  DRIVE,
  expected,
  inputs,
  measured,
  packed,
  pedestal,
  planned,
  tray
} from '../../support/drive-jobs.ts';

const picks = (job: PlayedJob) => pickPlan(floatToFill(job.state, 'packing'), 'packing', tray);

describe('end float and packing', () => {
  it('come out of washer and blades as the scenario has them, each blade with its own doubt', () => {
    const { bare } = measured().state.work.stack;
    expect(agrees(bare, expected('stack.endFloat'), 1e-3)).toBe(true);
    // step and ± of the micrometer, feel and ± of two blades a place, worked out apart
    expect(bare!.uMm).toBeCloseTo(0.00943, 5);
    expect(bare!.verdict!.state).toBe('out');
  });
  it('rank the tray as the scenario does, and name what nothing reaches', () => {
    const plan = picks(measured())!;
    const want = expected('stack.pick') as { idealMm: number; picks: { ids: string[] }[] };
    expect(plan.idealMm).toBeCloseTo(want.idealMm, 4);
    // two pieces of one size share their error: where they rank is not in the scenario
    const ids = plan.picks.map((p) => p.ids).filter((all) => new Set(all).size === all.length);
    expect(ids).toEqual(want.picks.map((p) => p.ids).slice(0, ids.length));
    expect(ids.length).toBeGreaterThan(2);
    expect(plan.cutToMm).toBeNull();
    const poor = pickPlan(
      floatToFill(measured().state, 'packing'),
      'packing',
      tray.filter((t) => t.id !== 'PK-12').map((t) => ({ ...t, count: 1 }))
    )!;
    expect(poor.cutToMm).toBeCloseTo(0.1217, 4);
  });
  it('keep the packing step open until what was taken is surely in limits', () => {
    const job = measured();
    expect(notSettled(job.state, job.view('packing'))).toContain('outside the limits');
    job.take('packing', 'packing', ['PK-08', 0.081, 0.004]);
    expect(notSettled(job.state, job.view('packing'))).toContain('too close to call');
    job.take('packing', 'packing', ['PK-12', 0.117, 0.004]);
    expect(notSettled(job.state, job.view('packing'))).toBeNull();
    expect(job.state.work.stack.packing.map((p) => p.name)).toEqual(['PK-12']);
  });
  it('follow the school: the loose end asks for more packing than the middle', () => {
    const job = measured();
    const middle = picks(job)!.idealMm;
    job.say({ kind: 'choose', school: 'float-target', option: 'loose' });
    expect(picks(job)!.idealMm).toBeCloseTo(middle + 0.025, 6);
  });
  it('stop the job when the gap is wider than the washer: the drive would be clamped', () => {
    const job = pedestal();
    job.read('gap', 'gap', '0.813 + 0.700');
    expect(job.state.work.stack.clamped).toBe(true);
    expect(job.state.interlocks.map((r) => r.id)).toContain('IL.float');
    expect(headline(job, 'gap')).toContain('clamped');
  });
  it('ask once about a stack no hand can hold, a place that disagrees, and a gap above the washer', () => {
    const job = pedestal();
    const ask = (text: string) => {
      const step = job.view('gap').step;
      const read = readFor(job.state, step, text, () => ({ unit: 'mm' }));
      if (!read.ok) throw new Error(read.error.message);
      return doubt({
        state: job.state,
        engine: job.engine,
        step: step,
        aim: read.out.aim,
        figure: read.out.figure,
        text,
        len: mm
      });
    };
    expect(ask('0.3 + 0.3 + 0.3 + 0.3 + 0.2')).toContain('5 blades');
    expect(ask('0.81 + 0.70')).toContain('wider than the washer');
    expect(ask('0.81 + 0.61')).toBeNull();
    job.read('gap', 'gap', '0.81 + 0.61');
    expect(ask('0.50 + 0.61')).toContain('from the nearest of the other places');
  });
  it('never lets the pedestal go on while the gauge washer is in', () => {
    const job = measured();
    expect(job.state.interlocks.map((r) => r.id)).toContain('IL.06');
    expect(job.view('seal').stillOn).toContain('gauge-washer-in');
    const overruled = job.tryTo({ kind: 'override', step: 'seal', flags: ['gauge-washer-in'], reason: 'in a hurry' });
    expect(overruled.ok).toBe(false);
  });
});

describe('the linked stack', () => {
  const lines = (job: PlayedJob, trial: Partial<Trial>) =>
    whatIf(job.engine, job.state.work.stack, lastPatch(job.state.work.patches), { ...NO_TRIAL, ...trial }, mm);
  const of = (all: ReturnType<typeof lines>, key: string) => all.find((l) => l.key === key)!;

  it('gives engagement and clearance as the scenario has them', () => {
    const e = atTooth().state.work.stack.engagement!;
    const want = expected('stack.engagement') as { engagementMm: number; withoutGasketMm: number; clearanceMm: number };
    expect(e.engagementMm).toBeCloseTo(want.engagementMm, 9);
    expect(e.withoutGasketMm).toBeCloseTo(want.withoutGasketMm, 9);
    expect(e.clearanceMm).toBeCloseTo(want.clearanceMm, 9);
  });
  it('moves every figure that a change moves, and says what newly falls out', () => {
    const job = atTooth();
    const same = lines(job, {});
    expect(same.every((l) => l.now === l.then && !l.fallsOut)).toBe(true);
    const deeper = lines(job, { collarMm: 1.4 });
    expect(of(deeper, 'engagement').then).toBeCloseTo(8.7, 9);
    expect(of(deeper, 'clearance').then).toBeCloseTo(0.3, 9);
    expect(of(deeper, 'clearance').fallsOut).toBe(true);
    expect(of(deeper, 'float').then).toBe(of(deeper, 'float').now);
    const noGasket = lines(job, { gasket: false });
    expect(of(noGasket, 'engagement').then).toBeCloseTo(8.1, 9);
    const more = lines(job, { packingMm: 0.203 });
    expect(of(more, 'float').stateThen).toBe('out');
    expect(of(more, 'wander').then).toBeGreaterThan(of(more, 'wander').now);
  });
  it('opens the float of a light-alloy pedestal as it warms, by the difference of the metals', () => {
    const hot = of(lines(atTooth(), {}), 'hot');
    // 62 mm · (23.1 - 11.7)e-6 · 65 K
    expect(hot.now - 0.1653).toBeCloseTo(0.0459, 3);
  });
  it('proves the float read on the finished drive, which counts together with the sum where they agree', () => {
    const job = atTooth();
    const sum = job.state.work.stack.float!;
    job.read('prove', 'float-dial', '0.16');
    const { float, direct, apart } = job.state.work.stack;
    expect(float!.from).toBe('both');
    expect(apart!.real).toBe(false);
    // weighed by the squares of their doubts: between the two, and surer than either
    const weighed = (0.16 / direct!.u ** 2 + sum.mm / sum.uMm ** 2) * float!.uMm ** 2;
    expect(float!.mm).toBeCloseTo(weighed, 9);
    expect(float!.uMm).toBeLessThan(Math.min(direct!.u, sum.uMm));
    expect(settledFigures(job.state).find((f) => f.key === 'float')!.value).toBeCloseTo(weighed, 9);
  });
  it('calls no float in where dial and sum lie further apart than both can err', () => {
    const job = atTooth();
    job.read('prove', 'float-dial', '0.29');
    expect(job.state.work.stack.float!.from).toBe('dial');
    expect(headline(job, 'prove')).toContain('apart, more than both can err');
    expect(notSettled(job.state, job.view('prove'))).toContain('further apart than both can err');
  });
  it('finds bottoming in float that clamping takes away', () => {
    const job = new PlayedJob(engineWith({ ...DRIVE, driveKind: 'own-gear' }), 'regear');
    job.read('bottom', 'float-loose', '0.46');
    job.read('bottom', 'float-tight', '0.45');
    expect(job.state.work.stack.bottoms).toBe(false);
    job.read('bottom', 'float-tight', '0.21');
    expect(job.state.work.stack.bottoms).toBe(true);
    expect(notSettled(job.state, job.view('bottom'))).toContain('stands on the pump');
  });
});

describe('the tooth', () => {
  it('is the scenario\u2019s, with its rivals in words', () => {
    const job = planned();
    const { index } = job.state.work.tooth;
    expect(agrees(index, expected('drive.index'), 1e-3)).toBe(true);
    expect(headline(job, 'tooth-plan')).toBe(
      'Lift and move one tooth clockwise: rotor at 170°, 76.5° of the crank to advance, 79.5° to retard'
    );
    const back = index!.candidates.find((c) => c.toothStep === 0)!;
    expect(rivalText(back, index!.best!, [1, 2, 4, 3])).toMatch(/^One tooth anticlockwise: retard room only 14\.0°\.$/);
  });
  it('says where to point the rotor, and when the oil-pump drive falls in', () => {
    const job = planned().done('tooth-plan');
    job.read('lead', 'twist', '25');
    expect(agrees(job.state.work.tooth.stab, expected('drive.stab'), 1e-3)).toBe(true);
    job.done('lead', 'in');
    job.say({ kind: 'fact', fact: 'stoppedHigh', value: true });
    job.read('drop', 'tang', String(inputs.tangBearingDeg));
    job.read('drop', 'pump-slot', String(inputs.slotBearingDeg));
    expect(agrees(job.state.work.tooth.engage, expected('drive.engage'), 1e-6)).toBe(true);
    expect(headline(job, 'drop')).toContain('18.0° anticlockwise');
    job.say({ kind: 'choose', school: 'oil-drive', option: 'crank' });
    expect(headline(job, 'drop')).toContain('324° forward until it drops, then 396° on');
  });
  it('keeps the crank when the turn to the drop was counted, and loses it when it was not', () => {
    const counted = planned().done('tooth-plan', 'lead', 'in');
    counted.say({ kind: 'fact', fact: 'stoppedHigh', value: true });
    counted.read('drop', 'turned-on', '324');
    counted.done('drop');
    expect(counted.state.work.crank.crankDeg).toBeCloseTo(317, 6);
    expect(counted.current).toBe('back');
    counted.say({ kind: 'choose', school: 'overshoot', option: 'forward' });
    const plan = crankWords.planTo(
      crankWords.crankTarget(counted.state, { surface: 'plan' }, 720),
      counted.state,
      counted.engine,
      'front'
    )!;
    expect(plan.totalDeg).toBeCloseTo(396, 6);
    const lost = planned().done('tooth-plan', 'lead', 'in');
    lost.say({ kind: 'fact', fact: 'stoppedHigh', value: true });
    lost.done('drop');
    expect(lost.state.work.crank.crankDeg).toBeNull();
  });
  it('carries the rotor with the crank: read elsewhere, it gives the same tooth', () => {
    const job = atTooth();
    job.say({ kind: 'crank', crankDeg: 53, move: 'forward' });
    // 60 degrees of the crank on, the anticlockwise rotor has gone 30 back
    job.read('tooth-plan', 'rotor-seen', '107');
    job.read('tooth-plan', 'arc-min', '334');
    job.read('tooth-plan', 'arc-max', '52');
    expect(job.state.work.tooth.index!.best!.rotorBearingDeg).toBeCloseTo(169.7273, 3);
  });
  it('says what is missing rather than assume it', () => {
    const { terminalOffsetDeg: _, ...without } = DRIVE;
    const job = new PlayedJob(engineWith(without), 'pedestal');
    expect(job.state.work.tooth.index).toBeNull();
    expect(job.state.work.tooth.lacks.join()).toContain('terminal from the housing');
  });
  it('refuses an arc with no room, and names the nearest miss when no tooth fits', () => {
    const job = atTooth();
    job.read('tooth-plan', 'rotor-seen', '137');
    job.read('tooth-plan', 'arc-min', '90');
    job.read('tooth-plan', 'arc-max', '90');
    expect(notSettled(job.state, job.view('tooth-plan'))).toContain('no free arc');
    job.read('tooth-plan', 'arc-max', '91');
    expect(headline(job, 'tooth-plan')).toMatch(/^No tooth lets the housing stand free: the nearest misses by/);
  });
  it('judges where the rotor came to rest against the plan, in teeth', () => {
    const job = planned().done('tooth-plan', 'lead', 'in');
    job.say({ kind: 'fact', fact: 'stoppedHigh', value: false });
    job.read('recheck', 'rotor', '203');
    expect(headline(job, 'recheck')).toBe('One tooth out: lift, move one tooth anticlockwise, let down again');
    expect(job.tryTo({ kind: 'done', step: 'recheck' }).ok).toBe(false);
    job.read('recheck', 'rotor', '172');
    job.look('recheck');
    expect(job.tryTo({ kind: 'done', step: 'recheck' }).ok).toBe(true);
  });
  it('with seat first judges only the tooth it found', () => {
    const job = planned();
    job.say({ kind: 'choose', school: 'index-order', option: 'seat-first' });
    expect(headline(job, 'tooth-plan')).toContain('Leave it in the tooth it found');
  });
});

describe('gears, contact, rings, marks, leads', () => {
  it('compares only what is known, and stops at what differs', () => {
    const job = new PlayedJob(engineWith(DRIVE), 'regear');
    job.read('compare', 'new-teeth', '11');
    expect(headline(job, 'compare')).toBe('Still unknown: what the new gear is made of');
    job.say({ kind: 'choose', school: 'new-material', option: 'hardened-steel' });
    expect(headline(job, 'compare')).toContain('Do not fit it');
    expect(notSettled(job.state, job.view('compare'))).toContain('ruins the camshaft');
    job.say({ kind: 'choose', school: 'new-material', option: 'cast-iron' });
    job.say({ kind: 'choose', school: 'new-hand', option: 'left' });
    expect(headline(job, 'compare')).toContain('The other hand');
    job.say({ kind: 'choose', school: 'new-hand', option: 'right' });
    expect(notSettled(job.state, job.view('compare'))).toBeNull();
  });
  it('compares a module with a diametral pitch: one per cent apart is another gear', () => {
    const job = new PlayedJob(engineWith({ ...DRIVE, gearModuleMm: '2.54' }), 'regear');
    const row = () => job.state.work.gears.rows.find((r) => r.label === 'Module')!;
    job.read('compare', 'new-module', '10 dp');
    expect(row()).toEqual({ label: 'Module', old: '2.54 (10 DP)', fresh: '2.54 (10 DP)', state: 'same' });
    job.read('compare', 'new-module', '2.5');
    expect(row()).toMatchObject({ fresh: '2.5 (10.2 DP)', state: 'differs' });
  });
  it('tells what half a turn of an odd gear does to rotor against teeth', () => {
    const job = new PlayedJob(engineWith(DRIVE), 'regear');
    job.read('turned', 'gear-turned', '180');
    expect(job.state.work.gears.reindex!.rotorShiftDeg).toBeCloseTo(16.3636, 3);
    expect(headline(job, 'turned')).toContain('16.4° clockwise');
  });
  it('keeps contacts as a pair: the first may be anything, the second must be central', () => {
    const job = new PlayedJob(engineWith(DRIVE), 'regear');
    job.read('contact', 'patch-low', '0.5');
    job.read('contact', 'patch-high', '9');
    expect(headline(job, 'contact')).toContain('set the drive 6.25 mm deeper');
    expect(headline(job, 'contact')).toContain('runs off the edge');
    job.look('contact').look('contact-after');
    expect(notSettled(job.state, job.view('contact'))).toBeNull();
    expect(notSettled(job.state, job.view('contact-after'))).toContain('edge');
    job.read('contact-after', 'patch-low', '7');
    job.read('contact-after', 'patch-high', '15');
    expect(notSettled(job.state, job.view('contact-after'))).toBeNull();
    job.read('contact-after', 'patch-low', '7');
    job.read('contact-after', 'patch-high', '25');
    expect(notSettled(job.state, job.view('contact-after'))).toContain('22 mm wide');
  });
  it('stacks thrust rings under their own limits', () => {
    const job = new PlayedJob(
      engineWith({ ...DRIVE, shaftHeightMinMm: '31.8', shaftHeightMaxMm: '32.2', driveSlotBearingDeg: '62' }),
      'open-case'
    );
    expect(job.state.interlocks.map((r) => r.id)).toEqual(expect.arrayContaining(['IL.03', 'IL.79']));
    job.done('intake').read('inventory', 'rings-drawn', '2');
    job.read('inventory', 'ring-count', '2');
    for (const t of ['1.50', '2.00']) job.read('inventory', 'ring', t);
    job.done('inventory').read('stack', 'shaft-bare', '28.50');
    const rings = [1.5, 2.0].map((thicknessMm, k) => ({
      ...tray[0]!,
      id: `RG-${k}`,
      kind: 'ring' as PartKind,
      thicknessMm,
      uMm: 0.01,
      count: 2
    }));
    const plan = pickPlan(heightToFill(job.state.work.rings), 'ring', rings)!;
    expect(plan.picks[0]!.ids).toEqual(['RG-0', 'RG-1']);
    job.take('stack', 'ring', ['RG-0', 1.5, 0.01], ['RG-1', 2.0, 0.01]);
    expect(job.state.work.rings.height!.mm).toBeCloseTo(32, 9);
    job.done('stack', 'lower', 'height').read('orient', 'drive-slot', '80');
    expect(job.state.work.tooth.orient!.best.toothStep).toBe(-1);
    expect(headline(job, 'orient')).toContain('Move one tooth anticlockwise');
    expect(job.view('crank-in').missing).toContain('shaft-held-down');
  });
  it('measures a refit against its witness marks', () => {
    const job = new PlayedJob(engineWith(DRIVE), 'refit-same');
    job.read('marks', 'rotor-mark', '170');
    job.read('marks', 'housing-mark', '14');
    job.read('match', 'rotor-now', '203');
    job.read('match', 'housing-now', '18');
    const [rotor, housing] = job.state.work.witness;
    expect(rotor!.meaning).toContain('one tooth out');
    expect(notSettled(job.state, job.view('match'))).toContain('one tooth out');
    // anticlockwise rotor, housing moved clockwise, against it: earlier, twice as far at the crank
    expect(housing!.meaning).toContain('8.0° of the crank earlier');
  });
  it.each([
    ['1 3 4 2', 'The leads follow'],
    ['1 2 4 3', 'against the rotor'],
    ['4 2 1 3', 'half a cycle out'],
    ['2 1 3 4', 'one place round'],
    ['3 1 4 2', 'swapped: cylinders 3 and 1'],
    ['1 3 4 4', 'traced twice']
  ])('names what is wrong with leads traced as %s', (leads, want) => {
    // firing order 1-2-4-3, rotor anticlockwise: clockwise from number one it reads 1 3 4 2
    const job = new PlayedJob(engineWith(DRIVE), 'refit-same');
    for (const c of leads.split(' ')) job.read('leads', 'wire', c);
    expect(headline(job, 'leads')).toContain(want);
  });
  it('begins tracing anew after the last tower', () => {
    const job = new PlayedJob(engineWith(DRIVE), 'refit-same');
    for (const c of '3 1 4 2 1'.split(' ')) job.read('leads', 'wire', c);
    expect(headline(job, 'leads')).toBe('1 of 4 leads traced: go on clockwise');
    for (const c of '3 4 2'.split(' ')) job.read('leads', 'wire', c);
    job.look('leads');
    expect(notSettled(job.state, job.view('leads'))).toBeNull();
  });
  it('follows the tip over the whole range of the trigger and says where it would stand best', () => {
    const job = new PlayedJob(
      engineWith({
        ...DRIVE,
        tipRadiusMm: '32',
        tipWidthMm: '4',
        terminalWidthMm: '3',
        tipGapMm: '0.8',
        triggerShiftDeg: '9'
      }),
      'fit-different'
    );
    expect(job.state.work.tip.lacks).toEqual(['where the tip stands when the trigger fires at rest']);
    job.read('tip', 'tip-offset', '0');
    expect(headline(job, 'tip')).toBe(
      'The tip leaves its terminal at one end of the range: move the tip 4.5° on, in the rotor\u2019s direction, to 4.5°'
    );
    job.read('tip', 'tip-offset', '4.5');
    expect(headline(job, 'tip')).toContain('stays under its terminal');
  });
});

describe('the card of a drive job', () => {
  it('names the parts on it, the ways chosen and the words answered, in words', () => {
    const job = packed();
    job.say({ kind: 'choose', school: 'float-target', option: 'loose' });
    job.say({ kind: 'choose', school: 'number-one', option: 'any' });
    const card = jobCard(job.state, job.engine, mm);
    expect(card.parts).toEqual(['PK-12 (packing)']);
    expect(card.schools).toEqual(
      expect.arrayContaining([
        { title: 'Where in the limits the float is aimed', way: 'the loose end' },
        { title: 'Number one on the cap', way: 'any tower' }
      ])
    );
    expect(card.limits.map((l) => l.field.label)).toEqual(
      expect.arrayContaining(['End float, least', 'End float, most'])
    );
    expect(card.results.find((r) => r.label === 'End float with packing')!.value).toBe('0.165 ± 0.020 mm');
  });
});
