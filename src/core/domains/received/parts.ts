/** The flank of a tooth, and the rotor over the teeth. */
export const parts = {
  'flank.face': 'loaded flank',
  'flank.high': 'high',
  'flank.middle': 'in the middle',
  'flank.low': 'low',
  'flank.edge': 'over an edge',
  'index.tip': 'rotor\u2019s tip',
  'index.tooth': 'a tooth',
  'index.gap': 'a gap',
  'index.between': 'in between'
} as const;
