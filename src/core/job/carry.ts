import type { JobState } from './domain.ts';
import type { EventBody, Origin } from './events.ts';
import { slotOf, type RunSheet } from './run-sheet.ts';

/** What a job that follows takes over from the one before it: readings and answers as events of the new job. */
export type Carried = Extract<EventBody, { kind: 'reading' | 'choose' }>;

/**
 * What a run sheet takes over from a job that led to it: readings whose slot says that it carries from one of the earlier
 * job's slots, and answers to questions that both ask and that carry. Each keeps its gauge and says where it comes from; whoever
 * takes the job over may amend it. Nothing is marked done by it. The same sheet takes nothing from itself.
 */
export function carriedOver(before: JobState, origin: Omit<Origin, 'at' | 'by'>, to: RunSheet): Carried[] {
  if (before.sheet.id === to.id) return [];
  return [...readings(before, origin, to), ...answers(before, origin, to)];
}

function readings(before: JobState, origin: Omit<Origin, 'at' | 'by'>, to: RunSheet): Carried[] {
  const taken = new Set<string>();
  return to.steps.flatMap((step) =>
    step.slots.flatMap((slot) => {
      if (slot.carries === undefined || taken.has(slot.carries)) return [];
      taken.add(slot.carries);
      return before.readings
        .filter((r) => r.slot === slot.carries && r.quantity === slot.quantity)
        .map((r): Carried => {
          const { text, unit, value, resolution, gauge, quantity } = r;
          const from = r.from ?? { ...origin, at: r.at, by: r.by.name };
          return {
            kind: 'reading',
            step: step.id,
            slot: slot.slot,
            quantity,
            text,
            unit,
            value,
            resolution,
            gauge,
            from
          };
        });
    })
  );
}

function answers(before: JobState, origin: Omit<Origin, 'at' | 'by'>, to: RunSheet): Carried[] {
  const { chosen } = before.replayed;
  const last = { at: before.replayed.last?.at ?? '', by: before.replayed.last?.by.name ?? '' };
  return to.steps
    .flatMap((s) => s.choices)
    .flatMap((c): Carried[] => {
      const option = chosen.get(c.id);
      return c.carries && option !== undefined && c.options.some((o) => o.id === option)
        ? [{ kind: 'choose', school: c.id, option, from: { ...origin, ...last } }]
        : [];
    });
}

/**
 * What is carried, in words, the readings of one place together:
 * `float at the gear, push and pull: 0.44 mm, 0.45 mm`.
 */
export function labelsOfCarried(carried: readonly Carried[], to: RunSheet): string[] {
  const told = new Map<string, string[]>();
  for (const c of carried) {
    const [what, answer] = c.kind === 'reading' ? readingTold(c, to) : answerTold(c, to);
    told.set(what, [...(told.get(what) ?? []), answer]);
  }
  return [...told].map(([what, answers]) => what + answers.join(', '));
}

function readingTold(c: Extract<Carried, { kind: 'reading' }>, to: RunSheet): [what: string, answer: string] {
  const step = to.steps.find((s) => s.id === c.step);
  const unit = /[a-z°]/i.test(c.text) || c.quantity === 'count' ? '' : ` ${c.unit}`;
  return [`${(step && slotOf(step, c.slot)?.label) ?? c.slot}: `, c.text + unit];
}

function answerTold(c: Extract<Carried, { kind: 'choose' }>, to: RunSheet): [what: string, answer: string] {
  const asked = to.steps.flatMap((s) => s.choices).find((x) => x.id === c.school);
  return [`${asked?.question ?? c.school} `, asked?.options.find((o) => o.id === c.option)?.label ?? c.option];
}
