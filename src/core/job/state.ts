import { cycleEvidence, type Evidence, type Sign } from '../calculations/cycle/cycle-evidence.ts';
import { raised, type Rule } from './rules.ts';
import { cycleDegOf, numberOf, type Engine } from '../engine/engine.ts';
import type { FlagId } from '../sheets/flags.ts';
import { ways, waysOf, type SchoolId } from '../sheets/school-ways.ts';
import type { RunSheet, Step } from './run-sheet.ts';
import { crankPlace, type CrankPlace } from '../domains/crank/crank-place.ts';
import { domains, worksOf, type Works } from './domain.ts';
import type { JobEvent } from './events.ts';
import { earlierMark, markError, type MarkError } from '../domains/crank/mark-work.ts';
import { replay, type Reading, type Replayed, type StepMark } from './replay.ts';
import { tdcWork, type TdcWork } from '../domains/crank/tdc-work.ts';
import { METHOD_SLOT, timingWork, type TimingWork } from '../domains/timing/timing-work.ts';

export type StepState = 'done' | 'skipped' | 'repeat' | 'open' | 'blocked' | 'not-needed';

export interface StepView {
  step: Step;
  state: StepState;
  mark: StepMark | null;
  /** flags that must hold first and do not, unless overruled */
  missing: FlagId[];
  /** dangers that must be gone first */
  stillOn: FlagId[];
  /** the question that settles whether the step is needed, while unanswered */
  asks: Step['onlyIf'] | null;
  overruled: string | null;
}

export interface ChosenSchool {
  option: string;
  chosen: boolean;
  because: string;
}

export interface JobState {
  sheet: RunSheet;
  replayed: Replayed;
  readings: Reading[];
  steps: StepView[];
  /** index of the step to do now; null when all is done */
  current: number | null;
  flags: ReadonlySet<FlagId>;
  interlocks: Rule[];
  schools: Record<SchoolId, ChosenSchool>;
  tdc: TdcWork;
  mark: MarkError | null;
  signs: Sign[];
  evidence: Evidence | null;
  crank: CrankPlace;
  targetBtdc: number | null;
  timing: Record<string, TimingWork>;
  /** what the domains work out, each when it is first asked for */
  work: Works;
  engine: Engine;
  progress: { done: number; total: number };
  closed: boolean;
}

/**
 * Everything that is on screen about a job, from the engine's data sheet, the run sheet and the log alone.
 * Pure and total: any log that the server accepted gives a state, and the same log gives the same state everywhere.
 */
export function jobState(sheet: RunSheet, engine: Engine, log: readonly JobEvent[]): JobState {
  const r = replay(sheet, engine, log);
  const chosen = chosenSchools(engine, r);
  const tdc = tdcWork(engine, r.readings, chosen.tdc.option);
  const looks = sheet.steps.some((s) => s.surface === 'tdc');
  const mark = looks ? markError(tdc, engine) : earlierMark(engine);
  const signs = [...r.signs].map(([kind, seen]) => ({ kind, seen }));
  const evidence = signs.length > 0 ? cycleEvidence({ evidence: signs, prior: 0.5 }) : null;
  const flags = new Set([...r.flags].filter(([, on]) => on).map(([f]) => f));
  const steps = stepViews(sheet, r, flags);
  const current = steps.findIndex((s) => s.state === 'repeat' || s.state === 'open' || s.state === 'blocked');
  const counted = steps.filter((s) => s.state !== 'not-needed');
  const context = { sheet, engine, r, mark, placeAt: (seq: number) => crankPlace(engine, r, tdc, evidence, seq) };
  const work = worksOf(context);
  return {
    sheet,
    replayed: r,
    readings: r.readings,
    steps,
    current: current < 0 ? null : current,
    flags,
    interlocks: [
      ...[...domains()].flatMap((d) => d.interlocks?.({ ...context, works: work }) ?? []),
      ...raised(flags).filter((rule) => rule.id !== 'IL.10' || asksStroke(sheet, engine))
    ],
    schools: chosen,
    tdc,
    mark,
    signs,
    evidence,
    crank: crankPlace(engine, r, tdc, evidence),
    targetBtdc: numberOf(engine, 'staticBtdc') ?? null,
    timing: timings(sheet, engine, r, mark, chosen),
    work,
    engine,
    progress: {
      done: counted.filter((s) => s.state === 'done' || s.state === 'skipped').length,
      total: counted.length
    },
    closed: flags.has('log-closed')
  };
}

