import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  predicted: { label: 'Advance all in at, predicted', kind: 'speed' },
  model: {
    label: 'Prediction missed by, rms',
    kind: 'crank',
    trend: 'Predictions against what was measured',
    earlier: true
  }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
