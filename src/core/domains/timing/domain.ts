import type { Step } from '../../job/run-sheet.ts';
import type { SettledFigure } from '../../job/settled.ts';
import { biasOf, learntBias } from './bias.ts';
import { replays } from './replays.ts';
import { cycleDegOf } from '../../engine/engine.ts';
import type { Domain, StepView } from '../../job/domain.ts';
import { judgedOpen } from '../../job/judged.ts';
import { domain as distributor } from '../distributor/domain.ts';
import { againstBefore, beforeAfterText } from './before-after.ts';
import { clampAdvice, clampHeadline, clampOpen } from './clamp-work.ts';
import { dwellDoubt } from './doubts.ts';
import { settled } from './figures.ts';
import { gapWork } from './gap-work.ts';
import { timings } from './timing-work.ts';
import { choiceOf, holds, type TimingVocabulary } from './vocabulary.ts';
import { biasHeadline, gapHeadline, housingTurns, timingAdvice, timingHeadline, timingOpen } from './words.ts';
import type { TimingContext, TimingState, TimingWorks } from './works.ts';
import type { CrankWorks } from '../crank/works.ts';

/** The housing and the timing it sets: at rest, by strobe, gap and dwell, a bias for the first start. */
export const domain: Domain<TimingWorks & CrankWorks, TimingVocabulary['school']> = {
  name: 'timing',
  needs: [distributor],
  works: {
    timing: (c) => timings(c, c.works.mark, c.schools.trigger.option),
    gap: (c) => gapWork(c.engine, c.r)
  },
  surfaces: {
    timing: {
      headline: timingHeadline,
      open: timingOpen,
      advice: timingAdvice,
      aim: (state, step, prefer) => {
        const named = (s: string) => step.slots.find((x) => x.slot === s)!;
        if (prefer === 'rim') return { slot: named('rim'), as: 'rim', n: null };
        const t = state.work.timing[step.id]!;
        const base = named(t.slot);
        const repeat = prefer ? prefer === 'again' : t.nextIsRepeat;
        return { slot: base, as: repeat ? `${base.slot}-again` : base.slot, n: null };
      }
    },
    gap: { headline: gapHeadline, open: judgedOpen },
    bias: { headline: (state) => biasHeadline(state) },
    clamp: {
      headline: (state) => clampHeadline(state),
      open: (state) => clampOpen(state),
      advice: (state) => clampAdvice(state)
    }
  },
  schools: {
    'reference-angle': () => ({
      option: 'initial',
      because: 'what is set at rest is then the setting, with nothing to add'
    }),
    trigger: (e, said) => {
      const answered = said.get('trigger-is');
      const kind = answered ?? choiceOf(e, 'triggerKind');
      const who = answered ? 'it was seen on this job:' : 'the data sheet names';
      if (kind === 'induction') return { option: 'edge', because: `${who} an induction pickup` };
      if (kind === 'vane') return { option: 'vane', because: `${who} a vane sensor` };
      return kind === 'contacts'
        ? { option: 'lamp', because: `${who} contacts` }
        : { option: 'lamp', because: 'it needs hardly any power; the data sheet does not say what triggers' };
    },
    bias: (e) =>
      learntBias(e) ?? {
        option: 'none',
        because: 'what is set is then what is meant; a bias is logged as one and cleared at the strobe'
      }
  },
  replays,
  gives: (c) => (biasTaken(c) ? ['bias-on'] : []),
  figures: (state) => [...state.steps.flatMap((v) => timingFigure(state, v)), ...restError(state)],
  interlocks: (c) => [
    ...(strokeOpen(c) ? ['IL.10'] : []),
    ...(idleAboveOnset(c) ? ['IL.27'] : []),
    ...(roomOpen(c) ? ['IL.47'] : []),
    ...(phaseOpen(c) ? ['IL.98'] : [])
  ],
  doubts: { dwell: dwellDoubt },
  card: (state, len) => {
    const before = againstBefore(state);
    return [
      ...housingTurns(state, len),
      ...(before ? [{ label: 'Timing against before', value: beforeAfterText(before) }] : [])
    ];
  }
};

