import type { Advised } from '../../job/advised.ts';
import type { Open, SurfaceWords, StepView } from '../../job/domain.ts';
import { cycleState } from '../../calculations/cycle/cycle-state.ts';
import { finerThanTyped, lastOf } from '../../job/readings.ts';
import { capital, degText, lower, plusMinus, several, type LengthText } from '../../job/texts.ts';
import type { PairRow } from './tdc-pair-rows.ts';
import { signText, signToRepeat } from './signs.ts';
import { listOf, type surfaces as names } from './vocabulary.ts';
import { cycleDegOf } from '../../engine/engine.ts';
import { mod, wrap180 } from '../../numerics/angles.ts';
import type { Reading } from '../../job/replayed.ts';
import { pinU } from './place/turning.ts';
import { slackHeadline, slackOpen } from './slack.ts';
import { crankTarget, markFinding, planTo } from './words.ts';
import type { CrankState } from './works.ts';

/** `17.6 a` names the side of the top as well; the letter is taken off before the figure is read. */
const SIDE = /^(.*\d[^a-z]*?)\s*([ab])$/i;

export const surfaces: Record<(typeof names)[number], SurfaceWords<CrankState>> = {
  tdc: {
    headline: tdcHeadline,
    open: tdcOpen,
    advice: tdcAdvice,
    aim: (state, step, prefer) => {
      const { tdc } = state.work;
      const wanted: readonly string[] = tdc.slots;
      const as = prefer !== undefined && wanted.includes(prefer) ? prefer : tdc.nextSlot;
      if (as === null) return null;
      const n = state.readings.filter((r) => r.step === step.id && r.slot === as).length + 1;
      const counted = as !== 'depth' && as !== 'top-dial';
      return {
        slot: step.slots.find((s) => s.slot === as)!,
        as,
        n: counted ? n : null,
        counts: tdc.method === 'pairs' || tdc.method === 'stop' ? 'pair' : 'reading'
      };
    },
    strip: (text) => {
      const m = SIDE.exec(text.trim());
      return m ? { text: m[1]!, prefer: m[2]!.toLowerCase() === 'a' ? 'after' : 'before' } : { text };
    },
    required: (state) => state.work.tdc.slots.filter((s) => s !== 'depth'),
    taken: ({ work: { tdc } }) => pairsTaken(tdc.rows)
  },
  mark: { headline: (state) => (state.work.mark ? markFinding(state.work.mark) : null) },
  strokes: { headline: strokesHeadline, open: strokesOpen },
  plan: { open: planOpen, advice: planAdvice },
  'make-scale': {},
  slack: {
    headline: (state) => slackHeadline(state.work.slack, state.engine),
    open: (state) => slackOpen(state.work.slack, state.engine)
  }
};

/** Pairs that are whole, and that one is begun: a reading before the top alone is no pair. */
function pairsTaken(rows: readonly PairRow[]): string | null {
  if (rows.length === 0) return null;
  const whole = rows.filter((r) => r.before && r.after).length;
  const begun = whole < rows.length ? 'one begun' : '';
  return whole ? `${several(whole, 'pair')} taken${begun && `, ${begun}`}` : 'a pair begun';
}

/** The first leg of the way to where the step brings the crank, seen from the front. */
function planAdvice(state: CrankState, v: StepView): Advised | null {
  const target = crankTarget(state, v.step, cycleDegOf(state.engine));
  const plan = planTo(target, state, state.engine, 'front');
  if (!plan) return { act: 'read', slot: 'stands', verdict: null };
  const leg = plan.steps[0];
  if (!leg) return { act: 'leave', what: 'crank', target: target!.deg, verdict: null };
  return {
    act: 'turn',
    what: 'crank',
    sense: leg.turn,
    amount: leg.degrees,
    unit: '°',
    target: target!.deg,
    verdict: null
  };
}

/**
 * What is open where the crank is brought somewhere: not read there, read with no TDC to count from, or it does not stand where
 * the step brings it, by more than half a division and its own doubt.
 */
