import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  'float-bench': { label: 'Float at the gear, as received', kind: 'length', trend: 'Float at the gear, as received' },
  'float-in-place': { label: 'Float in place', kind: 'length' },
  'rotor-swing': { label: 'Free swing of the rotor', kind: 'angle', trend: 'Free swing of the rotor' },
  'top-float': { label: 'Lift of the advance platform', kind: 'length' },
  'bush-play': { label: 'Wobble of the shaft', kind: 'length', trend: 'Wobble of the shaft' },
  'shaft-runout': { label: 'Run-out of the shaft', kind: 'length' },
  'lobe-gap': { label: 'Gap, at the worst lobe', kind: 'length' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
