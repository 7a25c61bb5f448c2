import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  gasket: { label: 'gasket thickness', quantity: 'length', gauge: 'micrometer', combine: 'mean' },
  float: {
    label: 'float at the gear',
    quantity: 'length',
    gauge: 'blade',
    combine: 'mean',
    limits: { least: 'floatMinMm', most: 'floatMaxMm' }
  },
  twist: { label: 'rotor\u2019s turn while lifting', quantity: 'angle', gauge: 'eye', combine: 'mean' },
  oil: { label: 'oil pressure', quantity: 'pressure', gauge: 'pressure' }
});
