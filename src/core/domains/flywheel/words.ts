import type { Advised } from '../../job/advised.ts';
import { asRead, judgedSlot, type Judged } from '../../job/judged.ts';
import { adviseSetting, type Advice } from '../../job/setting-advice.ts';
import { degText, judgedBy, list, lower, type LengthText } from '../../job/texts.ts';
import { formatTiming, timingLimits, timingPm } from '../../units/format.ts';
import { slots } from './slots.ts';
import { choiceOf, numberOf } from './vocabulary.ts';
import type { FlywheelState } from './works.ts';

export function heightHeadline(state: FlywheelState, len: LengthText): string | null {
  const w = state.work.flywheel;
  const btdc = numberOf(state.engine, 'fullAdvanceBtdc');
  if (w.problem) return w.problem.message;
  return w.dropMm === null || btdc === undefined
    ? null
    : `${formatTiming(btdc, 1)} is ${len(w.dropMm, 2)} below the top on this engine`;
}

export const heightOpen = (state: FlywheelState): string | null => {
  const w = state.work.flywheel;
  if (w.problem) return w.problem.message.replace(/\.$/, '');
  return w.dropMm === null ? 'stroke, rod, full advance or the flywheel\u2019s diameter is missing' : null;
};

export function marksHeadline(state: FlywheelState): string | null {
  const w = state.work.flywheel;
  if (w.strange.length) return `There is no cylinder ${w.strange[0]}`;
  if (!w.rows.some((x) => x.found)) return null;
  const missing = w.rows.filter((x) => !x.found).map((x) => String(x.cylinder));
  if (missing.length) return `Still to find: ${list(missing)}`;
  if (w.pattern) return w.pattern;
  if (w.state === null) return 'Not judged: how far a mark may lie off is not on the data sheet';
  const may = `\u00b1 ${w.withinDeg}° may be`;
  return w.state === 'in'
    ? `Every cylinder\u2019s mark lies where it must: ${may}`
    : `A mark is too close to call, ${may}: read the marks finer`;
}

export function marksOpen(state: FlywheelState): string | null {
  const w = state.work.flywheel;
  if (choiceOf(state.engine, 'cycle') === undefined) return 'the cycle is not on the data sheet';
  if (w.strange.length) return `there is no cylinder ${w.strange[0]}`;
  const missing = w.rows.filter((x) => !x.found).map((x) => String(x.cylinder));
  if (missing.length || w.rows.length === 0)
    return missing.length ? `no mark was found for ${list(missing)}` : 'the firing order is missing';
  if (w.state === null) return 'how far a mark may lie off is not on the data sheet';
  return w.state === 'in' ? null : `a mark is ${w.state === 'out' ? 'off' : 'too close to call'}`;
}

export function matchedHeadline(state: FlywheelState): string | null {
  const { matched, rows } = state.work.flywheel;
  const wrong = matched.find((m) => m.lead !== m.seen);
  if (wrong) return `The lead of ${wrong.lead} fires cylinder ${wrong.seen}: leads or triggers are swapped`;
  if (!matched.length) return null;
  const left = rows.map((x) => x.cylinder).filter((c) => !matched.some((m) => m.lead === c));
  return left.length
    ? `Matched: ${list(matched.map((m) => String(m.lead)))}; still to see: ${list(left.map(String))}`
    : 'Every lead fires its own cylinder';
}

export function matchedOpen(state: FlywheelState): string | null {
  const { matched, rows } = state.work.flywheel;
  if (matched.some((m) => m.lead !== m.seen)) return 'a lead fires another cylinder';
  const left = rows.map((x) => x.cylinder).filter((c) => !matched.some((m) => m.lead === c));
  return left.length || rows.length === 0 ? `not seen yet: ${list(left.map(String))}` : null;
}

export function stopHeadline(state: FlywheelState): string | null {
  const { stop } = state.work.flywheel;
  if (stop.problem) return stop.problem.message;
  if (stop.slopeOpen)
    return 'What a turn of the screw does is not known: the readings moved by no more than they can err. Turn it two turns more and read it again';
  if (stop.turnsFromLast === null)
    return stop.readings.length ? 'Turn the screw a whole turn or more and read it again' : null;
  const t = stop.turnsFromLast;
  const u = 2 * stop.uTurns!;
  if (Math.abs(t) <= u)
    return `It stands within what can be told, \u00b1 ${u.toFixed(1)} turns, ${degText(u * Math.abs(stop.degPerTurn!), 1)} of the crank: tighten the lock nut and read again`;
  return `Turn the screw ${Math.abs(t).toFixed(1)} \u00b1 ${u.toFixed(1)} turns ${t > 0 ? 'on' : 'back'}: a turn moves it ${degText(Math.abs(stop.degPerTurn!), 2)}`;
}

