import { choiceOf, type Engine } from '../engine/engine.ts';
import {
  withNeeded,
  type ChosenSchool,
  type Correction,
  type Domain,
  type JobState,
  type StepState,
  type StepView,
  type WorkContext
} from './domain.ts';
import type { JobEvent } from './events.ts';
import { unproved, type Unproved } from './proved.ts';
import { onDemand } from './on-demand.ts';
import { replay } from './replay.ts';
import type { Replayed } from './replayed.ts';
import { reasonsAt } from './reasons.ts';
import type { Rule } from './rule.ts';
import { referenceOf } from './reference.ts';
import { asBars, byHarm, raised } from './rules.ts';
import type { RunSheet, Step, StepWay } from './run-sheet.ts';

/**
 * Everything that is on screen about a job, from the engine's data sheet, the run sheet, the log and the domains it is
 * worked out with, and from nothing else. Pure and total: any log that the server accepted gives a state, and the same
 * log gives the same state everywhere.
 */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- without a list of domains their workings have no shape
export function jobState<W = any, S extends string = any>(
  sheet: RunSheet,
  engine: Engine,
  log: readonly JobEvent[],
  domains: readonly Domain[]
): JobState<W, S> {
  const all = withNeeded(domains);
  const r = replay(sheet, engine, log, all);
  const schools = chosenSchools(all, engine, r);
  const aim = (slot: string) => all.map((d) => d.aims?.(context)[slot]).find((x) => x != null) ?? undefined;
  const context: WorkContext = { sheet, engine, r, schools, works: null, aim };
  context.works = worksOf(context, all);
  for (const d of all)
    for (const [fact, known] of Object.entries(d.answers?.(context) ?? {}))
      if (known !== undefined && !r.facts.has(fact)) r.facts.set(fact, known);
  const given = flagsOf(context, all);
  const first = assemble<W, S>(context, all, given, NONE);
  const now = unproved(first);
  // a state that fell may have been what another step was done with: it is looked at once more, not for ever
  if (now.fallen.size === 0 && now.onWord.size === 0) return first;
  const second = assemble<W, S>(context, all, less(sheet, given, now), now);
  const then = unproved(second);
  const fallen = new Map([...now.fallen, ...then.fallen]);
  return fallen.size === now.fallen.size
    ? second
    : assemble<W, S>(context, all, less(sheet, given, { fallen }), { ...now, fallen });
}

const NONE: Unproved = { fallen: new Map(), onWord: new Map() };

/** The states without those that are not proved any more; a danger that was said to be gone is there again. */
function less(sheet: RunSheet, given: ReadonlySet<string>, { fallen }: Pick<Unproved, 'fallen'>): Set<string> {
  const out = new Set(given);
  for (const f of fallen.keys()) {
    const w = sheet.words.flags[f]!;
    if (w.proof?.off ?? w.danger) out.add(f);
    else out.delete(f);
  }
  return out;
}

/** The state of a job in which these states hold. */
function assemble<W, S extends string>(
  context: WorkContext,
  all: readonly Domain[],
  flags: ReadonlySet<string>,
  { fallen, onWord }: Unproved
): JobState<W, S> {
  const { sheet, engine, r, schools } = context;
  const steps = stepViews(context, flags, { fallen, onWord });
  const current = steps.findIndex((s) => s.state === 'repeat' || s.state === 'open' || s.state === 'blocked');
  const counted = steps.filter((s) => s.state !== 'not-needed');
  const closed = steps.some((s) => s.step.acts.includes('closes-log') && s.mark?.state === 'done');
  const raisedNow = closed ? [] : raisedRules(context, all, flags, onWord);
  return {
    sheet,
    replayed: r,
    readings: r.readings,
    steps,
    current: current < 0 ? null : current,
    flags,
    fallen,
    onWord,
    raised: raisedNow,
    interlocks: asBars(raisedNow, steps[current]?.step),
    schools: schools as JobState<W, S>['schools'],
    reference: referenceOf(sheet, engine, r.readings, r.chosen) ?? null,
    get correction() {
      return correctionOf(context, all);
    },
    work: context.works as W,
    domains: all,
    engine,
    progress: {
      done: counted.filter((s) => s.state === 'done' || s.state === 'skipped').length,
      total: counted.length
    },
    closed
  };
}

