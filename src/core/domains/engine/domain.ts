import { judgedHeadline, judgedOpen } from '../../job/judged.ts';
import { somethingMissing } from '../../job/tally.ts';
import type { Domain } from '../../job/domain.ts';
import type { EngineVocabulary } from './vocabulary.ts';

/** The engine as it stands before you: isolated, turned by hand, covered; and steps that need no working of their own. */
export const domain: Domain<object, EngineVocabulary['school']> = {
  name: 'engine',
  needs: [],
  works: {},
  surfaces: {
    plain: {},
    parts: {},
    sheet: {},
    close: {},
    judged: { headline: judgedHeadline, open: judgedOpen }
  },
  // a part that the count lacks is missing, whether or not somebody says so
  interlocks: (c) => (somethingMissing({ sheet: c.sheet, readings: c.r.readings }) ? ['IL.05'] : []),
  schools: { turning: () => ({ option: 'socket', because: 'it is safe for the thread and turns both ways' }) }
};