/** How the first strobe reading stood to what was set at rest, a bias taken off: what this way of setting is worth here. */
function restError(state: TimingState): SettledFigure[] {
  const of = (role: string) => state.sheet.steps.find((s) => s.role === role && state.work.timing[s.id]?.latest);
  const [rest, strobe] = [of('at-rest'), of('strobe')];
  if (!rest || !strobe) return [];
  const set = state.work.timing[rest.id]!.latest!;
  const first = state.work.timing[strobe.id]!.rows[0]!;
  const value = first.btdc - set.btdc - (biasOf(state)?.deg ?? 0);
  return [settled('rest-error', { value, u: Math.hypot(set.uDeg, first.uDeg), calc: 'timing.budget', output: null })];
}

function timingFigure(state: TimingState, { step }: StepView) {
  const t = state.work.timing[step.id];
  if (!t?.latest) return [];
  return [
    settled(step.role === 'strobe' ? 'timing:strobe' : 'timing:at-rest', {
      value: t.latest.btdc,
      u: t.latest.uDeg,
      verdict: t.latest.verdict?.state ?? null,
      limits: { min: t.minBtdc, max: t.maxBtdc },
      calc: 'static.adjust',
      input: { measuredBtdc: t.latest.btdc, targetBtdc: t.targetBtdc, engine: state.engine.id },
      output: t.latest.move
    })
  ];
}

/** The bias that was proposed was taken without being chosen, and the strobe has not set the timing since. */
function biasTaken(c: TimingContext): boolean {
  const taken = c.r.marks.get(c.sheet.steps.find((s) => s.surface === 'bias')?.id ?? '');
  if (taken?.state !== 'done' || c.r.chosen.has('bias') || c.schools.bias.option === 'none') return false;
  const strobed = (s: Step) => s.clears.includes('bias-on') && (c.r.marks.get(s.id)?.seq ?? 0) > taken.seq;
  return !c.sheet.steps.some(strobed);
}

/** The housing stands where it fires, and a step of this job that turns it both ways was not done; before that there is nothing to turn. */
const roomOpen = (c: TimingContext): boolean => notJudged(c, 'housing-room-ok');

/** The same of rotor and trigger, which every fit pairs anew. */
const phaseOpen = (c: TimingContext): boolean => notJudged(c, 'rotor-phase-ok');

const notJudged = (c: TimingContext, flag: 'housing-room-ok' | 'rotor-phase-ok'): boolean =>
  holds(c.r, 'housing-indexed') &&
  !holds(c.r, flag) &&
  c.sheet.steps.some(
    (s) =>
      s.sets.includes(flag) &&
      (!s.onlyIf || c.r.facts.get(s.onlyIf.fact) === (s.onlyIf.when ?? true)) &&
      (s.onlyIf?.within === undefined || c.r.facts.get(s.onlyIf.within) !== false)
  );

/** The mark is judged, but which of its two TDCs fires is not known, and nothing was set by it yet. */
const strokeOpen = (c: TimingContext): boolean =>
  cycleDegOf(c.engine) === 720 &&
  c.sheet.steps.some((s) => s.surface === 'strokes') &&
  holds(c.r, 'damper-verified') &&
  !holds(c.r, 'compression-confirmed') &&
  !holds(c.r, 'housing-indexed');

/** The idle that was read last lies above where the advance began when the engine's curve was last measured. */
function idleAboveOnset(c: TimingContext): boolean {
  const idle = c.r.readings.findLast((x) => x.slot === 'idle')?.value;
  const curve = c.engine.earlier?.['curve']?.output as
    { startRpm?: number; uStartRpm?: number | null } | null | undefined;
  return idle !== undefined && curve?.startRpm !== undefined && idle > curve.startRpm + 2 * (curve.uStartRpm ?? 0);
}