function planOpen(state: CrankState, v: StepView): string | Open | null {
  const { crank, placeAt } = state.work;
  const target = crankTarget(state, v.step, cycleDegOf(state.engine));
  if (!target) return null;
  const read = lastOf(
    state.readings.filter((r) => r.step === v.step.id),
    'stands'
  );
  const done = v.mark?.state === 'done';
  if (!read || (!done && crank.reading !== read.id))
    return { what: 'where the crank stands is not read on the wheel', short: 'nothing' };
  // a step that was done is judged by where it stood then: it has since been turned for the next
  const place = done ? placeAt(read.seq) : crank;
  if (place.crankDeg === null)
    return { what: 'the wheel is read, and where true TDC lies on it is not known', short: 'undecided' };
  const period = place.strokeKnown && !target.eitherTdc ? cycleDegOf(state.engine) : 360;
  const on = mod(place.crankDeg - target.deg, period);
  const off = on > period / 2 ? on - period : on;
  // a pin enters within its clearance, wherever in it the crank stands
  const clearance = v.step.acts.includes('pins-crank') ? 2 * (pinU(state.engine) ?? 0) : 0;
  const division = Math.max(read.gauge?.resolution ?? 0, read.resolution);
  const may = Math.max(division / 2, clearance) + 2 * (place.uDeg ?? 0);
  if (Math.abs(off) > 180) return 'the crank stands a whole turn away, at the other TDC';
  return Math.abs(off) > may
    ? `the crank was read ${degText(Math.abs(off))} ${off < 0 ? 'before' : 'past'} where it must stand`
    : null;
}

function tdcOpen(state: CrankState): string | null {
  const { tdc } = state.work;
  if (!tdc.found)
    return (
      tdc.error?.message ??
      (tdc.method === 'mark' ? 'no earlier job has proved this mark' : 'the readings are not complete')
    );
  if (tdc.fit?.bottomed) return 'the dial seems to have come to the end of its travel';
  if (tdc.found.disagree) return pairsApart(state);
  return tdc.verdict && tdc.verdict.state !== 'in' ? 'too close to call' : null;
}

/** Pairs that lie further apart than this hand scatters, and what to look at. */
const pairsApart = ({ work: { tdc } }: CrankState): string =>
  tdc.tops.length > 0
    ? `the readings lie ${degText(topsApart(tdc.tops), 2)} apart, more than flat top and hand explain: look whether wheel or pointer moved, then read one more`
    : `the pairs lie ${degText(tdc.pairs?.spreadDeg ?? 0, 2)} apart, more than this hand scatters: look whether wheel, pointer or stop moved, then read one more`;

const topsApart = (tops: readonly Reading[]): number => {
  const at = tops.map((r) => wrap180(r.value - tops[0]!.value));
  return Math.max(...at) - Math.min(...at);
};

/** The sign that speaks against the others, in its words. */
function repeatText(state: CrankState): string {
  const kind = signToRepeat(state.work.signs) ?? state.work.signs[0]!.kind;
  const firingOrder = listOf(state.engine, 'firingOrder');
  const cycleDeg = cycleDegOf(state.engine);
  return signText(kind, firingOrder ? cycleState({ cycleDeg, firingOrder, crankDeg: 0 }).companion : null);
}

function strokesOpen(state: CrankState): string | null {
  const { signs, evidence } = state.work;
  if (signs.length === 0)
    return 'no sign of the stroke counts: none was given, or the crank was turned uncounted since';
  if (state.work.walk.signsStale) return 'the crank was turned since the signs were given';
  if (evidence!.state === 'unsure') return 'the signs do not tell compression from exhaust';
  if (evidence!.contradictory) return `the signs contradict each other; look once more: ${lower(repeatText(state))}?`;
  return signs.length < 2 ? 'one sign alone is provisional, add a second and independent one' : null;
}

