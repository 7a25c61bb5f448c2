import type { Advised } from '../../job/advised.ts';
import type { StepView } from '../../job/domain.ts';
import { judgedHeadline } from '../../job/judged.ts';
import { finerThanTyped } from '../../job/readings.ts';
import { judgedBy, turnWord, type LengthText } from '../../job/texts.ts';
import { timingLimits, timingPm } from '../../units/format.ts';
import { againstBefore, beforeAfterText } from './before-after.ts';
import { biasOf } from './bias.ts';
import type { SettingRow } from './timing-work.ts';
import type { TimingState } from './works.ts';

/**
 * How the housing must be turned for a reading: `Turn the housing anticlockwise (from above) 1.4°, 1.01 mm at the rim`. Null
 * where that is not known, or the mark it was read on was never proved.
 */
export function housingText(row: SettingRow, len: LengthText): string | null {
  const m = row.move;
  if (!m) return null;
  if (row.advice === 'leave' || m.turn === 'none')
    return 'The housing stands where it is aimed, as near as it can be read. Leave it.';
  const rim = m.rimMm === undefined ? '' : `, ${len(m.rimMm, 2)} at the rim`;
  return `Turn the housing ${turnWord(m.turn)} (from above) ${m.housingDeg.toFixed(2)}°${rim}`;
}

export function timingHeadline(state: TimingState, v: StepView, len: LengthText): string | null {
  const { latest, markKnown, minBtdc, maxBtdc } = state.work.timing[v.step.id]!;
  if (!latest || latest.earlier) return null;
  const stands = timingPm(latest.btdc, latest.uDeg);
  const before = markKnown ? null : againstBefore(state);
  if (before) return `On a mark that no job has proved: ${beforeAfterText(before)}`;
  if (!markKnown)
    return `${stands} as the mark reads: no job has proved this mark, so nothing is set or judged by it. Prove it first`;
  const judged = latest.verdict?.state;
  const by = judged ? `: ${judgedBy(judged, timingLimits(minBtdc, maxBtdc))}` : '';
  const how = latest.advice === 'turn' ? housingText(latest, len) : null;
  if (how) return judged === 'out' || judged === undefined ? how : `${how}, to the middle. ${stands}${by}`;
  if (judged === undefined) return housingText(latest, len);
  if (judged === 'in') return `${stands} with the mark\u2019s error taken off${by}`;
  return latest.advice === 'limit'
    ? `Leave the housing: it stands in the middle, ${stands}${by}. No further reading with this gauge decides it`
    : `Leave the housing as it stands and narrow the doubt, read it again${finerText(latest)}: ${stands}${by}`;
}

const finerText = (row: SettingRow): string => {
  const finer = finerThanTyped(row.counted);
  return finer === null ? '' : `, to ${finer === 0.5 ? 'the half degree' : `${finer}°`}`;
};

/** The same as data: the housing turned so far and which way, read again, or left. */
export function timingAdvice(state: TimingState, v: StepView): Advised | null {
  const t = state.work.timing[v.step.id]!;
  const { latest } = t;
  if (!latest || latest.earlier || !t.markKnown) return null;
  const verdict = latest.verdict?.state ?? null;
  const finer = finerThanTyped(latest.counted);
  if (latest.advice !== 'turn')
    return {
      act: latest.advice === 'again' ? 'again' : 'leave',
      slot: t.slot,
      ...(finer === null ? {} : { finer }),
      verdict
    };
  const m = latest.move;
  const how: Partial<Advised> = m && m.turn !== 'none' ? { sense: m.turn, amount: m.housingDeg, unit: '°' } : {};
  return { act: 'turn', what: 'housing', ...how, target: t.targetBtdc, slot: t.slot, verdict };
}

export function timingOpen(state: TimingState, v: StepView): string | null {
  const t = state.work.timing[v.step.id];
  if (t?.latest?.earlier) return 'it was not read since the housing was turned';
  // on one mark, proved or not, a timing can be told to be as it was found
  if (t?.latest && !t.markKnown)
    return againstBefore(state)?.same ? null : 'no job has proved the mark that it was read on';
  const judged = t?.latest?.verdict?.state;
  if (judged === undefined || judged === 'in') return null;
  return judged === 'out' ? 'the last reading is outside the limits' : 'the last reading is too close to call';
}

export function gapHeadline(state: TimingState, v: StepView, len: LengthText): string | null {
  const { shift } = state.work.gap;
  if (!shift || Math.abs(shift.timingShiftDeg) < 0.05) return judgedHeadline(state, v, len);
  return `From ${shift.fromDeg}° to ${shift.toDeg}° of dwell moves the timing ${Math.abs(shift.timingShiftDeg).toFixed(1)}° ${shift.timingShiftDeg > 0 ? 'earlier' : 'later'}`;
}

/** How far to turn the housing for the bias, from where it was set. */
export function biasHeadline(state: TimingState): string | null {
  const b = biasOf(state);
  if (!b) return null;
  if (b.deg === 0) return 'The exact setting is kept: no bias';
  return `Turn the housing ${b.move.housingDeg.toFixed(2)}° ${turnWord(b.move.turn as 'cw' | 'ccw')} (from above): ${Math.abs(b.deg).toFixed(1)}° ${b.deg > 0 ? 'early' : 'late'}, logged as a bias`;
}

/** The turn that each strobe reading outside the limits led to, for the card. */
export function housingTurns(state: TimingState, len: LengthText): { label: string; value: string }[] {
  return state.sheet.steps
    .filter((s) => s.role === 'strobe')
    .flatMap((s) => state.work.timing[s.id]?.rows ?? [])
    .filter((r) => r.verdict?.state === 'out' && r.move && r.move.turn !== 'none')
    .map((r) => ({
      label: `Housing turned after reading ${r.n}`,
      value: `${r.move!.housingDeg.toFixed(2)}° ${turnWord(r.move!.turn as 'cw' | 'ccw')}${r.move!.rimMm === undefined ? '' : `, ${len(r.move!.rimMm, 2)} at the rim`}`
    }));
}
