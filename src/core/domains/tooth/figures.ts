import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  tooth: { label: 'Room to turn the housing, least side', kind: 'crank' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
