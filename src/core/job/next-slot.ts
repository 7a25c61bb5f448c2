import { fail } from '../errors/catalogue.ts';
import type { Result } from '../errors/result.ts';
import { readingParse, type ParsedReading } from '../calculations/reading/reading-parse.ts';
import type { Unit } from '../units/units.ts';
import { surfaceOf, type Aim, type JobState } from './domain.ts';
import { slotOf, type Slot, type Step } from './run-sheet.ts';

/** What the next figure is, as the line asks for it: `wheel, before the top, pair 2`. */
export const aimText = ({ slot, n, counts }: Aim): string =>
  slot.label + (n === null ? '' : `, ${counts ?? 'reading'} ${n}`);

/** Where the next figure goes: the first slot of the step still empty, or the one that repeats. Null: takes none. */
export function nextSlot(state: JobState, step: Step, prefer?: string): Aim | null {
  if (step.slots.length === 0) return null;
  const own = surfaceOf(state.domains, step.surface).aim;
  return own ? own(state, step, prefer) : followingSlot(state, step, prefer);
}

/** What follows from the slots alone: the one asked for, the other half of an open pair, the first that is empty. */
export function followingSlot(state: JobState, step: Step, prefer?: string): Aim {
  const plain = (slot: Slot): Aim => ({ slot, as: slot.slot, n: null });
  const asked = prefer === undefined ? undefined : step.slots.find((s) => s.slot === prefer);
  if (asked) return plain(asked);
  const mine = state.readings.filter((r) => r.step === step.id);
  const count = (slot: string) => mine.filter((r) => r.slot === slot).length;
  // speed, then what is read there; the lower end of a contact, then the upper
  const first = step.slots.find((s) => s.pairsWith !== undefined);
  const second = first && step.slots.find((s) => s.slot === first.pairsWith);
  if (first && second) return plain(count(first.slot) > count(second.slot) ? second : first);
  const varied = step.slots[0]!;
  if (varied.also?.some((v) => v === prefer)) return { slot: varied, as: `${varied.slot}-${prefer}`, n: null };
  return plain(
    step.slots.find((s) => !mine.some((r) => slotOf(step, r.slot) === s)) ??
      step.slots.findLast((s) => s.repeats) ??
      step.slots[step.slots.length - 1]!
  );
}

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
  const bare = surfaceOf(state.domains, step.surface).strip?.(text) ?? { text };
  const aim = nextSlot(state, step, ('prefer' in bare ? bare.prefer : undefined) ?? prefer);
  if (!aim) return fail('takes-no-figure', 'text', { step: step.title });
  const { unit, perRevMm } = meant(aim.slot);
  const figure = readingParse({
    text: bare.text,
    quantity: aim.slot.quantity,
    defaultUnit: unit,
    ...(perRevMm ? { perRevMm } : {})
  });
  return figure.ok ? { ok: true, out: { aim, figure: figure.out, text: bare.text } } : figure;
}
