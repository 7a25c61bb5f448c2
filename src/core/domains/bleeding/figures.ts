import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  'idle-diesel': { label: 'Idle, after the timing', kind: 'speed', trend: 'Idle after the timing' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
