import { box, ring, teeth, type PlaceDrawing } from './place.ts';

export const place: PlaceDrawing = {
  title: 'Drive shaft in its case, cut open along its bore',
  height: 300,
  lines: [
    ['cut', 'M196 70H264V196H244V250H196ZM364 70H296V150H316V160H364Z'],
    ['cut', box(244, 250, 72, 16)],
    ['dash', 'M242 62V46H262V8H298V46H318V62Z', 'distributor'],
    ['thin', 'M276 4V92M284 4V92', 'rod'],
    ['line', 'M280 4V112M280 112L270 122M280 112L290 122M272 4H288', 'puller'],
    ['line', 'M280 40l-6 5 12 6-12 6 12 6-12 6 12 6-6 5'],
    ['body', 'M266 84H276V94H286V84H294V108H266Z'],
    ['line', 'M272 108V196M288 108V196'],
    ['hub', box(264, 72, 6, 7) + box(290, 72, 6, 7)],
    ['body', box(252, 196, 56, 34)],
    ['thin', teeth(252, 196, 56, 34)],
    ['body', box(256, 232, 48, 6) + box(256, 241, 48, 6)],
    ['body', ring(346, 212, 38)],
    ['hub', ring(346, 212, 4)],
    ['body', 'M186 98H196V152H186ZM206 119H272V130H206ZM196 119H206V130H196Z'],
    ['thin', 'M186 104H178V146H186']
  ],
  at: {
    distributor: { x: 262, y: 30, side: 'left' },
    rod: { x: 284, y: 16, side: 'right' },
    puller: { x: 286, y: 116, side: 'right' },
    spring: { x: 284, y: 58, side: 'right' },
    seal: { x: 293, y: 75, side: 'right' },
    bore: { x: 266, y: 71, side: 'left' },
    slot: { x: 288, y: 90, side: 'right' },
    shaft: { x: 286, y: 172, side: 'right' },
    hoses: { x: 179, y: 106, side: 'left' },
    fuelpump: { x: 178, y: 129, side: 'left' },
    flange: { x: 191, y: 152, side: 'left' },
    pushrod: { x: 240, y: 125, side: 'left' },
    gear: { x: 254, y: 216, side: 'left' },
    rings: { x: 258, y: 240, side: 'left' },
    crankgear: { x: 374, y: 222, side: 'right' }
  }
};
