import { describe, expect, it } from 'vitest';
import { agedMark, CREEP_DEG_A_MONTH, CREEP_UNKNOWN_DEG } from '$core/domains/crank/earlier-mark.ts';
import { typedInSteps } from '$core/calculations/gauge/hand.ts';
import type { EarlierMark } from '$core/engine/engine.ts';
import { engineWith, headline, PlayedJob, SHEET } from '../../support/played.ts';

const day = 86_400_000;
/** the first event of a played job stands at 1,700,000,060,000 */
const began = 1_700_000_060_000;
const proved = (daysAgo: number, more: Partial<EarlierMark> = {}): EarlierMark => ({
  jobId: 'before',
  at: new Date(began - daysAgo * day).toISOString(),
  errorDeg: 1.5,
  uDeg: 0.15,
  ...more
});
const LIMITS = { ...SHEET, staticBtdc: '8', staticMinBtdc: '4', staticMaxBtdc: '12' };
const strobed = (marks: EarlierMark[], more: Record<string, string> = {}) => {
  const job = new PlayedJob({ ...engineWith({ ...LIMITS, ...more }), earlierMarks: marks }, 'strobe-timing');
  job.say({ kind: 'skip', step: 'intake', reason: 'the card is at hand' });
  return job.done('marks', 'secure');
};
const needed = (job: PlayedJob, id: string) => job.view(id).state !== 'not-needed';

describe('a mark that an earlier job proved', () => {
  const at = new Date(began).toISOString();
  const engine = (daysAgo: number, more: Record<string, string> = {}) => ({
    ...engineWith({ ...SHEET, ...more }),
    earlierMarks: [proved(daysAgo)]
  });

  it('grows doubt with the root of the time since', () => {
    const [one, four] = [30, 120].map((days) => agedMark(engine(days), at)!.aged.uDeg);
    expect(one).toBeCloseTo(CREEP_DEG_A_MONTH, 9);
    expect(four).toBeCloseTo(2 * CREEP_DEG_A_MONTH, 9);
    expect(agedMark(engine(120), at)!.uDeg).toBeCloseTo(Math.hypot(0.15, 0.5), 9);
  });
  it('on a hub in one piece it does not creep', () => {
    expect(agedMark(engine(900, { damperRing: 'solid' }), at)).toMatchObject({ uDeg: 0.15, aged: { uDeg: 0 } });
  });
  it('at a time nobody knows, or on a day after this job, is worth as much as an unknown time', () => {
    expect(agedMark(engine(30), null)!.aged).toEqual({ days: null, uDeg: CREEP_UNKNOWN_DEG });
    expect(agedMark(engine(-10), at)!.aged).toEqual({ days: null, uDeg: CREEP_UNKNOWN_DEG });
  });
  it('is none where no job proved it', () => {
    expect(agedMark(engineWith(SHEET), at)).toBeNull();
  });
});

describe('timing by the mark', () => {
  it('that no job has proved asks for true TDC first, and gives no verdict', () => {
    const job = strobed([]);
    expect(needed(job, 'mark-tdc')).toBe(true);
    job.read('strobe', 'strobe', '8.0b');
    expect(headline(job, 'strobe')).toContain('no job has proved this mark');
    expect(headline(job, 'strobe')).not.toMatch(/: in|stands right/);
    expect(job.tryTo({ kind: 'done', step: 'strobe' }).ok).toBe(false);
  });
  it('that was proved last month needs no more than a look at the ring', () => {
    const job = strobed([proved(30)]);
    expect(needed(job, 'mark-tdc')).toBe(false);
    expect(needed(job, 'ring')).toBe(true);
    job.read('strobe', 'strobe', '9.5b');
    expect(job.state.work.timing['strobe']!.latest!.btdc).toBeCloseTo(8, 9);
  });
  it('that was proved years ago is proved again, unless its hub is in one piece', () => {
    expect(needed(strobed([proved(1200)]), 'mark-tdc')).toBe(true);
    expect(needed(strobed([proved(1200)], { damperRing: 'solid' }), 'mark-tdc')).toBe(false);
  });
  it('whose ring was seen to have walked is proved again, however lately it was proved', () => {
    const job = strobed([proved(3)]);
    expect(needed(job, 'mark-tdc')).toBe(false);
    job.say({ kind: 'choose', school: 'ring-seen', option: 'walked' });
    expect(needed(job, 'mark-tdc')).toBe(true);
    expect(job.state.work.mark).toBeNull();
    job.say({ kind: 'choose', school: 'ring-seen', option: 'kept' });
    expect(needed(job, 'mark-tdc')).toBe(false);
  });
});

describe('figures typed in whole degrees on a wheel of halves', () => {
  it('count as whole degrees where the hand is steady, and hardly where it scatters by as much', () => {
    const wheel = { resolution: 0.5, accuracy: 0.25 };
    const steady = typedInSteps({ ...wheel, scatter: 0.3 }, 1);
    // rounding alone scatters by 1/√12, which is nearly all of what was learnt
    expect(steady.resolution).toBeGreaterThan(0.85);
    const loose = typedInSteps({ ...wheel, scatter: 0.9 }, 1);
    expect(loose.resolution).toBe(0.5);
    expect(typedInSteps(wheel, 1)).toMatchObject({ resolution: 1 });
  });
  it('widen the timing that is read off them', () => {
    const u = (...texts: [string, string][]) => {
      const job = new PlayedJob().done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel').pairs('1.8', ...texts);
      return job.state.work.tdc.found!.uDeg;
    };
    const half = u(['343.0', '12.0'], ['343.0', '12.0'], ['343.0', '12.0']);
    expect(u(['343', '12'], ['343', '12'], ['343', '12'])).toBeGreaterThan(1.2 * half);
  });
});