/** The states that hold: those that were given, and those that hold by what is known, less those that it takes back. */
function flagsOf(context: WorkContext, domains: readonly Domain[]): Set<string> {
  const on = new Set([...context.r.flags].filter(([, is]) => is).map(([f]) => f));
  for (const d of domains) for (const f of d.gives?.(context) ?? []) on.add(f);
  for (const d of domains) for (const f of d.falls?.(context) ?? []) on.delete(f);
  return on;
}

/** The error of the mark that this job reads on: of the domain that knows most of it, which is named last. */
function correctionOf(context: WorkContext, domains: readonly Domain[]): Correction | null {
  for (let k = domains.length - 1; k >= 0; k--) {
    const told = domains[k]!.corrects?.(context);
    if (told !== undefined) return told;
  }
  return null;
}

/** What must not be done now: by the states as they are, and by what workings have found, on this sheet. */
function raisedRules(
  context: WorkContext,
  domains: readonly Domain[],
  flags: ReadonlySet<string>,
  onWord: ReadonlyMap<string, string>
): Rule[] {
  const { sheet } = context;
  const worked = new Set(domains.flatMap((d) => d.interlocks?.(context) ?? []));
  // a state on word counts for what harms the result alone
  const sure = onWord.size === 0 ? flags : new Set([...flags].filter((f) => !onWord.has(f)));
  const byFlags = new Set([
    ...raised(sheet.rules, flags, context),
    ...(sure === flags
      ? []
      : raised(sheet.rules, sure, context).filter((x) => x.harm !== 'result' && x.off.some((f) => onWord.has(f))))
  ]);
  return byHarm(sheet.rules.filter((r) => worked.has(r.id) || byFlags.has(r)));
}

/** The workings of a job, each made when it is first asked for. */
function worksOf(context: WorkContext, domains: readonly Domain[]): unknown {
  const makers: Record<string, () => unknown> = {};
  for (const d of domains) for (const [name, make] of Object.entries(d.works)) makers[name] = () => make(context);
  return onDemand(makers);
}

/** Whether a step that depends on a question is to be done; undefined while the question is open. */
function isNeeded(asked: Step['onlyIf'], r: Replayed): boolean | undefined {
  if (!asked) return true;
  if (asked.within && r.facts.get(asked.within) === false) return false;
  const fact = r.facts.get(asked.fact);
  return fact === undefined ? undefined : fact === (asked.when ?? true);
}

const inWays = new WeakMap<Step, { chosen: (StepWay | undefined)[]; made: Step }[]>();

/** The step as the ways chosen have it: the same object for the same ways, so that what hangs on it is worked out once. */
function inWay(step: Step, schools: Record<string, ChosenSchool>): Step {
  if (!step.ways) return step;
  const chosen = Object.entries(step.ways).map(([school, ways]) => ways[schools[school]?.option ?? '']);
  const known = inWays.get(step)?.find((k) => k.chosen.every((way, n) => way === chosen[n]));
  if (known) return known.made;
  const made = Object.assign({}, step, ...chosen);
  inWays.set(step, [...(inWays.get(step) ?? []), { chosen, made }]);
  return made;
}

