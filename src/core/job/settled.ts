import type { VerdictState } from '../calculations/verdict/verdict.ts';

export type FigureKind =
  'early-late' | 'wheel' | 'probability' | 'timing' | 'housing' | 'length' | 'crank' | 'speed' | 'angle' | 'plain';

/** A figure that a domain settles: what it is called and what becomes of it after its job. */
export interface FigureWords {
  label: string;
  kind: FigureKind;
  /** the title of its line in the engine's history */
  trend?: string;
  /** later jobs on the engine are judged with it */
  earlier?: boolean;
}

/** A settled figure of a job: what was worked out, how, and how it was judged. Derived from the log, never edited. */
export interface SettledFigure {
  key: string;
  label: string;
  value: number;
  /** one standard uncertainty, in the unit of the value */
  u: number | null;
  kind: FigureKind;
  verdict: VerdictState | null;
  /** what its verdict was given by: least and most in the unit of the value, or in words where it is judged otherwise */
  limits?: { min: number | null; max: number | null } | string;
  /** what it comes to in words, where its value alone does not say what was judged */
  text?: string;
  /** the step that settles it was done, not only read */
  proved: boolean;
  calc: string;
  input: unknown;
  output: unknown;
}

type Worked = Pick<SettledFigure, 'value' | 'calc' | 'output'> &
  Partial<Pick<SettledFigure, 'u' | 'verdict' | 'input' | 'proved' | 'label' | 'text' | 'limits'>>;

/** Settles figures by the names that a domain declares, with what most figures do not have left out. */
export const settles =
  <K extends string>(declared: Readonly<Record<K, FigureWords>>) =>
  (key: K, worked: Worked): SettledFigure => {
    const { label, kind } = declared[key];
    return { key, label, kind, u: null, verdict: null, input: {}, proved: true, ...worked };
  };
