/** The rim with its pointer, and the gears that the crank drives. */
export const parts = {
  'rim.pointer': 'pointer',
  'rim.mark': 'mark',
  'rim.bond': 'bond line',
  'rim.face': 'rim',
  'rim.axis': 'axis of the crank',
  'train.crank': 'crank gear',
  'train.idler': 'idler',
  'train.cam': 'cam gear',
  'train.driven': 'driven gear',
  'train.marks': 'marks'
} as const;
