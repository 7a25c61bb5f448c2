import { describe, expect, it } from 'vitest';
import { jobs } from '../../../study/guidance/jobs.mts';

const play = (id: string, seed: number) => {
  const run = jobs[id]!(seed);
  return { ...run, log: run.trace.join('\n') };
};

describe('the crank’s place', () => {
  // an overshoot, a plan of more than a turn or a leg back used to flip the stroke, and sent round by whole turns for good
  it.each([
    ['b', 700010],
    ['f', 700002],
    ['g', 700002],
    ['h', 700015]
  ])('keeps its stroke in job %s, engine %i', (id, seed) => {
    const run = play(id, seed);
    expect(run.strokeFlips).toBe(0);
    expect(run.dead).toBeNull();
    expect(run.within).toBe(true);
  });
});

describe('the mark’s error', () => {
  it('is taken off a snap heard on a mark that is 3.6° off: nothing is in that is out', () => {
    const run = play('h', 700003);
    expect(run.said).toBe('in');
    expect(run.within).toBe(true);
    expect(Math.abs(run.err)).toBeLessThan(1);
  });
});

describe('springs', () => {
  // these pairs are right, and were refused as weights that snap out over a straight ramp
  it.each([700007, 700009, 700028, 700088])('that are right are not refused for snapping out, engine %i', (seed) => {
    const run = play('e', seed);
    expect(run.log).not.toMatch(/snaps? out|unstable/);
    expect(run.within).toBe(true);
  });
});

describe('a two-stroke', () => {
  // the slope of the stop screw is not known there at first: nothing may be called right within 45.8 turns
  it.each([700004, 700014, 700022])('is timed without a guess of its stop screw, engine %i', (seed) => {
    const run = play('i', seed);
    expect(run.log).not.toMatch(/within ± (\d{2,}|[3-9])[.\d]* turns/);
    expect(run.unsure).toEqual([]);
    expect(run.within).toBe(true);
  });
});

describe('a ring that may have slipped', () => {
  it('is asked about before anything is set by its mark, and nothing is called in that is out', () => {
    for (let seed = 700000; seed < 700030; seed++) {
      const run = play('c', seed);
      expect(run.said === 'in' && run.inLimits === false, `engine ${seed}`).toBe(false);
    }
  });
});
