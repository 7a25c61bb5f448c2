import { box, teeth, type PlaceDrawing } from './place.ts';

export const place: PlaceDrawing = {
  title: 'Drive under its pedestal, cut open along the shaft',
  height: 300,
  lines: [
    ['cut', 'M186 136H240V236H254V292H186ZM374 136H320V236H306V292H374Z'],
    ['cut', 'M190 96H370V124H320V152H300V74H260V152H240V124H190Z'],
    ['hub', box(190, 124, 50, 12) + box(320, 124, 50, 12)],
    ['line', 'M204 86V150M196 86H212M356 86V150M348 86H364'],
    ['body', box(260, 78, 10, 74) + box(290, 78, 10, 74)],
    ['line', 'M270 40V160M290 40V160'],
    ['line', 'M270 40H276V54H284V40H290'],
    ['body', box(246, 160, 68, 46)],
    ['thin', teeth(246, 160, 68, 46)],
    ['body', 'M300 102H380V114H300Z', 'speed'],
    ['line', 'M368 94V122', 'speed'],
    ['hub', box(248, 208, 64, 7), 'washer'],
    ['line', 'M272 206V238H276V252H284V238H288V206'],
    ['cut', 'M262 242H274V258H286V242H298V278H262Z']
  ],
  at: {
    body: { x: 214, y: 102, side: 'left' },
    screws: { x: 356, y: 88, side: 'right' },
    packing: { x: 206, y: 130, side: 'left' },
    bush: { x: 295, y: 132, side: 'right' },
    faces: { x: 252, y: 156, side: 'left' },
    shaft: { x: 288, y: 62, side: 'right' },
    gear: { x: 310, y: 184, side: 'right' },
    tang: { x: 280, y: 250, side: 'left' },
    pump: { x: 294, y: 268, side: 'right' },
    washer: { x: 252, y: 211, side: 'left' },
    speed: { x: 372, y: 108, side: 'right' }
  }
};
