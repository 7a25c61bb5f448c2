import { describe, expect, it } from 'vitest';
import { NOWHERE, type CrankPlace } from '$core/domains/crank/place/place.ts';
import { planFrom, understandTurn, waysTo, type Read, type Turning } from '$core/domains/crank/place/turns.ts';

const turning: Turning = { cycleDeg: 720, approach: 'forward', backlashDeg: 10, mayReverse: true };
const at = (crankDeg: number, more: Partial<CrankPlace> = {}): CrankPlace & { crankDeg: number } => ({
  ...NOWHERE,
  strokeKnown: true,
  lastMove: 'forward',
  ...more,
  crankDeg
});
const towards = (goalDeg: number | null, more: Partial<Read> = {}): Read => ({
  move: 'forward',
  goalDeg,
  turnsOn: 0,
  oncePerCycle: false,
  ...more
});
const placed = (...args: Parameters<typeof understandTurn>) => {
  const out = understandTurn(...args);
  return 'place' in out ? out.place : null;
};

describe('a figure of the wheel', () => {
  it('near the end of the plan was read there, over or short of it', () => {
    for (const off of [-4, 0, 4, 15])
      expect(placed(at(0), 90 + off, towards(90), turning)).toMatchObject({ crankDeg: 90 + off, from: 'end' });
  });
  it('after a plan of more than a turn is more than a turn on, and not the same figure a turn before', () => {
    expect(placed(at(30), 0, towards(720), turning)).toMatchObject({ crankDeg: 0, from: 'end' });
    expect(placed(at(400), 352, towards(710), turning)).toMatchObject({ crankDeg: 712, from: 'end' });
  });
  it('where it stood before was read without a turn', () => {
    expect(placed(at(100), 101, towards(300), turning)).toMatchObject({ crankDeg: 101, from: 'still' });
  });
  it('near the end of a leg back says that it stands there, come to backwards', () => {
    // overshot by 6°: back beyond the slack, then forward again; read at the end of the way back
    const backUp = { ...turning, approach: 'backUp' as const };
    const [back, forward] = planFrom(at(96), 90, backUp).steps;
    expect([back!.move, forward!.move]).toEqual(['backward', 'forward']);
    const there = 96 - back!.degrees;
    const out = placed(at(96), there, towards(90, { move: 'unknown' }), backUp);
    expect(out).toMatchObject({ from: 'leg', lastMove: 'backward' });
    expect(out!.crankDeg).toBeCloseTo(there, 6);
  });
  it('near none of them is not guessed: every way that ends there is given, on, once round more and back', () => {
    const out = understandTurn(at(0), 200, towards(90), turning);
    expect(out).toEqual({
      ways: [
        { travelDeg: 200, crankDeg: 200 },
        { travelDeg: 560, crankDeg: 560 },
        { travelDeg: -160, crankDeg: 560 }
      ]
    });
  });
  it('that a plan of about a turn and standing still explain alike is not guessed either', () => {
    expect(placed(at(0), 0, towards(361), turning)).toBeNull();
  });
  it('after so many whole turns asked for counts them', () => {
    expect(placed(at(0), 2, towards(0, { turnsOn: 2 }), turning)).toMatchObject({ crankDeg: 2 });
    expect(placed(at(0), 0, towards(0, { turnsOn: 1 }), turning)).toBeNull();
  });
  it('of what comes by once a cycle is its goal, however far off it is', () => {
    const out = placed(at(10), 335, towards(700, { oncePerCycle: true }), turning);
    expect(out).toMatchObject({ crankDeg: 695, from: 'end' });
  });
  it('on the rise that was felt is on that rise', () => {
    const out = placed(at(200, { riseTo: 360 }), 300, towards(null), turning);
    expect(out).toMatchObject({ crankDeg: 300, from: 'rise' });
  });
});

describe('ways to a figure', () => {
  it('go back only where the crank may be turned back', () => {
    expect(waysTo(100, 80, { ...turning, mayReverse: false }).map((w) => w.travelDeg)).toEqual([340, 700]);
    expect(waysTo(100, 80, turning).map((w) => w.travelDeg)).toEqual([340, 700, -20]);
  });
  it('of an engine that fires every turn end on one stroke', () => {
    expect(waysTo(100, 80, { ...turning, cycleDeg: 360 }).map((w) => w.crankDeg)).toEqual([80, 80]);
  });
});
