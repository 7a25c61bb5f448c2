import type { JobEvent } from './events.ts';
import type { RunSheet, Way } from './run-sheet.ts';

/**
 * The trades without which a job cannot be shown as it stands: those of the steps up to the one in hand, of every step
 * that the log speaks of, and of the instrument beside the work. What a later trade would work out rests on readings
 * that nobody took yet, so a screen may fetch it afterwards; what works out one way alone, where that was chosen.
 */
export function tradesNeeded(sheet: RunSheet, log: readonly JobEvent[], inHand: number): string[] {
  const steps = new Set(sheet.steps.slice(0, inHand + 1).map((s) => s.id));
  for (const e of log) if ('step' in e && e.step !== undefined) steps.add(e.step);
  const choices = log.filter((e) => e.kind === 'choose');
  // a choice of a way names its school and no step: whoever has the school may work with it
  const ways = new Set(choices.map((e) => e.school));
  for (const s of sheet.steps)
    if (s.schools.some((x) => ways.has(x)) || s.choices.some((c) => !c.proves && ways.has(c.id))) steps.add(s.id);
  const chosen = (w: Way) => choices.some((e) => e.school === w.school && e.option === w.option);
  const asked = new Set(['engine', 'crank', sheet.panel, ...[...steps].flatMap((s) => tradesAt(sheet, s, chosen))]);
  return sheet.domains.filter((d) => asked.has(d));
}

/** The trades that a step is worked out with, given which ways are taken. */
export const tradesAt = (sheet: RunSheet, stepId: string, taken: (way: Way) => boolean): string[] =>
  (sheet.tradesOf[stepId] ?? []).filter((t) => {
    const only = sheet.onlyFor[t];
    return !only || taken(only);
  });
