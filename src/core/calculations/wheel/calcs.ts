import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n } from '../building-blocks.ts';
import { wheelMeasure } from './wheel-measure.ts';
import { wheelTicks } from './wheel-ticks.ts';
import * as s from './schemas.ts';

export const wheelCalcs = [
  define({
    name: 'wheel.ticks',
    title: 'Ticks of a degree scale on a rim',
    formula: 'arc = πD·deg/360; chord = D·sin(|deg|/2) with the angle’s sign',
    source: 'Geometry of the circle',
    errors: [],
    input: s.wheelTicksInput,
    output: z.strictObject({ mmPerDeg: n, ticks: z.array(z.strictObject({ deg: n, arcMm: n, chordMm: n })) }),
    example: {
      in: { diameterMm: 140, fromDeg: 180, toDeg: 180, stepDeg: 1 },
      out: { mmPerDeg: 1.22173, ticks: [{ deg: 180, arcMm: 219.9115, chordMm: 140 }] }
    },
    calculate: wheelTicks
  }),
  define({
    name: 'wheel.measure',
    title: 'Angle from an arc or a chord on a rim',
    formula: 'deg = 360·arc/(πD), or 2·asin(chord/D)',
    source: 'Geometry of the circle',
    errors: [],
    input: s.wheelMeasureInput,
    output: z.strictObject({ deg: n }),
    example: { in: { diameterMm: 180, arcMm: 0 }, out: { deg: 0 } },
    calculate: wheelMeasure
  })
];
