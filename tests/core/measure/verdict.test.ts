import { describe, expect, it } from 'vitest';
import { verdict } from '$core/calculations/verdict/verdict.ts';
import { phi } from '$core/numerics/normal.ts';

describe('verdict', () => {
  it.each([
    [7, 0.4, 6, 8, 'in'],
    [9.5, 0.4, 6, 8, 'out'],
    [7.5, 0.4, 6, 8, 'unsure'],
    [7.2, 0.4, 6, 8, 'in'],
    [100, 1, 6, null, 'in'],
    [1, 1, null, 8, 'in'],
    [8, 0, 6, 8, 'in'],
    [8.0001, 0, 6, 8, 'out']
  ] as const)('%d with u %d against %s to %s is %s', (v, u, min, max, want) => {
    expect(verdict(v, u, min, max).state).toBe(want);
  });

  it('says how likely the figure is inside', () => {
    expect(verdict(8, 0.5, 6, 8).pInSpec).toBeCloseTo(0.5 - phi(-4), 12);
    expect(verdict(7, 0, 6, 8).pInSpec).toBe(1);
  });
});

describe('normal distribution', () => {
  // tabulated to 15 digits in standard tables
  it.each([
    [0, 0.5],
    [1, 0.841344746068543],
    [1.959963984540054, 0.975],
    [-3, 0.00134989803163009],
    [3.5, 0.999767370920964],
    [-6, 9.86587645037698e-10]
  ])('phi(%d)', (x, want) => {
    expect(Math.abs(phi(x) - want)).toBeLessThan(1e-13);
  });
});