/** Whether it matters on this job which of two TDCs fires: not on a two-stroke, not where nothing is indexed. */
const asksStroke = (sheet: RunSheet, engine: Engine): boolean =>
  cycleDegOf(engine) === 720 && sheet.steps.some((s) => s.surface === 'strokes');

/** Whether a step that depends on a question is to be done; undefined while the question is open. */
function isNeeded(asked: Step['onlyIf'], r: Replayed): boolean | undefined {
  if (!asked) return true;
  if (asked.within && r.facts.get(asked.within) === false) return false;
  const fact = r.facts.get(asked.fact);
  return fact === undefined ? undefined : fact === (asked.when ?? true);
}

function stepViews(sheet: RunSheet, r: Replayed, flags: ReadonlySet<FlagId>): StepView[] {
  const overruled = new Map(r.overrides.map((o) => [o.step, o]));
  const views = sheet.steps.map((step): StepView => {
    const mark = r.marks.get(step.id) ?? null;
    const needed = isNeeded(step.onlyIf, r);
    const free = new Set(overruled.get(step.id)?.flags ?? []);
    // what is not fitted need not be plugged
    const noVacuum = r.facts.get('vacuumUnit') === false;
    const missing = step.needs.filter((f) => !flags.has(f) && !free.has(f) && !(f === 'vacuum-plugged' && noVacuum));
    const stillOn = step.mustBeOff.filter((f) => flags.has(f) && !free.has(f));
    const blocked = missing.length > 0 || stillOn.length > 0;
    const state: StepState = mark ? mark.state : needed === false ? 'not-needed' : blocked ? 'blocked' : 'open';
    return {
      step,
      state,
      mark,
      missing: mark ? [] : missing,
      stillOn: mark ? [] : stillOn,
      asks: !mark && needed === undefined ? step.onlyIf! : null,
      overruled: overruled.get(step.id)?.reason ?? null
    };
  });
  reopenLost(views, flags);
  return views;
}

/**
 * A state that a later step needs may have been lost after it was reached, as the reference is when the crank turns.
 * The last step before it that gives that state is then to be repeated.
 */
function reopenLost(views: StepView[], flags: ReadonlySet<FlagId>): void {
  for (const [k, v] of views.entries()) {
    if (v.state !== 'blocked') continue;
    for (const f of v.missing) {
      if (flags.has(f)) continue;
      const giver = views.slice(0, k).findLast((g) => g.step.sets.includes(f) && g.state !== 'not-needed');
      if (giver?.state === 'done') giver.state = 'repeat';
    }
  }
}

function chosenSchools(engine: Engine, r: Replayed): Record<SchoolId, ChosenSchool> {
  const pick = (id: SchoolId): ChosenSchool => {
    const proposed = waysOf(id).proposes(engine, r.chosen);
    const chosen = r.chosen.get(id);
    return chosen === undefined
      ? { ...proposed, chosen: false }
      : { option: chosen, chosen: true, because: chosen === proposed.option ? proposed.because : 'chosen on this job' };
  };
  return Object.fromEntries(Object.keys(ways).map((id) => [id, pick(id as SchoolId)])) as Record<
    SchoolId,
    ChosenSchool
  >;
}

function timings(
  sheet: RunSheet,
  engine: Engine,
  r: Replayed,
  mark: MarkError | null,
  chosen: Record<SchoolId, ChosenSchool>
): Record<string, TimingWork> {
  const out: Record<string, TimingWork> = {};
  for (const s of sheet.steps)
    if (s.surface === 'timing') {
      const byMethod = s.school === 'trigger';
      const slot = (byMethod ? METHOD_SLOT[chosen.trigger.option] : undefined) ?? s.slots[0]!.slot;
      out[s.id] = timingWork(engine, r.readings, s.id, slot, mark, byMethod);
    }
  return out;
}

/** Data-sheet values that a step needs and the engine does not have. */
export const missingValues = (step: Step, engine: Engine): string[] => step.values.filter((v) => !engine.values[v]);