function tdcHeadline(state: CrankState, v: StepView, len: LengthText): string | null {
  const t = state.work.tdc;
  const found = t.found ? `True TDC is where the wheel reads ${degText(t.found.tdcWheelDeg, 2)}` : null;
  if (v.state === 'done' && found) return found;
  if (t.fit?.bottomed) return 'The dial seems to have come to the end of its travel';
  switch (t.method) {
    case 'pairs':
    case 'stop':
      return pairsHeadline(state, found, len);
    case 'fit':
      return fitHeadline(state, found);
    case 'highest':
    case 'rod':
      if (t.nextSlot === 'top-dial') return 'Turn to where the dial stands highest and read it';
      if (t.found?.disagree) return capital(pairsApart(state));
      return found ? `${found}, give or take the flat top` : 'Read the wheel where the piston stands highest';
    case 'mark':
      return found ?? 'No earlier job has proved this mark: choose another way';
  }
}

/** Read on, another pair, or leave it; and the step in which the wheel is to be read. */
function tdcAdvice({ work: { tdc }, readings }: CrankState, v: StepView): Advised | null {
  const verdict = tdc.verdict?.state ?? null;
  const finer = finerThanTyped(readings.filter((r) => r.step === v.step.id && r.quantity === 'angle'));
  const open = !tdc.found || (verdict !== null && verdict !== 'in') || tdc.rows.some((r) => r.error || r.farOff);
  const act = open ? (tdc.found ? 'again' : 'read') : 'leave';
  return { act, ...(tdc.nextSlot ? { slot: tdc.nextSlot } : {}), ...(finer === null ? {} : { finer }), verdict };
}

/** What whole degrees on a finer wheel cost: said once a pair is there. */
function finerText({ work: { tdc }, readings }: CrankState): string {
  const finer = finerThanTyped(readings.filter((r) => r.slot === 'before' || r.slot === 'after'));
  return finer === null || !tdc.found
    ? ''
    : `. Read the wheel to ${finer === 0.5 ? 'the half degree' : degText(finer, 2)}, as it shows: typed coarser it leaves ${plusMinus(tdc.found.uDeg, 2)}°`;
}

function pairsHeadline(state: CrankState, found: string | null, len: LengthText): string {
  const t = state.work.tdc;
  const depth = t.method === 'stop' ? ' against the stop' : t.depth ? ` at ${len(t.depth.value, 2)} down` : '';
  if (t.nextSlot === 'after') return `Read the wheel after the top, to finish pair ${t.rows.length}`;
  if (t.rows.some((r) => r.error)) return 'One pair looks swapped: look at it first';
  const pulls = t.rows.filter((r) => r.farOff).map((r) => r.n);
  if (pulls.length > 0)
    return pulls.length === 1
      ? `Pair ${pulls[0]} lies far off: has the wheel slipped?`
      : 'The two pairs disagree: has the wheel slipped?';
  if (t.found?.disagree) return capital(pairsApart(state));
  if (t.verdict && t.verdict.state !== 'in') return `Take one more pair${depth}${finerText(state)}`;
  if (found && t.rows.length < 3)
    return `Take ${t.rows.length === 1 ? 'two more pairs' : 'one more pair'}${depth}, or go on${finerText(state)}`;
  return found ?? `Read the wheel at equal depth${depth}, before and after the top`;
}

function fitHeadline({ work: { tdc } }: CrankState, found: string | null): string | null {
  if (!tdc.fit || tdc.fit.wants) return tdc.fit?.wants ?? null;
  return tdc.verdict && tdc.verdict.state !== 'in' ? 'Take more readings, further from the top' : found;
}

function strokesHeadline(state: CrankState, v: StepView): string | null {
  const { evidence, signs } = state.work;
  if (!evidence || (state.work.walk.signsStale && v.state !== 'done')) return null;
  if (evidence.contradictory) return `The signs contradict each other. Look once more: ${lower(repeatText(state))}?`;
  if (evidence.state === 'unsure') return 'Too close to call: give one more sign';
  const stroke = evidence.state === 'compression' ? 'compression' : 'exhaust';
  return signs.length < 2
    ? `Probably ${stroke}: one sign is provisional, add a second`
    : `The coming rise is ${stroke}`;
}
