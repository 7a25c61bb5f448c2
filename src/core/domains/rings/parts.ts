/** A case that lies open on its stand. */
export const parts = {
  'case.stand': 'stand',
  'case.swivel': 'swivel',
  'case.rods': 'rods',
  'case.shells': 'caps and shells',
  'case.crank': 'crank',
  'case.throw': 'throw of number one',
  'case.cam': 'cam',
  'case.marks': 'marks of cam and crank',
  'case.lobes': 'lobes of number one',
  'case.shaft': 'drive shaft',
  'case.rings': 'thrust rings',
  'case.rotor': 'rotor',
  'case.spring': 'spring and distributor',
  'case.joint': 'joint face',
  'case.pulley': 'marks at the pulley'
} as const;
