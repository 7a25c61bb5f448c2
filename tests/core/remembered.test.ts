import { describe, expect, it } from 'vitest';
import { remembered } from '$core/numerics/remembered.ts';

describe('what is slow and asked again', () => {
  it('is worked out once for the same question, and anew for another', () => {
    let worked = 0;
    const twice = remembered((x: { n: number }) => (worked++, { out: 2 * x.n }));
    expect([twice({ n: 2 }), twice({ n: 2 }), twice({ n: 3 })].map((a) => a.out)).toEqual([4, 4, 6]);
    expect(worked).toBe(2);
  });
  it('keeps so many answers, those asked for last', () => {
    const asked: number[] = [];
    const f = remembered((n: number) => (asked.push(n), n), 2);
    for (const n of [1, 2, 1, 3, 1, 2]) f(n);
    // 2 had to make room for 3, 1 did not: it had been asked again
    expect(asked).toEqual([1, 2, 3, 2]);
  });
});
