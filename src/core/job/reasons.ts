import type { EventOf } from './events.ts';
import type { Step } from './run-sheet.ts';

/** What the reasons given at a step let go: each what it was given for, and nothing else. */
export interface Reasons {
  /** states that it may lack, or have */
  flags: ReadonlySet<string>;
  rules: ReadonlySet<string>;
  /** whether it may be gone on from although this is left open */
  open: (what: string) => boolean;
  /** the reasons themselves, in order; null without any */
  said: string | null;
}

type Given = readonly EventOf<'override'>[];

export function reasonsAt(overrides: Given, step: Step): Reasons {
  const mine = overrides.filter((o) => o.step === step.id);
  const opens = new Set(mine.map((o) => o.open));
  // logs of before kept a reason for what was left open as the states that the step gives, whatever was open
  const any = mine.some((o) => o.open === undefined && o.flags.some((f) => givenFor(step).includes(f)));
  return {
    flags: new Set(mine.flatMap((o) => o.flags)),
    rules: new Set(mine.flatMap((o) => o.rules ?? [])),
    open: (what) => any || opens.has(what),
    said: mine.length ? mine.map((o) => o.reason).join('; ') : null
  };
}
const givenFor = (step: Step): readonly string[] => (step.sets.length ? step.sets : ['tdc-true']);
