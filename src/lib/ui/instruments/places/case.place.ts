import { box, ring, type PlaceDrawing } from './place.ts';

export const place: PlaceDrawing = {
  title: 'Case open on its stand, crank and cam above their bearings',
  height: 300,
  lines: [
    ['body', 'M204 136H344V206H204Z'],
    ['cut', 'M196 136H210V206H196ZM338 136H352V206H338Z'],
    ['body', 'M228 134L220 60H234L238 134ZM300 134L308 60H294L290 134Z'],
    ['body', box(216, 48, 22, 14) + box(290, 48, 22, 14)],
    ['line', 'M212 128H226V108H240V128H258V148H272V128H288V108H302V128H356'],
    ['line', 'M212 176H356'],
    ['body', 'M232 170Q242 158 250 170V182Q242 186 232 182ZM276 170Q286 186 294 182V170Q286 166 276 170Z'],
    ['body', ring(358, 175, 22) + ring(358, 129, 22)],
    ['dash', ring(358, 129, 17)],
    ['hub', ring(358, 152, 3)],
    ['body', box(186, 84, 8, 70) + box(178, 130, 24, 16)],
    ['body', box(180, 148, 20, 4)],
    ['body', 'M178 76H210V84H178Z'],
    ['line', 'M190 76l-5 -4 10 -4-10 -4 10 -4-10 -4 5 -4'],
    ['thin', 'M222 206L202 286M330 206L350 286M188 286H366'],
    ['body', ring(274, 216, 10)],
    ['line', 'M274 226V286']
  ],
  at: {
    stand: { x: 206, y: 270, side: 'left' },
    swivel: { x: 280, y: 216, side: 'right' },
    rods: { x: 226, y: 82, side: 'left' },
    shells: { x: 304, y: 54, side: 'right' },
    crank: { x: 326, y: 128, side: 'right' },
    throw: { x: 233, y: 108, side: 'left' },
    cam: { x: 322, y: 176, side: 'right' },
    marks: { x: 358, y: 152, side: 'right' },
    lobes: { x: 242, y: 172, side: 'left' },
    shaft: { x: 188, y: 106, side: 'left' },
    rings: { x: 186, y: 150, side: 'left' },
    rotor: { x: 182, y: 80, side: 'left' },
    spring: { x: 190, y: 62, side: 'left' },
    joint: { x: 345, y: 138, side: 'right' },
    pulley: { x: 372, y: 120, side: 'right' }
  }
};
