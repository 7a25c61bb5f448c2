import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  'shaft-height': { label: 'Drive shaft height', kind: 'length' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
