import { describe, expect, it } from 'vitest';
import { domains, manifests } from '$core/domains/all.ts';
import { curveThumb } from '$core/domains/recurve/curve-thumb.ts';
import { runSheets } from '$core/sheets/index.ts';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';

const words = manifests.flatMap((m) => Object.entries(m.schools ?? {}));
const ways = domains.flatMap((d) => Object.entries(d.schools ?? {}));
/** a job of which nothing was said or read yet */
const untouched = new PlayedJob().state.replayed;
const optionsOf = (id: string) => words.find(([w]) => w === id)![1].options.map((o) => o.id);

describe('schools', () => {
  it('are proposed and worded in the same places', () => {
    expect(ways.map(([id]) => id).sort()).toEqual(words.map(([id]) => id).sort());
  });
  it.each(ways)('%s proposes one of its ways, with a reason, for any engine', (id, propose) => {
    for (const values of [SHEET, {}, { ...SHEET, reversal: 'forbidden', triggerKind: 'vane' }]) {
      const p = propose(engineWith(values), new Map(), untouched);
      expect(optionsOf(id)).toContain(p.option);
      expect(p.because.length).toBeGreaterThan(10);
    }
  });
  it.each([
    [{ load: 'heavy' }, 'slow', 'heavy loads'],
    [{ fuel: 'poor' }, 'slow', 'poor fuel'],
    [{ load: 'heavy', fuel: 'poor' }, 'slow', 'heavy loads and poor fuel'],
    [{ load: 'light', use: 'changing' }, 'fast', 'light loads and changing speeds'],
    // what knocks outweighs what is lively
    [{ fuel: 'poor', load: 'light', use: 'changing' }, 'slow', 'poor fuel'],
    [{ load: 'mixed', fuel: 'good', use: 'steady' }, 'mixed', 'general use'],
    [{}, 'mixed', 'general use']
  ])('%o speaks for a %s curve, named as a rule of thumb', (said, option, for_) => {
    const p = curveThumb(new Map(Object.entries(said)));
    expect(p).toMatchObject({ option });
    expect(p.because).toContain(`for ${for_}`);
    expect(p.because).toContain('rule of thumb');
  });
  it('look at what was measured: a bush out of its limits goes to a specialist, a sound one stays', () => {
    const who = (play: string) => {
      const j = new PlayedJob(engineWith({ ...SHEET, bushPlayMaxMm: '0.06' }), 'teardown');
      j.read('platform', 'bush-play', play);
      return j.state.schools.rebuild;
    };
    expect(who('0.15')).toMatchObject({ option: 'specialist', because: expect.stringContaining('outside') });
    expect(who('0.02')).toMatchObject({ option: 'own', because: expect.stringContaining('inside') });
  });
  it('are each asked at some step, and say what each way gives and costs', () => {
    const asked = new Set(runSheets.flatMap((s) => s.steps.flatMap((x) => x.schools)));
    expect(ways.map(([id]) => id).filter((id) => !asked.has(id))).toEqual([]);
    for (const [, s] of words)
      for (const o of s.options)
        expect(Math.min(o.gives.length, o.costs.length, o.preferWhen.length)).toBeGreaterThan(3);
  });
});
