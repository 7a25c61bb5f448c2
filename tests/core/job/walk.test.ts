import { describe, expect, it } from 'vitest';
import { walkRows } from '$core/domains/walk/walk.ts';
import { notSettled } from '$core/job/index.ts';
import { engineWith, headline, PlayedJob, SHEET } from '../../support/played.ts';

/** A job as far as its crank found, with wheel and bar on. */
const job = () => {
  const j = new PlayedJob(engineWith(SHEET), 'static-timing');
  return j.done('intake', 'safe', 'gap', 'plugs', 'bar', 'wheel');
};
const open = (j: PlayedJob) => notSettled(j.state, j.view('sweep-list'));

describe('the walk before a start', () => {
  it('goes by what this job had on or in, and says what still is', () => {
    const rows = walkRows(job().state);
    expect(rows.filter((r) => r.still).map((r) => r.flag)).toEqual(
      expect.arrayContaining(['plugs-out', 'barring-tool-fitted', 'degree-wheel-on'])
    );
    // what other sheets have on is no matter of this one
    expect(rows.map((r) => r.flag)).not.toContain('pump-locked');
    expect(headline(job(), 'sweep-list')).toMatch(/^Not yet right: .*barring tool on the crank/);
  });
  it('says who took each off, and when', () => {
    const j = job();
    j.look('off').say({ kind: 'done', step: 'off' }, 'Marit Oakes');
    const bar = walkRows(j.state).find((r) => r.flag === 'barring-tool-fitted')!;
    expect(bar).toMatchObject({ still: false, by: { person: 'Marit Oakes' } });
    expect(bar.by!.step).toContain('off');
  });
  it('counts: what is missing is found before anything turns', () => {
    const j = job().look('sweep-list');
    expect(open(j)).toBeNull();
    j.read('sweep-list', 'given-out', '14');
    expect(open(j)).toBe('nothing was counted back yet');
    j.read('sweep-list', 'counted-back', '13');
    expect(open(j)).toBe('1 of 14 missing: find what is missing before anything turns');
    j.read('sweep-list', 'counted-back', '15');
    expect(open(j)).toBe('15 counted where there were 14: count both again');
    j.read('sweep-list', 'counted-back', '14');
    expect(open(j)).toBeNull();
    j.done('off');
    expect(headline(j, 'sweep-list')).toBe('Tools counted back: all 14 are there');
  });
});
