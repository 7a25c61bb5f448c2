import { ring, type PlaceDrawing } from './place.ts';

export const place: PlaceDrawing = {
  title: 'Gears that the crank drives, seen from the front',
  height: 250,
  lines: [
    ['body', ring(226, 210, 32) + ring(282, 162, 42) + ring(224, 76, 62) + ring(336, 100, 42)],
    ['dash', ring(226, 210, 27) + ring(282, 162, 37) + ring(224, 76, 57) + ring(336, 100, 37)],
    ['hub', ring(226, 210, 4) + ring(282, 162, 4) + ring(224, 76, 4) + ring(336, 100, 4)],
    ['hub', ring(250, 189, 3.5) + ring(258, 127, 3.5) + ring(310, 130, 3.5)]
  ],
  at: {
    crank: { x: 216, y: 226, side: 'left' },
    idler: { x: 300, y: 186, side: 'right' },
    cam: { x: 190, y: 96, side: 'left' },
    driven: { x: 360, y: 88, side: 'right' },
    marks: { x: 250, y: 189, side: 'left' }
  }
};
