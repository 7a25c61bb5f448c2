import type { Rule } from './rules.ts';
import type { Engine } from '../engine/engine.ts';
import type { RunSheet, Surface } from './run-sheet.ts';
import type { CrankPlace } from '../domains/crank/crank-place.ts';
import type { TipWork, WiresWork } from '../domains/cap/cap-work.ts';
import type { GearWork } from '../domains/gears/gear-work.ts';
import type { PatchRow } from '../domains/stack/patch-work.ts';
import type { RingsWork } from '../domains/rings/rings-work.ts';
import type { StackWork } from '../domains/stack/stack-work.ts';
import type { ToothWork } from '../domains/tooth/tooth-work.ts';
import type { WitnessRow } from '../domains/tooth/witness-work.ts';
import type { GapWork, LobesWork, ScatterWork, VacuumWork } from '../domains/curves/other-work.ts';
import type { ModelError, RecurveWork } from '../domains/curves/recurve-work.ts';
import type { SweepWork } from '../domains/curves/sweep-work.ts';
import type { SettledFigure } from './figures.ts';
import type { MarkError } from '../domains/crank/mark-work.ts';
import { onDemand } from './on-demand.ts';
import type { Replayed } from './replay.ts';
import type { JobState, StepView } from './state.ts';
import type { LengthText } from './words.ts';

/** Everything that a job works out beside the crank and the housing, by name. */
export interface Works {
  stack: StackWork;
  patches: PatchRow[];
  rings: RingsWork;
  gears: GearWork;
  tooth: ToothWork;
  witness: WitnessRow[];
  wires: WiresWork;
  tip: TipWork;
  /** the sweeps of the run sheet in its order: the first is the curve as it was found */
  sweeps: SweepWork[];
  recurve: RecurveWork;
  /** the prediction against the second sweep, once there is one */
  model: ModelError | null;
  lobes: LobesWork;
  vacuum: VacuumWork;
  gap: GapWork;
  scatter: ScatterWork;
}

/** What a working may stand on. */
export interface WorkContext {
  sheet: RunSheet;
  engine: Engine;
  r: Replayed;
  mark: MarkError | null;
  /** where the crank stood when an event of this number was written */
  placeAt: (seq: number) => CrankPlace;
  works: Works;
}

/** What a surface says of a step: the finding at its top, and what its readings leave open. */
export interface SurfaceWords {
  headline?: (state: JobState, v: StepView, len: LengthText) => string | null;
  open?: (state: JobState, v: StepView) => string | null;
}

/**
 * A part of the trade with its workings, words and figures. A screen loads those whose surfaces its run sheet has;
 * servers and tests have them all.
 */
export interface Domain {
  name: string;
  works: { [K in keyof Works]?: (c: WorkContext) => Works[K] };
  surfaces: { [S in Surface]?: SurfaceWords };
  figures?: (works: Works) => SettledFigure[];
  /** interlocks that follow from a figure, not from a state that was said */
  interlocks?: (c: WorkContext) => Rule[];
}

const registered = new Map<string, Domain>();

export function register(...domains: Domain[]): void {
  for (const d of domains) registered.set(d.name, d);
}
export const domains = (): Iterable<Domain> => registered.values();

/** The workings of a job, each made when it is first asked for. */
export function worksOf(context: Omit<WorkContext, 'works'>): Works {
  const makers: Record<string, () => unknown> = {};
  for (const d of registered.values())
    for (const [name, make] of Object.entries(d.works))
      makers[name] = () => (make as (c: WorkContext) => unknown)({ ...context, works });
  const works = onDemand(makers) as unknown as Works;
  return works;
}

/** The words of a surface, from whichever domain has it. */
export function wordsOf(surface: Surface): SurfaceWords {
  for (const d of registered.values()) {
    const words = d.surfaces[surface];
    if (words) return words;
  }
  return {};
}
