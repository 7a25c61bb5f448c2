import { box, ring, type PlaceDrawing } from './place.ts';

export const place: PlaceDrawing = {
  title: 'Rim on the nose of the crank, seen from the front',
  height: 270,
  lines: [
    ['body', ring(280, 166, 96)],
    ['dash', ring(280, 166, 76)],
    ['thin', ring(280, 166, 26)],
    ['hub', ring(280, 166, 3)],
    ['thin', 'M280 58V160'],
    ['line', 'M280 70V88'],
    ['body', 'M280 64L272 26H288Z'],
    ['body', box(220, 12, 120, 14)],
    ['hub', ring(232, 19, 3) + ring(328, 19, 3)]
  ],
  at: {
    pointer: { x: 284, y: 36, side: 'right' },
    mark: { x: 280, y: 80, side: 'left' },
    bond: { x: 346, y: 128, side: 'right' },
    face: { x: 368, y: 204, side: 'right' },
    axis: { x: 280, y: 166, side: 'left' }
  }
};