export function stopOpen(state: FlywheelState): string | null {
  const { stop } = state.work.flywheel;
  if (stop.problem) return stop.problem.message.replace(/\.$/, '');
  if (stop.slopeOpen) return 'what a turn of the screw does is not known yet';
  return stop.turnsFromLast === null ? 'what a turn of the screw does was not learnt: two readings at least' : null;
}

export function marksAdvice(state: FlywheelState): Advised | null {
  const { rows, state: verdict, pattern } = state.work.flywheel;
  const named = /^Cylinder (\d+)/.exec(pattern ?? '');
  return named || rows.some((x) => !x.found)
    ? { act: 'again', slot: 'mark-of', target: named ? Number(named[1]) : null, verdict }
    : { act: 'leave', verdict };
}

export function stopAdvice(state: FlywheelState): Advised | null {
  const { stop } = state.work.flywheel;
  if (stop.slopeOpen) return { act: 'turn', what: 'stop-screw', sense: 'on', amount: 2, unit: 'turns', verdict: null };
  return stop.turnsFromLast === null || stop.problem ? null : screwTurn(stop.turnsFromLast, null);
}

const screwTurn = (turns: number, verdict: Advised['verdict']): Advised => ({
  act: Math.abs(turns) < 0.05 ? 'leave' : 'turn',
  what: 'stop-screw',
  sense: turns > 0 ? 'on' : 'back',
  amount: Math.abs(turns),
  unit: 'turns',
  verdict
});

/** Full advance with the nut tight: as it was read since the screw was last turned, and what to do about it. */
function locked(state: FlywheelState): { full: Judged; advice: Advice; turns: number | null } | null {
  const slot = slots['stop-again'];
  const now = state.readings.filter((r) => !r.setting?.earlier);
  const full = judgedSlot(state.engine, now, slot, state.correction);
  if (!full) return null;
  const advice = adviseSetting(asRead(now, slot, full), full.verdict, full);
  const { degPerTurn } = state.work.flywheel.stop;
  return {
    full,
    advice,
    turns: degPerTurn === null || full.target === null ? null : (full.target - full.value) / degPerTurn
  };
}

export function lockedHeadline(state: FlywheelState): string | null {
  const l = locked(state);
  if (!l) return null;
  const { full, advice, turns } = l;
  if (full.unproved)
    return `Full advance ${timingPm(full.value, full.u)} as the mark reads: where the mark lies was not measured, and nothing is judged by it`;
  const by = full.verdict ? `: ${judgedBy(full.verdict.state, timingLimits(full.min, full.max))}` : '';
  const stands = `Full advance, lock nut tight, ${timingPm(full.value, full.u)} with the mark\u2019s error taken off${by}`;
  if (advice === 'turn') return `${stands}. ${turnText(turns)}`;
  if (full.guessed)
    return `${stands}. It lies apart from what was read before: say whether the screw was turned, or read it once more`;
  return advice === 'again'
    ? `${stands}: read it again`
    : advice === 'limit'
      ? `${stands}. No further reading with this strobe decides it`
      : stands;
}

const turnText = (turns: number | null): string =>
  turns === null
    ? 'Loosen the nut, turn the screw and read what that does'
    : `Loosen the nut, turn the screw ${Math.abs(turns).toFixed(1)} turns ${turns > 0 ? 'on' : 'back'}, tighten the nut and read again`;

export function lockedOpen(state: FlywheelState): string | null {
  const l = locked(state);
  if (!l) return 'full advance was not read since the screw was last turned';
  const { full, advice, turns } = l;
  if (full.unproved) return 'where the mark lies that it was read on was not measured';
  if (!full.verdict || full.verdict.state === 'in') return null;
  if (advice !== 'turn') return 'full advance is too close to call';
  const where = full.verdict.state === 'out' ? 'outside its limits' : 'too close to call and outside the middle';
  return `full advance is ${where}: ${lower(turnText(turns))}`;
}

export function lockedAdvice(state: FlywheelState): Advised | null {
  const l = locked(state);
  if (!l || l.full.unproved) return null;
  const verdict = l.full.verdict?.state ?? null;
  if (l.advice === 'turn')
    return l.turns === null ? { act: 'turn', what: 'stop-screw', verdict } : screwTurn(l.turns, verdict);
  return { act: l.advice === 'again' ? 'again' : 'leave', verdict };
}