function stepViews(
  { sheet, r, schools }: Pick<WorkContext, 'sheet' | 'r' | 'schools'>,
  flags: ReadonlySet<string>,
  { fallen, onWord }: Unproved
): StepView[] {
  // what was left unproved with a reason is gone on without
  const matters = (f: string) => {
    if (onWord.has(f)) return false;
    const only = sheet.words.flags[f]?.only;
    return only === undefined || r.facts.get(only) !== false;
  };
  const views = sheet.steps.map((planned): StepView => {
    const step = inWay(planned, schools);
    const mark = r.marks.get(step.id) ?? null;
    const { onlyWay } = step;
    const otherWay = onlyWay !== undefined && !onlyWay.is.includes(r.chosen.get(onlyWay.school) ?? onlyWay.usual);
    const needed = otherWay ? false : isNeeded(step.onlyIf, r);
    const { flags: free, said } = reasonsAt(r.overrides, step);
    const missing = step.needs.filter((f) => !flags.has(f) && !free.has(f) && matters(f));
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
      overruled: said
    };
  });
  const again = new Set([...fallen.values()].filter((f) => f.again).map((f) => f.step));
  for (const v of views) if (v.state === 'done' && again.has(v.step.id)) v.state = 'repeat';
  reopenLost(sheet, views, flags, (step, f) => matters(f) && !reasonsAt(r.overrides, step).flags.has(f));
  return views;
}

/**
 * A state that a later step needs may have been lost after it was reached, as the reference is when the crank turns.
 * The last step before it that gives that state is then to be repeated; and what that step itself needs may be lost as
 * well, so that the way back begins further up. A state without which a rule forbids a later step is asked for in the same
 * way as soon as it is lost, while it can still be seen, and not at that step.
 */
function reopenLost(
  sheet: RunSheet,
  views: StepView[],
  flags: ReadonlySet<string>,
  matters: (step: Step, f: string) => boolean
): void {
  for (let k = views.length - 1; k >= 0; k--) {
    const v = views[k]!;
    if (v.state === 'repeat') v.missing = v.step.needs.filter((f) => !flags.has(f) && matters(v.step, f));
    const ahead = v.state === 'blocked' || v.state === 'repeat';
    if (!ahead && v.state !== 'open') continue;
    for (const f of [...(ahead ? v.missing : []), ...wantedByRules(sheet, v.step, flags)]) {
      const giver = views.slice(0, k).findLast((g) => g.step.sets.includes(f) && g.state !== 'not-needed');
      if (giver?.state === 'done') giver.state = 'repeat';
    }
  }
}

/** States without which a rule never lets the step be done, as a pump shaft that was not seen bars the start. */
const wantedByRules = (sheet: RunSheet, step: Step, flags: ReadonlySet<string>): string[] =>
  sheet.rules
    .filter(
      (r) =>
        !r.worked &&
        r.harm !== 'result' &&
        r.on.length === 0 &&
        !r.where &&
        r.forbids.some((a) => step.acts.includes(a))
    )
    .flatMap((r) => r.off.filter((f) => !flags.has(f)));

function chosenSchools(domains: readonly Domain[], engine: Engine, r: Replayed): Record<string, ChosenSchool> {
  const out: Record<string, ChosenSchool> = {};
  for (const d of domains)
    for (const [id, propose] of Object.entries(d.schools ?? {})) {
      const proposed = propose(engine, r.chosen, r);
      const chosen = r.chosen.get(id);
      out[id] =
        chosen === undefined
          ? { ...proposed, chosen: false }
          : {
              option: chosen,
              chosen: true,
              because: chosen === proposed.option ? proposed.because : 'chosen on this job'
            };
    }
  return out;
}

/** Data-sheet values that a step needs and the engine does not have. */
export function missingValues(step: Step, engine: Engine, chosen: ReadonlyMap<string, string>): string[] {
  const by = step.valuesBy;
  const said = by && (chosen.get(by.chosen) ?? choiceOf(engine, by.field));
  return [...step.values, ...((said && by.values[said]) ?? [])].filter((v) => !engine.values[v]);
}

/** Those of them that are asked for now: not while it is asked whether the step is needed at all, nor once it is behind. */
export const valuesAsked = (v: StepView, engine: Engine, chosen: ReadonlyMap<string, string>): string[] =>
  v.asks || v.state === 'done' || v.state === 'not-needed'
    ? []
    : [...missingValues(v.step, engine, chosen), ...(v.step.wants ?? []).filter((n) => !engine.values[n])];
