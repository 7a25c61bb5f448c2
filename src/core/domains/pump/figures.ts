import { settles, type FigureWords } from '../../job/settled.ts';

export const figures = {
  'pump-found': { label: 'Pump timing, as found', kind: 'timing', trend: 'Pump timing as found' },
  'pump-timing': { label: 'Pump timing, proved', kind: 'timing', trend: 'Pump timing proved', earlier: true },
  'pump-zero': { label: 'Repeat of the dial\u2019s zero', kind: 'length', trend: 'Repeat of the dial\u2019s zero' },
  'gear-drag': {
    label: 'Tightening the gear moves the timing',
    kind: 'early-late',
    trend: 'Tightening moves the timing',
    earlier: true
  },
  'pump-total': { label: 'Pump setting and gear offset together', kind: 'timing' },
  'proof-lock': { label: 'Lock enters with the crank at', kind: 'timing' },
  'proof-pin': { label: 'Pin enters, off TDC by', kind: 'early-late' }
} as const satisfies Record<string, FigureWords>;

export const settled = settles(figures);
