import { describe, expect, it } from 'vitest';
import { parseSheetValue } from '$core/sheets/data-sheet.ts';
import { tableFromFile } from '$lib/ui/engine/table-file.ts';

const read = (text: string, columns: 2 | 3 = 2) => tableFromFile(text, columns);

describe('a chart from a file', () => {
  it.each([
    ['commas, with a heading', 'btdc,lift\n14,1.62\n16,1.95\n'],
    ['semicolons and decimal commas', '\uFEFFGrad;Hub\r\n14;1,62\r\n16;1,95\r\n'],
    ['tabs, and a column too many', '14\t1.62\tfirst\n16\t1.95\tsecond'],
    ['a blank line and a note', 'chart K 4-R, read twice\n\n14,1.62\n16,1.95']
  ])('with %s is what would be typed', (_, text) => {
    const t = read(text);
    expect(t).toMatchObject({ ok: true, text: '14 1.62; 16 1.95', points: 2 });
    const value = parseSheetValue('liftChart', t.ok ? t.text : '', null);
    expect(value).toMatchObject({ ok: true, out: [14, 1.62, 16, 1.95] });
  });
  it('has three columns where a point has a least and a most', () => {
    const t = read('rpm,least,most\n650,7,11\n1800,19,24\n', 3);
    expect(t).toMatchObject({ text: '650 7-11; 1800 19-24', passed: 1 });
    expect(parseSheetValue('advanceBand', t.ok ? t.text : '', null)).toMatchObject({ ok: true });
  });
  it.each([
    ['14,1.62\n16\n', 'Line 2 of the file'],
    ['nothing here', 'no line with figures'],
    ['x'.repeat(300_000), 'too large']
  ])('that cannot be read says what is wrong', (text, why) => {
    expect(read(text)).toMatchObject({ ok: false, message: expect.stringContaining(why) });
  });
  it('is believed no more than what is typed: points that fall back are refused by the data sheet', () => {
    const t = read('16,1.95\n14,1.62\n');
    expect(parseSheetValue('liftChart', t.ok ? t.text : '', null).ok).toBe(false);
  });
});
