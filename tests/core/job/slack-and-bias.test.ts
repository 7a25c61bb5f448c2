import { describe, expect, it } from 'vitest';
import { driveSlack } from '$core/domains/crank/slack.ts';
import { crankTarget, planTo } from '$core/domains/crank/words.ts';
import { notSettled } from '$core/job/admit.ts';
import { shortsOf } from '$core/job/proved.ts';
import { runSheets } from '$core/sheets/index.ts';
import { answerAt, doStep, FULL, readAt } from '../../support/careful.ts';
import { engineWith, PlayedJob, SHEET } from '../../support/played.ts';

const { backlashDeg: _, ...noSlack } = SHEET;
const backward = (job: PlayedJob): number => {
  const target = crankTarget(job.state, job.view('ref').step, 720)!;
  const from = { ...job.state.work.crank, crankDeg: target.deg + 20, strokeKnown: true, lastMove: 'forward' as const };
  return planTo(target, job.state, job.engine, 'front', from)!.steps[0]!.degrees;
};
const upTo = (job: PlayedJob, last: string) => {
  for (const step of job.sheet.steps) {
    if (step.id === last) return job;
    if (job.view(step.id).state !== 'done') doStep(job, step, true);
  }
  return job;
};

describe('the slack of the drive', () => {
  const timed = () => upTo(new PlayedJob(engineWith(noSlack), 'static-timing'), 'slack');
  const measured = (...reads: string[]) => {
    const job = timed();
    job.say({ kind: 'choose', school: 'slack', option: 'measured' });
    for (const text of reads) job.read('slack', 'drive-slack', text);
    return job;
  };
  const shorts = (job: PlayedJob) => shortsOf(job.state, job.view('slack')).map((s) => `${s.short} ${s.letter}`);

  it('asks for its step only where it is to be measured, and turns back an eighth of a turn until it is', () => {
    const job = timed();
    expect(job.view('slack').state).toBe('not-needed');
    expect(backward(job)).toBeCloseTo(20 + 45, 6);
    job.say({ kind: 'choose', school: 'slack', option: 'measured' });
    expect(job.view('slack').state).toBe('open');
  });
  it('takes the larger of two that agree, with what the wheel cannot tell, and plans by it', () => {
    expect(shorts(measured())).toEqual(['nothing K']);
    expect(shorts(measured('6'))).toEqual(['undecided K']);
    expect(shorts(measured('6', '11'))).toEqual(['undecided K']);
    expect(shorts(measured('-6', '-6'))).toEqual(['undecided K']);
    const unnamed = measured();
    for (const text of ['6', '6']) unnamed.say(unnamed.reading('slack', 'drive-slack', text, null));
    expect(shorts(unnamed)).toEqual(['no-gauge K']);
    expect(driveSlack(unnamed.engine, unnamed.state.replayed)).toMatchObject({ deg: null, from: 'unknown' });
    const job = measured('6', '6.5');
    expect(shorts(job)).toEqual([]);
    const slack = driveSlack(job.engine, job.state.replayed);
    expect(slack.from).toBe('measured');
    expect(slack.deg).toBeGreaterThan(6.5);
    expect(slack.deg! - 6.5).toBeCloseTo(2 * slack.read!.uDeg, 9);
    expect(backward(job)).toBeCloseTo(20 + 1.5 * slack.deg! + 2, 6);
    job.done('slack');
    expect(job.state.flags.has('slack-known')).toBe(true);
    expect(job.state.flags.has('backlash-taken-up')).toBe(false);
  });
  it('is asked about where its step stands and nowhere else, and goes by the way that is chosen', () => {
    for (const sheet of runSheets) {
      const offered = sheet.steps.some((s) => s.schools.includes('slack'));
      expect(
        sheet.steps.some((s) => s.onlyWay?.school === 'slack'),
        sheet.id
      ).toBe(offered);
    }
    const job = upTo(new PlayedJob(engineWith(SHEET), 'static-timing'), 'slack');
    expect(backward(job)).toBeCloseTo(20 + 1.5 * 15 + 2, 6);
    job.say({ kind: 'choose', school: 'slack', option: 'unknown' });
    expect(backward(job)).toBeCloseTo(20 + 45, 6);
  });
  it('finds a worn drive above its limit, and is no state that somebody says', () => {
    const job = upTo(new PlayedJob(engineWith({ ...noSlack, driveSlackMaxDeg: '4' }), 'static-timing'), 'slack');
    job.say({ kind: 'choose', school: 'slack', option: 'measured' });
    job.read('slack', 'drive-slack', '6');
    job.read('slack', 'drive-slack', '6.5');
    expect(shorts(job)).toEqual(['out F']);
    expect(job.tryTo({ kind: 'say', flag: 'slack-known', on: true, seen: 'rocked it by hand' }).ok).toBe(false);
  });
});

describe('a bar on the nose bolt', () => {
  it('is never turned back, plugs out or in; the sheets that would go back go on and round again', () => {
    for (const id of ['plunger-lift', 'locked-offset', 'fit-from-scratch']) {
      const job = upTo(new PlayedJob(engineWith(FULL), id), 'stroke');
      job.say({ kind: 'choose', school: 'bar-on', option: 'nose' });
      expect(job.state.flags.has('plugs-out'), id).toBe(true);
      expect(job.tryTo({ kind: 'crank', crankDeg: 300, move: 'backward' }), id).toMatchObject({ ok: false });
      expect(job.tryTo({ kind: 'crank', crankDeg: 300, move: 'forward' }), id).toMatchObject({ ok: true });
      const barred = job.state.raised.filter((r) => r.id === 'IL.14').flatMap((r) => r.forbids);
      expect(job.sheet.steps.filter((s) => s.id !== 'slack' && s.acts.some((a) => barred.includes(a)))).toEqual([]);
    }
  });
});

