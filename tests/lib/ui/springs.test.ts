import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { curveMatch } from '$core/calculations/curve/curve-match.ts';
import { matchOf } from '$core/domains/recurve/by-hand.ts';
import { matchInput } from '$core/domains/recurve/recurve-work.ts';
import { carriedOn, figuresOf, fitOf } from '$lib/ui/curves/match-words.ts';
import {
  along,
  CENTRE,
  coil,
  inOrder,
  nearestStop,
  slotDegAt,
  slotPoint
} from '$lib/ui/instruments/springs/springs-geometry.ts';
import { found, part, stock } from '../../support/curve-jobs.ts';

const springs = [1.9, 0.8, 3.4].map((rateNPerMm, k) => part(`s${k}`, { rateNPerMm, preloadN: 1 }));
const stops = [11, 9, 12].map((deg, k) => part(`p${k}`, { kind: 'stop', deg }));

describe('the advance mechanism as drawn', () => {
  it('has its slot at the true angle: a point of it gives the advance it stands for', () => {
    fc.assert(
      fc.property(fc.double({ min: -20, max: 40, noNaN: true }), (deg) => {
        expect(slotDegAt(slotPoint(deg))).toBeCloseTo(deg, 9);
      })
    );
    // 80 degrees from the top, clockwise, is a little above three o'clock
    const at = slotPoint(0);
    expect(at.x).toBeGreaterThan(CENTRE.x);
    expect(at.y).toBeLessThan(CENTRE.y);
    expect(slotPoint(20).y).toBeGreaterThan(CENTRE.y);
  });
  it('gives the distance from the centre no say', () => {
    const p = slotPoint(14);
    const near = { x: CENTRE.x + (p.x - CENTRE.x) / 3, y: CENTRE.y + (p.y - CENTRE.y) / 3 };
    expect(slotDegAt(near)).toBeCloseTo(14, 9);
  });
  it('pulls springs through from soft to stiff, held at both ends', () => {
    const soft = inOrder(springs);
    expect(soft.map((s) => s.rateNPerMm)).toEqual([0.8, 1.9, 3.4]);
    expect(along(soft, 's1', 1)).toBe('s0');
    expect(along(soft, 's1', 9)).toBe('s2');
    expect(along(soft, 's1', -1)).toBe('s1');
    expect(springs.map((s) => s.id)).toEqual(['s0', 's1', 's2']);
  });
  it('has nothing to pull through in an empty tray', () => {
    expect(along([], 'gone', 1)).toBe('gone');
    expect(nearestStop([], 10)).toBeUndefined();
  });
  it('takes the stop nearest to the hand, the first of two as near', () => {
    expect(nearestStop(stops, 11.6)!.deg).toBe(12);
    expect(nearestStop(stops, -30)!.deg).toBe(9);
    expect(nearestStop(inOrder(stops), 10)!.deg).toBe(9);
  });
  it('draws a stiffer spring with fewer and thicker turns', () => {
    const turns = (rate: number) => coil(0, 0, rate).path.split('l').length - 1;
    expect(turns(0.8)).toBeGreaterThan(turns(3.4));
    expect(coil(0, 0, 3.4).thick).toBeGreaterThan(coil(0, 0, 0.8).thick);
    expect(turns(40)).toBe(10);
    // whatever the turns, the coil is as long
    const end = (rate: number) =>
      coil(0, 0, rate)
        .path.split(/[hl]/)
        .slice(1)
        .reduce((x, part) => x + Number(part.trim().split(' ')[0]), 0);
    expect(end(0.8)).toBeCloseTo(86, 6);
    expect(end(3.4)).toBeCloseTo(86, 6);
  });
});

describe('springs put in by hand', () => {
  const job = found();
  const { recurve, sweeps } = job.state.work;
  const input = matchInput(recurve, sweeps[0]!.baseline, stock, [
    { rpm: 900, deg: 9 },
    { rpm: 1500, deg: 16 },
    { rpm: 2600, deg: 31 }
  ])!;
  it('are judged as the search judges them', () => {
    const all = curveMatch({ ...input, top: 10_000 });
    if (!all.ok) throw new Error(all.error.message);
    expect(all.out.ranked.length).toBeGreaterThan(3);
    for (const m of all.out.ranked) expect(matchOf(input, m)).toEqual(m);
    const [one, two] = all.out.ranked[0]!.springs;
    expect(matchOf(input, { springs: [two, one], stop: all.out.ranked[0]!.stop })).toEqual(all.out.ranked[0]);
  });
  it('may be a spring of which one is left put in twice: the tray is asked when they are taken', () => {
    const single = { ...input, tray: { ...input.tray, springs: input.tray.springs.map((s) => ({ ...s, count: 1 })) } };
    const { id } = single.tray.springs[0]!;
    expect(matchOf(single, { springs: [id, id], stop: single.tray.stops[0]!.id })!.springs).toEqual([id, id]);
  });
  it('have no figures when they are not in the tray or the stop lies beyond what was measured', () => {
    const stop = input.tray.stops[0]!.id;
    const { id } = input.tray.springs[0]!;
    expect(matchOf(input, { springs: ['lost', id], stop })).toBeNull();
    expect(matchOf(input, { springs: [id, id], stop: 'lost' })).toBeNull();
    const far = { ...input, tray: { ...input.tray, stops: [{ id: 'far', deg: 60 }] } };
    expect(matchOf(far, { springs: [id, id], stop: 'far' })).toBeNull();
  });
});

describe('a match in words', () => {
  const m = {
    springs: ['a', 'b'] as [string, string],
    stop: 's',
    initialBtdc: 8.5,
    misfitDeg: 0.64,
    violations: [],
    startRpm: 1040,
    fullRpm: 2650
  };
  it('gives the miss, then what the engine will show', () => {
    expect(fitOf(m)).toBe('misses by 0.6°');
    expect(figuresOf(m, 24)).toBe('initial 8.5° before, starts 1,040, all in 2,650, total 32.5°');
  });
  it('gives what it violates first, and the miss last', () => {
    const bad = { ...m, violations: ['creep' as const, 'total' as const] };
    expect(fitOf(bad)).toBe('creeps at idle, total above its limit');
    expect(figuresOf(bad, 24)).toMatch(/total 32\.5°; misses by 0\.6°$/);
  });
  it('gives the same figures where a curve is carried on, and no miss', () => {
    expect(carriedOn({ startRpm: 1316, fullRpm: 2490, fullDeg: 24 }, 9.62)).toBe(
      'initial 9.6° before, starts 1,316, all in 2,490, total 33.6°'
    );
  });
});
