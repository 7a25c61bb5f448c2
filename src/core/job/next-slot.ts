import { fail } from '../errors/catalogue.ts';
import type { Result } from '../errors/result.ts';
import { readingParse, type ParsedReading } from '../calculations/reading/reading-parse.ts';
import type { Slot, Step } from './run-sheet.ts';
import type { Unit } from '../units/units.ts';
import type { JobState } from './state.ts';

export interface Aim {
  slot: Slot;
  /** the slot as it will be logged: `strobe-again` repeats the last setting */
  as: string;
  /** for pairs: which one */
  n: number | null;
}

/** Figures that are read in pairs, one after the other, as often as wanted. */
const PAIRED = [
  ['sweep-rpm', 'sweep-deg'],
  ['spread-rpm', 'spread'],
  ['vac-kpa', 'vac-deg']
] as const;

/** Where the next figure goes: the first slot of the step still empty, or the one that repeats. Null: takes none. */
export function nextSlot(state: JobState, step: Step, prefer?: string): Aim | null {
  if (step.slots.length === 0) return null;
  const mine = state.readings.filter((r) => r.step === step.id);
  const named = (s: string) => step.slots.find((x) => x.slot === s)!;
  if (step.surface === 'tdc') {
    const wanted = state.tdc.slots as string[];
    const as = prefer !== undefined && wanted.includes(prefer) ? prefer : state.tdc.nextSlot;
    if (as === null) return null;
    const counted = as !== 'depth' && as !== 'top-dial';
    return { slot: named(as), as, n: counted ? mine.filter((r) => r.slot === as).length + 1 : null };
  }
  if (step.surface === 'timing') {
    if (prefer === 'rim') return { slot: named('rim'), as: 'rim', n: null };
    const base = named(state.timing[step.id]!.slot);
    const repeat = prefer ? prefer === 'again' : state.timing[step.id]!.nextIsRepeat;
    return { slot: base, as: repeat ? `${base.slot}-again` : base.slot, n: null };
  }
  const asked = step.slots.find((s) => s.slot === prefer);
  if (asked) return { slot: asked, as: asked.slot, n: null };
  // speed, then what is read there
  const pair = PAIRED.find(([first]) => step.slots.some((s) => s.slot === first));
  if (pair) {
    const [first, second] = pair;
    const open = mine.filter((r) => r.slot === first).length > mine.filter((r) => r.slot === second).length;
    const slot = named(open ? second : first);
    return { slot, as: slot.slot, n: null };
  }
  // heights of a contact are read in pairs: the lower end, then the upper
  if (step.surface === 'patch') {
    const lows = mine.filter((r) => r.slot === 'patch-low').length;
    const highs = mine.filter((r) => r.slot === 'patch-high').length;
    const slot = named(lows > highs ? 'patch-high' : 'patch-low');
    return { slot, as: slot.slot, n: null };
  }
  if (prefer === 'back') return { slot: step.slots[0]!, as: `${step.slots[0]!.slot}-back`, n: null };
  const slot =
    step.slots.find((s) => !mine.some((r) => r.slot === s.slot)) ??
    step.slots.findLast((s) => s.repeats) ??
    step.slots[step.slots.length - 1]!;
  return { slot, as: slot.slot, n: null };
}

/** `17.6 a` names the side of the top as well; the letter is taken off before the figure is read. */
const SIDE = /^(.*\d[^a-z]*?)\s*([ab])$/i;

/** How a figure is meant where it does not say so itself: its unit, and what one turn of the pointer is in it, mm. */
export type Meant = (slot: Slot) => { unit: Unit; perRevMm?: number | null | undefined };

/** Reads what is in the reading line for a step: the figure, and the slot it goes to. */
export function readFor(
  state: JobState,
  step: Step,
  text: string,
  meant: Meant,
  prefer?: string
): Result<{ aim: Aim; figure: ParsedReading; text: string }> {
  let side: string | undefined;
  let figureText = text;
  const m = step.surface === 'tdc' ? SIDE.exec(text.trim()) : null;
  if (m) {
    figureText = m[1]!;
    side = m[2]!.toLowerCase() === 'a' ? 'after' : 'before';
  }
  const aim = nextSlot(state, step, side ?? prefer);
  if (!aim) return fail('no-such-slot', 'text', { slot: text, step: step.title });
  const { unit, perRevMm } = meant(aim.slot);
  const figure = readingParse({
    text: figureText,
    quantity: aim.slot.quantity,
    defaultUnit: unit,
    ...(perRevMm ? { perRevMm } : {})
  });
  return figure.ok ? { ok: true, out: { aim, figure: figure.out, text: figureText } } : figure;
}
