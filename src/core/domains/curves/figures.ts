import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  total: { label: 'Total timing', kind: 'timing' },
  'total-before': { label: 'Total timing as found', kind: 'timing' },
  curve: { label: 'Advance curve', kind: 'timing', trend: 'Advance curve', earlier: true },
  'curve-before': { label: 'Advance curve as found', kind: 'timing' },
  lobes: { label: 'Sparks off their place, most', kind: 'wheel' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
