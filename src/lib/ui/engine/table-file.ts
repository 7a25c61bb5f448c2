import Papa from 'papaparse';

/** What a file of points came to: the text as it would be typed, or what is wrong with the file. */
export type TableFile = { ok: true; text: string; points: number; passed: number } | { ok: false; message: string };

/** Larger than any chart that is typed from paper. */
const MOST_BYTES = 200_000;

/**
 * Reads a file of points for a value of the data sheet: two columns, or three where a point has a least and a most. Separator
 * (semicolon, tab or comma) and decimal comma are recognised; lines without a figure are headings and are passed over, and a
 * line with too few figures is named. The text is then read as if it had been typed, so nothing is believed here.
 */
export function tableFromFile(content: string, columns: 2 | 3): TableFile {
  if (content.length > MOST_BYTES)
    return { ok: false, message: 'This file is too large for a chart: is it the right one?' };
  const plain = content.replace(/^\uFEFF/, '');
  const separator = [';', '\t'].find((s) => plain.includes(s)) ?? (/\d,\d+ +\d/.test(plain) ? ' ' : ',');
  const { data } = Papa.parse<string[]>(plain, { delimiter: separator, skipEmptyLines: true });
  const points: string[] = [];
  let passed = 0;
  for (const [k, row] of data.entries()) {
    const figures = row.map((c) => c.trim().replace(',', '.')).filter((c) => c !== '' && Number.isFinite(Number(c)));
    if (figures.length === 0) passed++;
    else if (figures.length < columns)
      return {
        ok: false,
        message: `Line ${k + 1} of the file, "${row.join(' ').trim()}", has too few figures: ${columns} belong to a point.`
      };
    else points.push(columns === 2 ? figures.slice(0, 2).join(' ') : `${figures[0]} ${figures[1]}-${figures[2]}`);
  }
  return points.length === 0
    ? { ok: false, message: 'This file holds no line with figures: save the chart as CSV.' }
    : { ok: true, text: points.join('; '), points: points.length, passed };
}
