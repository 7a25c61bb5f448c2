import { describe, expect, it } from 'vitest';
import { cases } from '../../../study/cases/all.ts';
import { writeDocument } from '../../../study/document.ts';
import { further } from '../../../study/further.ts';
import { judge } from '../../../study/judge.ts';
import { nearLimits, wrong } from '../../../study/near-limit.ts';

const TRIALS = 300;
/** At 300 measurements one standard error is 1.3 points: four of them below what is promised. */
const LEAST = 95 - 4 * 1.26;

describe('the study of what a ± holds, small', () => {
  const judged = cases.flatMap((of) => judge(of, TRIALS, 20261126));
  it.each(judged.map((j) => [`${j.of.group}: ${j.of.name}`, j.figure, j] as const))('%s, %s holds', (_, __, j) => {
    expect(j.held).toBeGreaterThan(LEAST);
  });
  it('finds what the plain reckoning did not hold', () => {
    const [one] = judged.filter((j) => j.of.name === 'the hand rules, 1 reading');
    expect(one!.heldBefore).toBeLessThan(40);
    const lagging = judged.find((j) => j.of.name === 'a dial that lags, 60 readings')!;
    expect(lagging.heldBefore).toBeLessThan(60);
  });
  it('is the same for the same seed and another for another', () => {
    const of = cases[1]!;
    expect(judge(of, 50, 3)).toEqual(judge(of, 50, 3));
    expect(judge(of, 50, 3)[0]!.half).not.toBe(judge(of, 50, 4)[0]!.half);
  });
  const limits = nearLimits(200, 5);
  it('is hardly ever wrong in or out near a limit', () => {
    for (const l of limits) {
      for (const at of l.at) {
        expect(wrong(at)).toBeLessThan(6);
        expect(at.shares.in + at.shares.out + at.shares.unsure).toBeCloseTo(100, 9);
      }
      expect(l.at[0]!.shares.in).toBeGreaterThan(90);
      expect(l.at.at(-1)!.shares.out).toBeGreaterThan(90);
    }
  });
  const more = further(200, 9);
  it('shows what a further reading is worth: much to a hand nobody knows, little to one that is learnt', () => {
    expect(more[0]!.unknown).toBeNull();
    expect(more[1]!.unknown! / more[2]!.unknown!).toBeGreaterThan(1.5);
    expect(more[0]!.learnt / more[1]!.learnt).toBeLessThan(1.5);
    for (const m of more) expect(m.learnt).toBeLessThan(m.assumed);
  });
  it('writes itself down, each figure with its share, each plot it names', () => {
    const { text, plots } = writeDocument(judged, limits, more, { trials: TRIALS, seed: 1 });
    for (const j of judged) expect(text).toContain(`${j.of.group}: ${j.of.name}`);
    const named = [...text.matchAll(/\(uncertainty\/([^)]+)\)/g)].map((m) => m[1]!);
    expect(named.length).toBeGreaterThan(6);
    expect(new Set(named)).toEqual(new Set(Object.keys(plots)));
  });
});
