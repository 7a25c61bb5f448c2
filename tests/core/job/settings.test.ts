import { describe, expect, it } from 'vitest';
import { adviseSetting } from '$core/job/setting-advice.ts';
import { PlayedJob } from '../../support/played.ts';

const limits = { min: 7, max: 9, target: 8 };
const read = (value: number, u: number, more: Partial<Parameters<typeof adviseSetting>[0]> = {}) => ({
  value,
  u,
  n: 1,
  uHand: u / 2,
  uMore: u * 0.9,
  ...more
});
const verdict = (state: 'in' | 'out' | 'unsure') => ({ state }) as never;

describe('what is advised of a setting', () => {
  it('out of its limits: turn it', () => {
    expect(adviseSetting(read(9.8, 0.3), verdict('out'), limits)).toBe('turn');
  });
  it('in the middle and in: leave it; in, and well off the middle: turn it', () => {
    expect(adviseSetting(read(8.1, 0.2), verdict('in'), limits)).toBe('leave');
    expect(adviseSetting(read(8.6, 0.15), verdict('in'), limits)).toBe('turn');
  });
  it('near a limit and too close to call: to the middle, not to read it again', () => {
    expect(adviseSetting(read(8.9, 0.2), verdict('unsure'), limits)).toBe('turn');
  });
  it('in the middle and too close to call: read again while that narrows the doubt, then nothing more is asked', () => {
    expect(adviseSetting(read(8.1, 0.6, { uHand: 0.5 }), verdict('unsure'), limits)).toBe('again');
    const many = read(8.05, 0.6, { n: 6, uHand: 0.1, uMore: 0.6 });
    expect(adviseSetting(many, verdict('unsure'), limits)).toBe('limit');
  });
  it('is never a turn where nothing is aimed at', () => {
    const none = { min: null, max: null, target: null };
    expect(adviseSetting(read(9.8, 0.3), null, none)).toBe('leave');
  });
});

describe('readings of a setting', () => {
  const timed = (...texts: string[]) => {
    const job = new PlayedJob().toStroke();
    for (const [k, text] of texts.entries()) job.read('strobe', k === 0 ? 'strobe' : 'strobe-again', text);
    return job;
  };
  const settings = (job: PlayedJob) => job.state.readings.flatMap((r) => (r.setting ? [r.setting] : []));
  const latest = (job: PlayedJob) => job.state.work.timing['strobe']!.latest!;

  it('count together until the housing is said to have been turned', () => {
    const job = timed('9.5b', '9.7b');
    expect(settings(job).map((s) => [s.n, s.earlier])).toEqual([
      [1, false],
      [1, false]
    ]);
    job.say({ kind: 'turned', step: 'strobe', is: true });
    expect(settings(job).every((s) => s.earlier)).toBe(true);
    job.read('strobe', 'strobe', '7.1b');
    expect(settings(job).map((s) => [s.n, s.earlier])).toEqual([
      [1, true],
      [1, true],
      [2, false]
    ]);
    expect(latest(job).btdc).toBeCloseTo(7.1 - (job.state.work.mark?.errorDeg ?? 0), 6);
  });
  it('stay in sight, and come back to count where what was said is taken back', () => {
    const job = timed('9.5b', '9.7b');
    const said = job.say({ kind: 'turned', step: 'strobe', is: true });
    job.say({ kind: 'undo', undoes: said.id });
    expect(settings(job).map((s) => s.earlier)).toEqual([false, false]);
  });
  it('nothing is said to be turned before a reading that is not there, or at a step that is not there', () => {
    const job = timed('9.5b');
    const strange = { kind: 'turned', step: 'strobe', reading: 'nothing', is: true } as const;
    expect(job.tryTo(strange)).toMatchObject({ ok: false, error: { code: 'no-such-reading' } });
    expect(job.tryTo({ kind: 'turned', step: 'nowhere', is: true })).toMatchObject({ ok: false });
    const went = { kind: 'went', reading: 'nothing', travelDeg: 90 } as const;
    expect(job.tryTo(went)).toMatchObject({ ok: false, error: { code: 'no-such-reading' } });
  });
});
