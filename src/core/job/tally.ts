import type { JobState, StepView } from './domain.ts';
import { lastOf } from './readings.ts';
import type { Reading } from './replayed.ts';
import type { Slot, Step } from './run-sheet.ts';
import { countedAgainst } from './running-count.ts';

/** A count of a step: what is counted, against how many it goes, and how many it has come to. */
export interface Tally {
  slot: Slot;
  /** how many there are, by the count before; null where nothing is counted against, or nobody counted yet */
  of: number | null;
  /** what was counted before, as that slot calls it; null where nothing is counted against */
  ofWhat: string | null;
  /** how many have been counted; null before the first */
  n: number | null;
  /** how many are still to come; below zero where more came than there were; null while one of both is not counted */
  left: number | null;
  /** it counts pieces that are read one by one, not a figure that is said */
  each: boolean;
  /** the reading that says how many, where it is one */
  last: Reading | null;
  /** what it goes against was counted at this very step, so that the count back is owed at it */
  owed: boolean;
}

/** What a step counts, slot by slot: counted out, counted back, or one reading for each piece. */
export function tallies(state: Pick<JobState, 'sheet' | 'readings'>, step: Step): Tally[] {
  const counted = countedAgainst(state.sheet);
  const label = (slot: string) => state.sheet.steps.flatMap((s) => s.slots).find((s) => s.slot === slot)?.label ?? slot;
  return step.slots.flatMap((slot): Tally[] => {
    const from = slot.countsBack?.slot ?? slot.eachOf;
    if (from === undefined && !counted.has(slot.slot)) return [];
    const mine = state.readings.filter((r) => r.step === step.id && r.slot === slot.slot);
    const each = slot.eachOf !== undefined;
    const last = each ? null : lastOf(mine, slot.slot);
    const n = each ? mine.length : (last?.value ?? null);
    const out = from === undefined ? null : lastOf(state.readings, from);
    const of = out?.value ?? null;
    return [
      {
        slot,
        of,
        ofWhat: from === undefined ? null : label(from),
        n,
        left: of === null || n === null ? null : of - n,
        each,
        last,
        owed: out?.step === step.id
      }
    ];
  });
}

/**
 * What the counts of a step leave open, in words; null where all came out even, or nothing was counted.
 * @param hardOnly only of those that no reason goes on without
 */
export function tallyOpen(state: JobState, v: StepView, hardOnly = false): string | null {
  for (const t of tallies(state, v.step)) {
    if (hardOnly && !t.slot.countsBack?.hard) continue;
    const open = t.ofWhat === null ? null : t.each ? eachOpen(t) : backOpen(t);
    if (open !== null) return open;
  }
  return null;
}

function eachOpen({ of, n, left, slot }: Tally): string | null {
  if (of === null || left === 0) return null;
  return left! > 0
    ? `${slot.label}: ${left} of ${of} not read yet`
    : `${slot.label}: ${n} read where ${of} were counted; take back what was read twice`;
}

function backOpen({ slot, of, ofWhat, n, left, owed }: Tally): string | null {
  if (of === null) return n === null ? null : `${ofWhat}: not counted`;
  if (n === null) return owed ? 'nothing was counted back yet' : null;
  if (left! > 0) return `${left} of ${of} missing: ${slot.countsBack!.missing}`;
  return left! < 0 ? `${n} counted where there were ${of}: count both again` : null;
}

/** Whether a slot counts back what there was none of: then nothing is owed at it. */
export const noneToCount = (state: Pick<JobState, 'readings'>, slot: Slot): boolean =>
  slot.countsBack !== undefined && lastOf(state.readings, slot.countsBack.slot)?.value === 0;

/** Whether, by what was counted last, something is missing that breaks what turns. */
export function somethingMissing({ sheet, readings }: Pick<JobState, 'sheet' | 'readings'>): boolean {
  const counts = sheet.steps.flatMap((s) => s.slots).filter((s) => s.countsBack?.hard);
  return counts.some((s) => {
    const [back, out] = [lastOf(readings, s.slot), lastOf(readings, s.countsBack!.slot)];
    return back !== null && out !== null && back.value < out.value;
  });
}

/** The finding of a step that counts back: what is missing, or that all are there; null before anything is counted back. */
export function tallyHeadline(state: JobState, { step }: StepView): string | null {
  const counted = tallies(state, step).filter((t) => t.slot.countsBack && t.left !== null);
  const uneven = counted.find((t) => t.left !== 0);
  const said = (uneven ? [uneven] : counted).map((t) => `${t.slot.label}: ${cameTo(t)}`).join('; ');
  return said === '' ? null : said.charAt(0).toUpperCase() + said.slice(1);
}

function cameTo({ of, n, left }: Tally): string {
  if (left === 0) return of === 0 ? 'there were none' : `all ${of} are there`;
  return left! > 0 ? `${n} of ${of}, ${left} still missing` : `${n} where there were ${of}, count both again`;
}
