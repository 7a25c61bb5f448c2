import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  'timing:at-rest': { label: 'Initial timing, at rest', kind: 'timing' },
  'timing:strobe': { label: 'Initial timing, strobe', kind: 'timing', trend: 'Initial timing by strobe' },
  'rest-error': {
    label: 'Set at rest, the strobe then read it',
    kind: 'early-late',
    trend: 'Set at rest against the strobe',
    earlier: true
  },
  'total-read': { label: 'Total timing, set', kind: 'timing' },
  'contact-gap': { label: 'Gap, on the peak of the lobe', kind: 'length' },
  dwell: { label: 'Dwell, distributor degrees', kind: 'angle' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
