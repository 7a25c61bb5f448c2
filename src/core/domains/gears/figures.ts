import type { FigureWords } from '../../job/settled.ts';

export const figures = {
  dimension: { label: 'Mounting face to lower gear face', kind: 'length', trend: 'Mounting face to lower gear face' }
} as const satisfies Record<string, FigureWords>;
