import { box, ring, type Line, type PlaceDrawing } from './place.ts';

const elements = [222, 256, 290, 324];
const each = (d: (x: number) => string): string => elements.map(d).join('');

const LINES: Line[] = [
  ['body', 'M200 108H350V220H200Z'],
  ['body', each((x) => box(x - 7, 84, 14, 24))],
  ['thin', each((x) => `M${x} 84V66q0-8 8-8h10`)],
  ['thin', 'M204 122H346'],
  ['body', each((x) => box(x - 8, 116, 16, 50))],
  ['cut', each((x) => box(x - 4, 132, 8, 38))],
  ['line', 'M206 146H366'],
  ['body', each((x) => box(x - 9, 178, 18, 16))],
  ['line', each((x) => `M${x} 170V178`)],
  ['line', 'M186 208H350'],
  ['body', each((x) => ring(x, 204, 8))],
  ['body', 'M350 108H374Q388 164 374 220H350Z'],
  ['line', 'M366 108V84L378 72'],
  ['body', box(178, 194, 22, 28)],
  ['line', 'M238 220V238M230 238H246'],
  ['hub', ring(300, 228, 4) + ring(364, 100, 4)],
  ['thin', 'M300 232Q310 250 326 252'],
  ['body', box(326, 244, 40, 20)]
];

export const place: PlaceDrawing = {
  title: 'Injection pump, its elements in line',
  height: 276,
  lines: LINES,
  at: {
    valves: { x: 222, y: 94, side: 'left' },
    gallery: { x: 240, y: 122, side: 'left' },
    elements: { x: 222, y: 150, side: 'left' },
    tappets: { x: 222, y: 186, side: 'left' },
    coupling: { x: 184, y: 208, side: 'left' },
    rack: { x: 338, y: 146, side: 'right' },
    governor: { x: 372, y: 172, side: 'right' },
    lock: { x: 238, y: 234, side: 'left' },
    seals: { x: 364, y: 100, side: 'right' },
    tag: { x: 350, y: 254, side: 'right' }
  }
};
