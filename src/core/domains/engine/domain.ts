import { judgedHeadline, judgedOpen } from '../../job/judged.ts';
import { somethingMissing } from '../../job/tally.ts';
import { lastOf } from '../../job/readings.ts';
import type { Domain, JobState, StepView } from '../../job/domain.ts';
import type { EngineVocabulary } from './vocabulary.ts';

/**
 * What the figures of a step without workings of its own leave open: one outside its limits, and an oil pressure of nothing,
 * whatever was ticked.
 */
function plainOpen(state: JobState, v: StepView): string | null {
  const pressure = v.step.sets.includes('oil-pressure-up')
    ? v.step.slots.find((s) => s.quantity === 'pressure')
    : undefined;
  const read = pressure && lastOf(state.readings, pressure.slot);
  if (read && read.value <= 0)
    return 'the gauge shows no oil pressure: stop it at once; look for an oil drive that is not engaged, and prime again';
  return judgedOpen(state, v);
}

/** The engine as it stands before you: isolated, turned by hand, covered; and steps that need no working of their own. */
export const domain: Domain<object, EngineVocabulary['school']> = {
  name: 'engine',
  needs: [],
  works: {},
  surfaces: {
    plain: { open: plainOpen },
    parts: { open: plainOpen },
    sheet: {},
    close: {},
    judged: { headline: judgedHeadline, open: judgedOpen }
  },
  // a part that the count lacks is missing, whether or not somebody says so
  interlocks: (c) => (somethingMissing({ sheet: c.sheet, readings: c.r.readings }) ? ['IL.05'] : []),
  schools: { turning: () => ({ option: 'socket', because: 'it is safe for the thread and turns both ways' }) }
};
