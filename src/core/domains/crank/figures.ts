import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  tdc: { label: 'Wheel at true TDC', kind: 'wheel' },
  mark: { label: 'Mark reads at true TDC', kind: 'early-late' },
  stroke: { label: 'Coming rise is compression', kind: 'probability' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
