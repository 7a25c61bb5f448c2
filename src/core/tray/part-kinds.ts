/** What the tray keeps besides gauges: parts that are taken out of it and written on a job. */
export const partKinds = ['packing', 'shim', 'ring', 'gasket', 'spring', 'stop'] as const;
export type PartKind = (typeof partKinds)[number];

/** A part as it was when it was taken out of the tray; a later measurement of its fellows does not reach back. */
export interface Part {
  id: string;
  name: string;
  kind: PartKind;
  /** what has a thickness: packing, shim, ring, gasket */
  thicknessMm: number | null;
  uMm: number | null;
  /** a spring, as it was rated */
  rateNPerMm: number | null;
  uRate: number | null;
  preloadN: number | null;
  /** standard uncertainty of the force at rest, N; null where it is not known */
  uPreload: number | null;
  /** a stop: the advance it allows, crank degrees */
  deg: number | null;
}

/** A kind of part in the tray, with how many of it are left. */
export interface StockItem extends Part {
  count: number;
  /** at this many or fewer it is running out */
  low: number;
}
