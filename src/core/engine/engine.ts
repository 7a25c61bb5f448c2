/** One value of the data sheet: as it was given, in base units, and where it came from. */
export interface SheetValue {
  name: string;
  given: string;
  unit: string | null;
  value: number | number[] | string;
  source: string;
}

/** A settled figure of an earlier job that this one is judged with. */
export interface EarlierFigure {
  value: number;
  u: number | null;
  at: string;
  output: unknown;
}

/** The mark's error as an earlier job on the engine settled it. */
export interface EarlierMark {
  jobId: string;
  at: string;
  errorDeg: number;
  uDeg: number;
}

export interface Engine {
  id: string;
  name: string;
  summary: string;
  values: Record<string, SheetValue>;
  /** what earlier jobs found of the mark, oldest first, up to the job in hand */
  earlierMarks?: EarlierMark[];
  /** the newest figures of earlier jobs by key: float, curve */
  earlier?: Record<string, EarlierFigure>;
}

export const numberOf = (e: Engine, name: string): number | undefined => {
  const v = e.values[name]?.value;
  return typeof v === 'number' ? v : undefined;
};
export const listOf = (e: Engine, name: string): number[] | undefined => {
  const v = e.values[name]?.value;
  return Array.isArray(v) ? v : undefined;
};
export const choiceOf = (e: Engine, name: string): string | undefined => {
  const v = e.values[name]?.value;
  return typeof v === 'string' ? v : undefined;
};

/** The limits of the advance curve, as points of speed, least and most. */
export function bandOf(e: Engine): { rpm: number; minDeg: number; maxDeg: number }[] | null {
  const flat = listOf(e, 'advanceBand');
  if (!flat) return null;
  return Array.from({ length: flat.length / 3 }, (_, k) => ({
    rpm: flat[3 * k]!,
    minDeg: flat[3 * k + 1]!,
    maxDeg: flat[3 * k + 2]!
  }));
}

/** Vacuum advance over depression, crank degrees; null when the sheet has none. */
export function vacuumCurveOf(e: Engine): { kpa: number; deg: number }[] | null {
  const flat = listOf(e, 'vacuumCurve');
  return flat
    ? Array.from({ length: flat.length / 2 }, (_, k) => ({ kpa: flat[2 * k]!, deg: flat[2 * k + 1]! }))
    : null;
}

export const lastMarkOf = (e: Engine): EarlierMark | null => e.earlierMarks?.[e.earlierMarks.length - 1] ?? null;

export const cycleDegOf = (e: Engine): 720 | 360 => (choiceOf(e, 'cycle') === 'two-stroke' ? 360 : 720);

/** Valve events, when all four are on the sheet. */
export function valvesOf(e: Engine): { ivoBtdc: number; ivcAbdc: number; evoBbdc: number; evcAtdc: number } | null {
  const [ivoBtdc, ivcAbdc, evoBbdc, evcAtdc] = ['ivoBtdc', 'ivcAbdc', 'evoBbdc', 'evcAtdc'].map((n) => numberOf(e, n));
  return ivoBtdc === undefined || ivcAbdc === undefined || evoBbdc === undefined || evcAtdc === undefined
    ? null
    : { ivoBtdc, ivcAbdc, evoBbdc, evcAtdc };
}

/** Piston geometry, when stroke and rod are on the sheet. */
export function sliderOf(e: Engine): { strokeMm: number; rodMm: number; pinOffsetMm?: number } | null {
  const strokeMm = numberOf(e, 'strokeMm');
  const rodMm = numberOf(e, 'rodMm');
  if (strokeMm === undefined || rodMm === undefined) return null;
  const pinOffsetMm = numberOf(e, 'pinOffsetMm');
  return pinOffsetMm === undefined ? { strokeMm, rodMm } : { strokeMm, rodMm, pinOffsetMm };
}
