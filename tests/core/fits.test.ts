import { describe, expect, it } from 'vitest';
import { fitting } from '$core/job/fits.ts';
import { runSheets, sheetOf } from '$core/sheets/index.ts';
import { engineWith, SHEET } from '../support/played.ts';

const of = (values: Record<string, string>) => {
  const engine = engineWith({ ...SHEET, ...values });
  return (id: string) => fitting(sheetOf(id)!, engine);
};

describe('what is offered for an engine', () => {
  it('leaves a distributor’s sheets off an engine that a pump times, and says by what it is timed', () => {
    const fits = of({ firedBy: 'pump' });
    expect(fits('fit-from-scratch')).toEqual({
      fits: false,
      because: 'its firing is timed by an injection pump, not by a distributor'
    });
    expect(fits('verify-marks').fits).toBe(true);
  });
  it('tells drives apart, and a curve that no weights make', () => {
    const fits = of({ firedBy: 'distributor', driveKind: 'pedestal', advanceKind: 'locked' });
    expect(fits('pedestal').fits).toBe(true);
    expect(fits('regear')).toMatchObject({ fits: false, because: expect.stringContaining('under a pedestal') });
    expect(fits('recurve')).toMatchObject({ fits: false, because: expect.stringContaining('locked') });
  });
  it('does not guess where the data sheet is silent', () => {
    const fits = of({});
    expect(fits('fit-from-scratch')).toEqual({
      fits: null,
      because: 'the data sheet does not say: what times the firing'
    });
  });
  it('asks only for values that a data sheet can have', () => {
    for (const s of runSheets)
      for (const f of s.fits ?? []) {
        const field = s.words.fields.find((x) => x.name === f.field)!;
        expect(f.is.filter((v) => !field.choices!.some((c) => c.id === v))).toEqual([]);
      }
  });
});
