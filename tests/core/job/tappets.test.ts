import { describe, expect, it } from 'vitest';
import { tappetPicks } from '$core/domains/elements/tappet-picks.ts';
import { lastSpacing } from '$core/domains/elements/tappets.ts';
import type { ElementRow } from '$core/domains/elements/elements-work.ts';
import { part } from '../../support/curve-jobs.ts';
import { DIESEL } from '../../support/pump-jobs.ts';
import { engineWith, headline, PlayedJob } from '../../support/played.ts';

const shim = (id: string, thicknessMm: number, count = 1) => part(id, { kind: 'shim', thicknessMm, uMm: 0.004, count });
const row = (element: number, shimMm: number | null): ElementRow => ({
  element,
  reading: null,
  nominalDeg: 0,
  errorDeg: null,
  verdict: null,
  shimMm
});
const TRAY = [shim('S10', 0.1, 2), shim('S15', 0.15), shim('S25', 0.25), shim('S50', 0.5)];

describe('shims for the tappets', () => {
  it('are the piece or pair that comes nearest, fewer where two come as near', () => {
    const [a, b] = tappetPicks([row(1, 0.25), row(3, 0.2)], TRAY, 0.2);
    // one of 0.25 and not 0.10 with 0.15
    expect(a).toMatchObject({ element: 1, ids: ['S25'], leftMm: 0 });
    expect(b).toMatchObject({ element: 3, ids: ['S10', 'S10'] });
    expect(b!.leftMm).toBeCloseTo(0, 9);
  });
  it('never use a piece twice: the largest change is served first', () => {
    const picks = tappetPicks([row(1, 0.15), row(2, 0.15)], [shim('S15', 0.15)], 0.2);
    expect(picks.map((p) => p.ids)).toEqual([['S15'], []]);
    expect(picks[1]).toMatchObject({ leftMm: 0.15, leftDeg: expect.closeTo(0.75, 9) });
  });
  it('leave a tappet alone rather than make it worse, and take out what is to be thinner', () => {
    const [thin, small] = tappetPicks([row(1, -0.2), row(2, 0.05)], [shim('S50', 0.5)], undefined);
    expect(thin).toMatchObject({ ids: [], leftMm: 0 });
    expect(small).toMatchObject({ ids: [], leftMm: 0.05, leftDeg: null });
  });
  it('ask nothing of elements that are even, nor of a tray of other parts', () => {
    expect(tappetPicks([row(1, 0), row(2, null)], TRAY, 0.2)).toEqual([]);
    expect(tappetPicks([row(1, 0.1)], [part('P', { kind: 'packing', thicknessMm: 0.1 })], 0.2)[0]!.ids).toEqual([]);
  });
  it('follow from the last whole round, and say under which they go', () => {
    const job = new PlayedJob(engineWith({ ...DIESEL, elementWithinDeg: '0.3' }), 'pump-bench');
    for (const text of ['0', '90.7', '180']) job.read('spacing', 'element', text);
    expect(lastSpacing(job.state)).toBeNull();
    job.read('spacing', 'element', '269.3');
    const w = lastSpacing(job.state)!;
    const thicker = w.rows.filter((r) => (r.shimMm ?? 0) > 0).map((r) => r.element);
    const thinner = w.rows.filter((r) => (r.shimMm ?? 0) < 0).map((r) => r.element);
    expect([thicker.length, thinner.length]).toEqual([1, 1]);
    expect(headline(job, 'shims')).toBe(`Shims thicker under ${thicker[0]}, thinner under ${thinner[0]}`);
  });
});
