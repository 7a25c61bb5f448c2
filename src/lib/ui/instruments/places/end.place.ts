import { box, teeth, type PlaceDrawing } from './place.ts';

export const place: PlaceDrawing = {
  title: 'Driven end of the pump, cut open along its shaft',
  height: 270,
  lines: [
    ['body', 'M286 60H380V202H286Z'],
    ['body', box(274, 34, 12, 194)],
    ['line', 'M264 50H296M264 212H296'],
    ['body', 'M286 118H244L214 124V138L244 144H286Z'],
    ['line', 'M214 126H190V136H214'],
    ['cut', 'M236 96H258V116L236 120.500ZM236 166H258V146L236 141.500Z'],
    ['body', box(236, 40, 22, 56) + box(236, 166, 22, 56)],
    ['thin', teeth(236, 40, 22, 20, 2) + teeth(236, 202, 22, 20, 2)],
    ['body', 'M196 114H212V148H196Z'],
    ['hub', box(232, 116, 16, 5), 'key'],
    ['line', 'M330 202V236M320 236H340'],
    ['dash', 'M330 202V140', 'lock'],
    ['body', 'M352 202V248H384V238H364V202Z'],
    ['line', 'M312 60V30']
  ],
  at: {
    flange: { x: 280, y: 46, side: 'left' },
    gear: { x: 240, y: 70, side: 'left' },
    key: { x: 240, y: 118, side: 'left' },
    nut: { x: 202, y: 144, side: 'left' },
    taper: { x: 232, y: 131, side: 'left' },
    hub: { x: 246, y: 148, side: 'left' },
    lock: { x: 330, y: 232, side: 'left' },
    bracket: { x: 372, y: 243, side: 'right' },
    oil: { x: 312, y: 34, side: 'right' }
  }
};
