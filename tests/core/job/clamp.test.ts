import { describe, expect, it } from 'vitest';
import { againstBefore } from '$core/domains/timing/before-after.ts';
import { jobCard } from '$core/job/card.ts';
import { notSettled } from '$core/job/index.ts';
import { engineWith, headline, mm, PlayedJob, SHEET } from '../../support/played.ts';

const WRENCH = {
  id: 'w',
  name: 'W',
  kind: 'torque' as const,
  resolution: 0.5,
  accuracy: 0.8,
  scatter: 0.2,
  scatterDof: 20
};
const at = (values = {}) => {
  const job = new PlayedJob(engineWith({ ...SHEET, ...values })).toStroke();
  job.read('strobe', 'strobe', '7b');
  return job;
};
const torque = (job: PlayedJob, text: string) => job.say(job.reading('clamp-final', 'torque', text, WRENCH));
const open = (job: PlayedJob) => notSettled(job.state, job.view('clamp-final'));

describe('the timing after a refit', () => {
  const refitted = (after: string) => {
    const job = new PlayedJob(engineWith(SHEET), 'refit-same');
    for (const t of ['9b', '9.5b']) job.read('base-before', 'base-before', t);
    job.read('strobe', 'strobe', after);
    return job;
  };
  it('is held against what was read before anything was touched, by the doubt of both', () => {
    expect(againstBefore(refitted('9.5b').state)).toMatchObject({ apartDeg: 0.25, same: true });
    const later = refitted('5b');
    expect(againstBefore(later.state)!.same).toBe(false);
    const line = jobCard(later.state, later.engine, mm).results.find((r) => r.label === 'Timing against before')!;
    expect(line.value).toMatch(/^4\.3° ± \d\.\d° later than it was found/);
  });
  it('is compared with nothing where nothing was read', () => {
    const job = new PlayedJob(engineWith(SHEET), 'refit-same');
    job.read('strobe', 'strobe', '9b');
    expect(againstBefore(job.state)).toBeNull();
  });
});

describe('the clamp at its torque', () => {
  it('is judged against the data sheet with what the wrench is good for', () => {
    const job = at({ clampTorqueNm: '18 Nm' });
    torque(job, '15');
    expect(open(job)).toBe('the torque of the clamp is not reached');
    torque(job, '18.5');
    expect(open(job)).toBeNull();
    expect(headline(job, 'clamp-final')).toBe(
      '18.5 ± 1.0 N·m reaches the torque of the clamp, 18 N·m asked, within that ±: start it and read the timing again'
    );
    torque(job, '23');
    expect(open(job)).toBe('the torque of the clamp is passed');
  });
  it('is not judged where nobody named the wrench, however well it fits', () => {
    const job = at({ clampTorqueNm: '18 Nm' });
    job.say(job.reading('clamp-final', 'torque', '18', null));
    expect(headline(job, 'clamp-final')).toContain('name the wrench');
    expect(open(job)).toContain('a wrench that nobody named');
  });
  it('is not judged by a data sheet that has none', () => {
    const job = at();
    torque(job, '15');
    expect(open(job)).toBeNull();
    expect(job.state.flags.has('clamp-final')).toBe(false);
  });
  it('must not have moved the timing by more than the readings can err', () => {
    const job = at();
    job.read('clamp-final', 'after-clamp', '7.2b');
    expect(headline(job, 'clamp-final')).not.toContain('moved the timing');
    const moved = at();
    moved.read('clamp-final', 'after-clamp', '10b');
    expect(headline(moved, 'clamp-final')).toBe('Tightening moved the timing 3.0° earlier: set it again');
    expect(open(moved)).toBe('tightening the clamp has moved the timing');
  });
});
