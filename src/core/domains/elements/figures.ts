import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  'closure-lift': { label: 'Lift to port closure', kind: 'length' },
  'head-gap': { label: 'Least clearance above a plunger', kind: 'length' },
  elements: { label: 'Elements, the one furthest off', kind: 'angle', trend: 'Spacing of the elements' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
