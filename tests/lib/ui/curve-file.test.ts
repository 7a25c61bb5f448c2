import { describe, expect, it } from 'vitest';
import { curveSvg, measuredCsv, predictedCsv, readCurveFile } from '$lib/ui/curves/curve-file.ts';
import { picture } from '$lib/reader/curve-picture.ts';
import { ghostOf, predictedPoints } from '$lib/ui/curves/curve-series.ts';
import { engineWith, SHEET } from '../../support/played.ts';

const points = (text: string) => readCurveFile(text).points.map((p) => [p.rpm, p.deg, p.dir]);

describe('a file of a curve', () => {
  it.each([
    ['commas', 'rpm,deg,dir\n650,9.0,up\n900,9.5,down'],
    ['semicolons and decimal commas', 'rpm;deg;dir\n650;9,0;up\n900;9,5;down'],
    ['tabs', 'rpm\tdeg\tdir\n650\t9.0\tup\n900\t9.5\tdown'],
    ['columns in another order', 'timing;dir;engine speed\n9;up;650\n9,5;down;900'],
    ['units beside the figures', 'rpm,deg,dir\n650 rpm,9.0°,up\n900 rpm,9.5°,down'],
    ['a byte-order mark and empty lines', '\uFEFFrpm,deg,dir\n650,9,up\n\n900,9.5,down\n\n']
  ])('is read with %s', (_, text) => {
    expect(points(text)).toEqual([
      [650, 9, 'up'],
      [900, 9.5, 'down']
    ]);
  });
  it.each([
    ['semicolons', 'rpm;deg\n650;9,5\n1200;9,8'],
    ['semicolons and no names', '650;9,5\n1200;9,8'],
    ['tabs', 'rpm\tdeg\n650\t9,5\n1200\t9,8'],
    ['commas and quotes', 'rpm,deg\n650,"9,5"\n1200,"9,8"']
  ])('of two columns is read with decimal commas beside %s', (_, text) => {
    expect(points(text)).toEqual([
      [650, 9.5, null],
      [1200, 9.8, null]
    ]);
  });
  it('is read without a line of names: speed first, timing second', () => {
    expect(points('650,9\n900,9.5')).toEqual([
      [650, 9, null],
      [900, 9.5, null]
    ]);
  });
  it('knows whose degrees they are when it says so, in a column or in its names', () => {
    expect(readCurveFile('rpm,deg,dir,scale\n325,2,up,distributor').scale).toBe('distributor');
    expect(readCurveFile('distributor rpm,distributor deg\n325,2').scale).toBe('distributor');
    expect(readCurveFile('engine speed,deg crank\n650,4').scale).toBe('engine');
    expect(readCurveFile('rpm,deg\n650,4').scale).toBeNull();
  });
  it('names every line that cannot be read, by its number in the file', () => {
    const t = readCurveFile('rpm,deg\n650,9\nfast,9\n900,nine\n950,\n99999,9\n1000,120');
    expect(t.points).toHaveLength(1);
    expect(t.problems.map((p) => p.line)).toEqual([3, 4, 5, 6, 7]);
    expect(t.problems[0]!.message).toBe('Line 3: "fast" is not a speed. Expected a figure such as 1800.');
    expect(t.problems[3]!.message).toContain('a speed of 99999 cannot be');
  });
  it('of something else, of nothing, or of two scales says so', () => {
    expect(readCurveFile('name,price\ngasket,3.20').problems[0]!.message).toContain('Is this a table of a curve?');
    expect(readCurveFile('').problems[0]!.message).toContain('no line with a speed and a timing');
    expect(readCurveFile('rpm,deg,dir,scale\n650,9,up,engine\n325,2,up,distributor').problems[0]!.message).toContain(
      'a curve is of one of them'
    );
  });
  it('that was written here is read back as it was', () => {
    const p = picture(engineWith(SHEET), null, {
      up: [
        { x: 650, y: 9 },
        { x: 1200, y: 9.35 }
      ],
      down: [{ x: 1200, y: 11 }]
    });
    const t = readCurveFile(measuredCsv(p));
    expect(t.problems).toEqual([]);
    expect(t.scale).toBe('engine');
    expect(t.points.map(({ rpm, deg, dir }) => [rpm, deg, dir])).toEqual([
      [650, 9, 'up'],
      [1200, 9.35, 'up'],
      [1200, 11, 'down']
    ]);
    expect(readCurveFile(predictedCsv([{ x: 1315.52, y: 10 }])).points[0]).toMatchObject({ rpm: 1315.5, deg: 10 });
  });
});

describe('the picture of a curve', () => {
  const engine = engineWith({ ...SHEET, idleRpm: '650', advanceBand: '650 7-11; 4200 30-34' });
  const c = {
    points: [
      { deg: 0, rpm: 1300 },
      { deg: 20, rpm: 2250 }
    ],
    startRpm: 1300,
    fullRpm: 2250,
    fullDeg: 20,
    unstableFromDeg: null,
    extrapolatedFromDeg: null
  };
  it('draws a prediction over its initial timing, from standstill to beyond full advance', () => {
    expect(predictedPoints(c, 10, 5000)).toEqual([
      { x: 0, y: 10 },
      { x: 1300, y: 10 },
      { x: 2250, y: 30 },
      { x: 5000, y: 30 }
    ]);
  });
  it('reaches a little beyond the limits and the measured points, in whole five hundreds', () => {
    expect(picture(engine, null).maxRpm).toBe(4500);
    expect(picture(engine, null).idleRpm).toBe(650);
  });
  it('takes the curve of an earlier job only when there is one', () => {
    expect(ghostOf({ knots: [{ rpm: 1000, deg: 9 }] })).toEqual([{ x: 1000, y: 9 }]);
    expect(ghostOf(null)).toEqual([]);
    expect(ghostOf({ value: 3 })).toEqual([]);
  });
  it('as SVG stands alone, escapes its title and holds every mark', () => {
    const svg = curveSvg(
      picture(engine, null, {
        up: [
          { x: 650, y: 9 },
          { x: 1200, y: 12 }
        ],
        down: [{ x: 900, y: 10 }],
        target: [{ x: 2000, y: 24 }],
        predicted: [{ label: 'S', points: predictedPoints(c, 10, 5000) }],
        ghost: [
          { x: 650, y: 9 },
          { x: 3000, y: 31 }
        ]
      }),
      'Winch <2> & "co"'
    );
    expect(svg.startsWith('<svg xmlns="http://www.w3.org/2000/svg"')).toBe(true);
    expect(svg).toContain('Winch &#60;2&#62; &#38; &#34;co&#34;');
    expect(svg.match(/a8 8 0 1 0 16 0/g)).toHaveLength(1);
    expect(svg.match(/l-5 -9z|l-5 9z/g)).toHaveLength(3);
    expect(svg).not.toContain('NaN');
  });
});
