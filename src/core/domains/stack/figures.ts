import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  'float-bare': { label: 'End float, no packing', kind: 'length' },
  float: { label: 'End float, read', kind: 'length', trend: 'End float', earlier: true },
  engagement: { label: 'Oil-pump drive engaged', kind: 'length', trend: 'Oil-pump drive engaged' },
  clearance: { label: 'Left before it bottoms', kind: 'length' },
  patch: { label: 'Contact, from the middle', kind: 'length' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
