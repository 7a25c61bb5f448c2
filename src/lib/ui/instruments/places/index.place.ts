import { box, type Line, type PlaceDrawing } from './place.ts';

/** A rotor's tip over a row of teeth, shifted against it by so many pitches. */
const picture = (y: number, shift: number): Line[] => {
  const row = Array.from({ length: 5 }, (_, k) => 212 + k * 32 + shift * 32);
  return [
    [
      'body',
      `M204 ${y + 44}V${y + 32}` +
        row.map((x) => `H${x}L${x + 4} ${y + 14}H${x + 14}L${x + 18} ${y + 32}`).join('') +
        `H376V${y + 44}Z`
    ],
    ['body', `M276 ${y - 8}H284L290 ${y + 6}H270Z`],
    ['thin', `M280 ${y + 6}V${y + 32}`]
  ];
};

export const place: PlaceDrawing = {
  title: 'Rotor’s tip over the teeth: over a tooth, over a gap, in between',
  height: 236,
  lines: [...picture(24, -0.16), ...picture(100, 0.34), ...picture(176, 0.1)],
  at: {
    tip: { x: 274, y: 22, side: 'left' },
    tooth: { x: 300, y: 44, side: 'right', zone: box(204, 12, 172, 60) },
    gap: { x: 300, y: 122, side: 'right', zone: box(204, 88, 172, 60) },
    between: { x: 300, y: 198, side: 'right', zone: box(204, 164, 172, 60) }
  }
};
