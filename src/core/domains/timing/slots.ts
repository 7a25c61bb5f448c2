import { slotsOf } from '../../job/vocabulary.ts';
import type { Limits } from '../../job/run-sheet.ts';
import { slotOfWay } from './slot-of-way.ts';

/** The initial timing, as the data sheet has it. */
const initial = { least: 'staticMinBtdc', most: 'staticMaxBtdc', target: 'staticBtdc' } satisfies Limits;
const setting = (label: string, gauge: 'wheel' | 'strobe', more: { required?: boolean } = {}) =>
  ({
    label,
    quantity: 'timing',
    gauge,
    repeats: true,
    also: ['again'],
    combine: 'mean',
    of: 'housing',
    onMark: true,
    limits: initial,
    ...more
  }) as const;

export const slots = slotsOf({
  'contact-gap': {
    label: 'gap, on the peak of the lobe',
    quantity: 'length',
    gauge: 'blade',
    // it is set between one reading and the next
    combine: 'last',
    limits: { least: 'contactGapMinMm', most: 'contactGapMaxMm' },
    figure: 'contact-gap'
  },
  dwell: {
    label: 'dwell, distributor degrees',
    quantity: 'angle',
    gauge: 'wheel',
    repeats: true,
    combine: 'last',
    limits: { least: 'dwellMinDeg', most: 'dwellMaxDeg' },
    figure: 'dwell'
  },
  bias: { label: 'bias, degrees of the crank', quantity: 'angle', gauge: 'eye', combine: 'last' },
  'room-cw': { label: 'free clockwise, housing degrees', quantity: 'angle', gauge: 'eye' },
  'room-ccw': { label: 'free anticlockwise, housing degrees', quantity: 'angle', gauge: 'eye' },
  idle: { label: 'idle speed', quantity: 'speed', gauge: 'tacho' },
  'running-oil': { label: 'oil pressure, running', quantity: 'pressure', gauge: 'pressure' },
  strobe: setting('strobe on the mark, at idle', 'strobe', { required: true }),
  'total-read': {
    label: 'total timing, above all-in',
    quantity: 'timing',
    gauge: 'strobe',
    repeats: true,
    combine: 'mean',
    of: 'housing',
    onMark: true,
    required: true,
    limits: { most: 'totalMaxBtdc' },
    figure: 'total-read'
  },
  torque: { label: 'clamp bolt', quantity: 'torque', gauge: 'torque', combine: 'last', of: 'clamp' },
  'after-clamp': {
    label: 'strobe on the mark, clamp at torque',
    quantity: 'timing',
    gauge: 'strobe',
    repeats: true,
    combine: 'mean',
    of: 'clamp',
    onMark: true,
    limits: initial
  },
  fires: setting('trigger fires, read on the wheel', 'wheel'),
  'fires-edge': setting('tooth at its pole, read on the wheel', 'wheel'),
  'fires-spark': setting('flash seen, read on the wheel', 'wheel'),
  'fires-vane': setting('sensor changes, read on the wheel', 'wheel'),
  'fires-tip': setting('tip under its terminal, read on the wheel', 'wheel'),
  rim: { label: 'housing at the rim scale', quantity: 'length', gauge: 'micrometer', repeats: true }
});

/** Where the trigger fires, by each way of seeing it; what is set at the rim beside it. */
export const firingSlots = [...Object.values(slotOfWay).map((s) => slots[s]), slots.rim];
