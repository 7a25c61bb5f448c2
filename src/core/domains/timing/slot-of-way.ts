/** The slot in which each way of seeing the firing point is read. */
export const slotOfWay = {
  lamp: 'fires',
  edge: 'fires-edge',
  spark: 'fires-spark',
  vane: 'fires-vane',
  tip: 'fires-tip'
} as const;
