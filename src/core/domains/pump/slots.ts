import { slotsOf } from '../../job/vocabulary.ts';

const lift = (label: string) => ({ label, quantity: 'length', gauge: 'dial' }) as const;

export const slots = slotsOf({
  'spare-low': { ...lift('travel left below the lowest reading'), combine: 'last', required: true },
  'spare-high': { ...lift('travel left above the highest reading'), combine: 'last', required: true },
  falling: { ...lift('dial, as the crank is backed'), repeats: true, combine: 'each', sought: true, of: 'pump-gear' },
  'zero-again': {
    ...lift('dial, let fall onto its zero again'),
    repeats: true,
    combine: 'each',
    signed: true,
    of: 'pump-gear'
  },
  lift: { ...lift('lift, with whole turns of the dial'), repeats: true, combine: 'each', of: 'pump-gear' },
  'lift-held': { ...lift('lift, gear loose and pump held'), combine: 'last' },
  'lift-tight': { ...lift('lift, gear tightened'), combine: 'last' },
  'torque-first': {
    label: 'first torque',
    quantity: 'torque',
    gauge: 'torque',
    combine: 'last',
    required: true
  },
  'torque-final': { label: 'final torque', quantity: 'torque', gauge: 'torque', combine: 'last', required: true },
  'lock-setting': { label: 'pump\u2019s setting, as on its tag', quantity: 'timing', gauge: 'eye', combine: 'last' },
  'offset-decided': {
    label: 'crank when the gear is pressed on',
    quantity: 'timing',
    gauge: 'eye',
    combine: 'last'
  }
});
