import { box, type PlaceDrawing } from './place.ts';

export const place: PlaceDrawing = {
  title: 'Loaded flank of a tooth, seen square, the shaft upright',
  height: 250,
  lines: [
    ['thin', 'M214 40V210M222 40V210M230 40V210'],
    ['body', box(238, 40, 108, 170)],
    ['dash', 'M238 96H330M238 154H330M330 40V210'],
    ['cut', box(232, 40, 6, 170)]
  ],
  texts: [
    [262, 28, 'towards the rotor'],
    [262, 232, 'towards the tang'],
    [338, 34, 'crest']
  ],
  at: {
    face: { x: 238, y: 70, side: 'left' },
    high: { x: 284, y: 68, side: 'right', zone: box(238, 40, 92, 56) },
    middle: { x: 284, y: 125, side: 'right', zone: box(238, 96, 92, 58) },
    low: { x: 284, y: 182, side: 'right', zone: box(238, 154, 92, 56) },
    edge: { x: 338, y: 150, side: 'right', zone: box(330, 40, 16, 170) }
  }
};
