import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  'flywheel-marks': {
    label: 'Cylinders\u2019 marks, the one furthest off',
    kind: 'angle',
    trend: 'Spacing of the cylinders\u2019 marks'
  },
  'full-advance': { label: 'Full advance at full throttle', kind: 'timing', trend: 'Full advance at full throttle' },
  'idle-timing': { label: 'Idle timing', kind: 'timing' },
  'idle-two': { label: 'Idle', kind: 'speed', trend: 'Idle' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
