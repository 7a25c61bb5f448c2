import { describe, expect, it } from 'vitest';
import { schools } from '$core/sheets/schools.ts';
import { ways } from '$core/sheets/school-ways.ts';
import { runSheets } from '$core/sheets/index.ts';
import { engineWith, SHEET } from '../support/played.ts';

describe('schools', () => {
  it('have the same ways in their words as in what may be chosen', () => {
    const words = Object.entries(schools).map(([id, s]) => [id, s.options.map((o) => o.id)]);
    expect(words).toEqual(Object.entries(ways).map(([id, w]) => [id, w.options]));
  });
  it.each(Object.entries(ways))('%s proposes one of its ways, with a reason, for any engine', (_, w) => {
    for (const values of [SHEET, {}, { ...SHEET, reversal: 'forbidden', triggerKind: 'vane' }]) {
      const p = w.proposes(engineWith(values), new Map());
      expect(w.options).toContain(p.option);
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
    const p = ways.curve.proposes(engineWith(SHEET), new Map(Object.entries(said)));
    expect(p).toMatchObject({ option });
    expect(p.because).toContain(`for ${for_}`);
    expect(p.because).toContain('rule of thumb');
  });
  it('are each asked at some step, and say what each way gives and costs', () => {
    const asked = new Set(runSheets.flatMap((s) => s.steps.map((x) => x.school)));
    expect(Object.keys(ways).filter((id) => !asked.has(id as keyof typeof ways))).toEqual([]);
    for (const s of Object.values(schools))
      for (const o of s.options)
        expect(Math.min(o.gives.length, o.costs.length, o.preferWhen.length)).toBeGreaterThan(3);
  });
});
