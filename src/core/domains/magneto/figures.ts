import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  snap: { label: 'Impulse snap', kind: 'timing', trend: 'Impulse snap' },
  'run-spark': { label: 'Running spark', kind: 'timing', trend: 'Running spark' },
  'coupling-left': { label: 'Drive coupling stands off, after the nearest tooth', kind: 'angle' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
