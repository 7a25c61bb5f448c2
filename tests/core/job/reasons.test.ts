import { describe, expect, it } from 'vitest';
import { notSettled } from '$core/job/index.ts';
import { jobCard } from '$core/job/card.ts';
import { looksOf } from '$core/job/run-sheet.ts';
import { runSheets } from '$core/sheets/index.ts';
import { engineWith, mm, PlayedJob, SHEET } from '../../support/played.ts';

/** True TDC within ± 0.3° asked, and two pairs that leave it open. */
const unsure = () =>
  new PlayedJob(engineWith({ ...SHEET, tdcWithinDeg: '0.3' }))
    .done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel')
    .pairs('1.8', ['342.5', '11.5'], ['342.5', '12.0']);
const left = (job: PlayedJob, step = 'tdc') => notSettled(job.state, job.view(step))!;
const done = (job: PlayedJob, step = 'tdc') => job.tryTo({ kind: 'done', step });
const refusal = (answer: ReturnType<typeof done>) => (answer.ok ? null : answer.error.code);

describe('a reason to go on all the same', () => {
  it('goes on from what was left open when it was given, and from nothing that is open later', () => {
    const job = unsure();
    expect(left(job)).toBe('too close to call');
    expect(refusal(done(job))).toBe('not-proved');
    job.say({ kind: 'override', step: 'tdc', flags: [], open: left(job), reason: 'the pointer is bent, good enough' });
    expect(done(job).ok).toBe(true);
    // by another way nothing is told at all, which nobody gave a reason for
    job.say({ kind: 'choose', school: 'tdc', option: 'mark' });
    expect(left(job)).toBe('no earlier job has proved this mark');
    expect(refusal(done(job))).toBe('not-proved');
    job.say({ kind: 'choose', school: 'tdc', option: 'pairs' });
    expect(done(job).ok).toBe(true);
  });

  it('is not taken for anything but what is open now', () => {
    const job = unsure();
    const of = (open: string) => job.tryTo({ kind: 'override', step: 'tdc', flags: [], open, reason: 'in a hurry' });
    expect(of('too close to call').ok).toBe(true);
    const other = of('the dial seems to have come to the end of its travel');
    expect(other).toMatchObject({ ok: false, error: { code: 'open-otherwise' } });
    expect(other.ok ? '' : other.error.message).toContain('too close to call');
    const settled = new PlayedJob().toTdc();
    expect(
      settled.tryTo({ kind: 'override', step: 'tdc', flags: [], open: 'too close to call', reason: 'in a hurry' })
    ).toMatchObject({ ok: false, error: { code: 'nothing-open' } });
  });

  it('for a state that is lacking is none for what is left open, nor for a state of another step', () => {
    const job = unsure();
    job.say({ kind: 'say', flag: 'plugs-out', on: false });
    expect(refusal(done(job))).toBe('step-blocked');
    job.say({ kind: 'override', step: 'tdc', flags: ['plugs-out'], reason: 'turned against the compression' });
    expect(refusal(done(job))).toBe('not-proved');
    expect(
      job.tryTo({ kind: 'override', step: 'tdc', flags: ['tdc-true'], reason: 'turned against the compression' })
    ).toMatchObject({ ok: false, error: { code: 'no-such-choice' } });
  });

  it('stands beside those given before: none is forgotten', () => {
    let tried = 0;
    for (const sheet of runSheets) {
      const job = new PlayedJob(engineWith(SHEET), sheet.id);
      const softAt = (step: string) => job.view(step).missing.filter((f) => !sheet.words.flags[f]!.hard);
      for (const { id } of sheet.steps.filter((s) => softAt(s.id).length > 1).slice(0, 2)) {
        const soft = softAt(id);
        for (const [k, f] of soft.entries()) {
          job.say({ kind: 'override', step: id, flags: [f], reason: `reason ${k + 1}` });
          expect(softAt(id)).toEqual(soft.slice(k + 1));
        }
        expect(job.view(id).overruled).toBe(soft.map((_, k) => `reason ${k + 1}`).join('; '));
        tried++;
      }
    }
    expect(tried).toBeGreaterThan(3);
  });

  it('is refused where the step would make a state true that is never overruled', () => {
    let tried = 0;
    for (const sheet of runSheets)
      for (const step of sheet.steps.filter((s) => looksOf(s).length > 0)) {
        const job = new PlayedJob(engineWith(SHEET), sheet.id);
        const answer = job.tryTo({
          kind: 'override',
          step: step.id,
          flags: [],
          open: 'anything',
          reason: 'in a hurry'
        });
        expect(answer, step.title).toMatchObject({
          ok: false,
          error: { code: expect.stringMatching(/^(not-proved|nothing-open|open-otherwise)$/) }
        });
        tried++;
      }
    expect(tried).toBeGreaterThan(10);
  });

  it('of a log of before, kept as the states that the step gives, goes on from whatever is open', () => {
    const job = unsure();
    const last = job.log.at(-1)!;
    job.log.push({
      ...last,
      ...{ kind: 'override', step: 'tdc', flags: ['tdc-true'], reason: 'good enough' },
      id: 'of-before',
      seq: last.seq + 1
    } as never);
    expect(done(job).ok).toBe(true);
  });

  it('stands on the card with what it was given for', () => {
    const job = unsure();
    job.say({ kind: 'override', step: 'tower', flags: ['crank-at-reference'], reason: 'only a look' });
    job.say({ kind: 'override', step: 'tdc', flags: [], open: left(job), reason: 'good enough' });
    const { off } = job.sheet.words.flags['crank-at-reference']!;
    expect(jobCard(job.state, job.engine, mm).open.map((o) => o.why)).toEqual(
      expect.arrayContaining([
        `overruled: only a look (${off})`,
        'overruled: good enough (left open: too close to call)'
      ])
    );
  });
});