describe('a bias for the first start', () => {
  const biased = (option: string) => {
    const job = upTo(new PlayedJob(engineWith(SHEET), 'fit-from-scratch'), 'bias');
    job.say({ kind: 'choose', school: 'bias', option });
    return job.done('bias');
  };
  it('is in the setting once it was chosen, bars sweep, load and closing, and goes with the strobe', () => {
    expect(biased('none').state.flags.has('bias-on')).toBe(false);
    const job = biased('advance');
    expect(job.state.flags.has('bias-on')).toBe(true);
    expect(job.state.raised.find((r) => r.id === 'IL.94')?.forbids).toEqual(['loads', 'sweeps', 'closes-log']);
    let seen = false;
    for (const step of job.sheet.steps) {
      if (job.view(step.id).state === 'done') continue;
      if (step.id === 'strobe') {
        answerAt(job, step);
        expect(job.state.flags.has('bias-on')).toBe(true);
        readAt(job, step);
        job.done(step.id);
        expect(job.state.flags.has('bias-on')).toBe(false);
        seen = true;
      } else doStep(job, step, true);
    }
    expect(seen).toBe(true);
    expect(job.state.closed).toBe(true);
  });
});

describe('a bias that was chosen', () => {
  const chosen = () => {
    const job = upTo(new PlayedJob(engineWith(SHEET), 'fit-from-scratch'), 'bias');
    job.say({ kind: 'choose', school: 'bias', option: 'advance' });
    return job.done('bias');
  };
  it('stays in the housing where its step is opened again and another way is chosen', () => {
    const job = chosen();
    job.say({ kind: 'reopen', step: 'bias' });
    expect(job.state.flags.has('bias-on')).toBe(true);
    job.say({ kind: 'choose', school: 'bias', option: 'none' });
    expect(job.done('bias').state.flags.has('bias-on')).toBe(true);
  });
  it('is not gone on from with a reason where the strobe reads outside, or too close to call', () => {
    for (const read of ['25b', '5b', '10.2b']) {
      const job = upTo(chosen(), 'strobe');
      for (let k = 0; k < 3; k++) job.read('strobe', 'strobe', read);
      const open = notSettled(job.state, job.view('strobe'));
      if (open === null) continue;
      const why = 'as near as it gets';
      expect(job.tryTo({ kind: 'override', step: 'strobe', flags: [], open, reason: why }).ok, read).toBe(false);
      expect(job.tryTo({ kind: 'done', step: 'strobe' }).ok, read).toBe(false);
      expect(job.state.flags.has('bias-on')).toBe(true);
    }
    const out = upTo(chosen(), 'strobe');
    out.read('strobe', 'strobe', '25b');
    expect(notSettled(out.state, out.view('strobe'))).not.toBeNull();
  });
});

describe('a log of before', () => {
  it('keeps what it said of states and rules that have another name now', () => {
    const job = new PlayedJob(engineWith(SHEET), 'fit-from-scratch');
    job.given('mark-judged');
    job.given('slack-taken-up');
    expect([...job.state.flags]).toEqual(expect.arrayContaining(['damper-verified', 'backlash-taken-up']));
    expect(job.state.flags.has('mark-judged')).toBe(false);
    const freed = new PlayedJob(engineWith(SHEET), 'plunger-lift');
    freed.log.push({
      ...freed.given('sweep-done').log[0]!,
      kind: 'override',
      step: 'lift',
      flags: ['mark-judged'],
      reason: 'only a look',
      id: 'old',
      seq: 2
    } as never);
    expect(freed.state.replayed.overrides[0]!.flags).toEqual(['damper-verified']);
  });
});

describe('rotor phase', () => {
  it('is looked at on every fit, and a job without it is closed with a reason alone', () => {
    for (const id of ['fit-from-scratch', 'fit-different', 'refit-same', 'shaft-in-place', 'static-timing']) {
      const job = new PlayedJob(engineWith(SHEET), id);
      expect(
        job.sheet.steps.some((s) => s.sets.includes('rotor-phase-ok')),
        id
      ).toBe(true);
    }
    const job = upTo(new PlayedJob(engineWith(SHEET), 'fit-from-scratch'), 'tip');
    job.say({ kind: 'choose', school: 'seen-rotor-phase', option: 'bad' });
    expect(job.tryTo({ kind: 'done', step: 'tip' })).toMatchObject({ ok: false, error: { code: 'not-proved' } });
    job.say({ kind: 'choose', school: 'seen-rotor-phase', option: 'good' });
    expect(job.done('tip').state.flags.has('rotor-phase-ok')).toBe(true);
    job.say({ kind: 'lift' });
    expect(job.state.flags.has('rotor-phase-ok')).toBe(false);
  });
});

describe('priming through the bore', () => {
  it('stands before the slot is set, and the other ways after the fit', () => {
    const job = new PlayedJob(engineWith(SHEET), 'fit-from-scratch');
    const order = job.sheet.steps.map((s) => s.id);
    expect(order.indexOf('prime-bore')).toBeLessThan(order.indexOf('slot'));
    expect([job.view('prime-bore').state, job.view('prime').state]).not.toContain('done');
    expect(job.view('prime').state).toBe('not-needed');
    job.say({ kind: 'choose', school: 'prime', option: 'gallery' });
    expect(job.view('prime-bore').state).toBe('not-needed');
    expect(job.view('prime').state).not.toBe('not-needed');
  });
});
