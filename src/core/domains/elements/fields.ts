import { length, plain, quantity } from '../../engine/fields.ts';

const G = 'Injection pump';

/** Values of the data sheet. */
export const fields = [
  quantity(G, 'angle', 'elementWithinDeg', 'Elements may stand off by \u00b1, pump degrees', '0.3', {
    positive: true,
    min: 0.001,
    max: 20
  }),
  plain(G, 'camVelocity', 'Lift where the port closes, mm a pump degree', '0.21', { positive: true, max: 5 }),
  length(G, 'tappetStepMm', 'Tappet shims come in steps of', '0.05 mm', { max: 5 }),
  length(G, 'closureMinMm', 'Lift to port closure, least', '2.85 mm', { max: 20 }),
  length(G, 'closureMaxMm', 'Lift to port closure, most', '2.95 mm', { max: 20 }),
  length(G, 'headGapMinMm', 'Clearance above the plunger, least', '0.3 mm', { max: 10 })
];
