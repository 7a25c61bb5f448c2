import { COUNT, slotsOf } from '../../job/vocabulary.ts';

const speed = { label: 'speed', quantity: 'speed', gauge: 'tacho', repeats: true } as const;
const strobe = { label: 'timing, strobe on the mark', quantity: 'timing', gauge: 'strobe', repeats: true } as const;

export const slots = slotsOf({
  'sweep-rpm': { ...speed, combine: 'up-down', pairsWith: 'sweep-deg' },
  'sweep-deg': { ...strobe, combine: 'up-down' },
  'spread-rpm': { ...speed, combine: 'pair', pairsWith: 'spread' },
  spread: {
    label: 'width of the band the mark wanders in',
    quantity: 'angle',
    gauge: 'strobe',
    repeats: true,
    combine: 'pair'
  },
  'vac-kpa': {
    label: 'depression',
    quantity: 'pressure',
    gauge: 'pressure',
    repeats: true,
    combine: 'pair',
    pairsWith: 'vac-deg'
  },
  'vac-deg': { ...strobe, combine: 'pair' },
  'hold-start': { label: 'depression, pump stopped', quantity: 'pressure', gauge: 'pressure', combine: 'last' },
  'hold-end': { label: 'depression, after waiting', quantity: 'pressure', gauge: 'pressure', combine: 'last' },
  'hold-seconds': { label: 'seconds waited', quantity: 'count', gauge: 'eye', combine: 'last' },
  'advance-parts-out': { ...COUNT, label: 'springs, spacers, washers and nut, counted out', required: true },
  'advance-parts-back': {
    ...COUNT,
    label: 'springs, spacers, washers and nut, on again',
    required: true,
    countsBack: {
      slot: 'advance-parts-out',
      missing: 'look on the tray, under the plate and on the magnet before the cap goes on'
    }
  },
  'travel-free': { label: 'travel by hand, distributor degrees', quantity: 'angle', gauge: 'wheel' },
  lobe: { label: 'fires at, distributor degrees', quantity: 'angle', gauge: 'wheel', repeats: true, combine: 'each' }
});
