import type { Domain } from '../../job/domain.ts';
import { domain as distributor } from '../distributor/domain.ts';
import { gapDoubt } from './doubts.ts';
import { lastPatch, patchFinding, patchWork } from './patch-work.ts';
import { replays } from './replays.ts';
import { settle } from './settle.ts';
import { stackWork } from './stack-work.ts';
import type { StackVocabulary } from './vocabulary.ts';
import { patchOpen, stackHeadline, stackOpen } from './words.ts';
import type { StackWorks } from './works.ts';

/** End float, packing, depth, and the contact pattern. */
export const domain: Domain<StackWorks, StackVocabulary['school']> = {
  name: 'stack',
  needs: [distributor],
  works: {
    stack: (c) => stackWork(c.engine, c.r),
    patches: (c) => patchWork(c.engine, c.r)
  },
  surfaces: {
    stack: { headline: stackHeadline, open: stackOpen },
    patch: {
      headline: (state, _, len) => {
        const row = lastPatch(state.work.patches);
        return row?.problem ?? (row?.pattern ? patchFinding(row.pattern, len) : null);
      },
      open: patchOpen
    }
  },
  schools: {
    'float-target': () => ({ option: 'centre', because: 'it leaves room both ways' }),
    sealant: () => ({ option: 'dry', because: 'the float is then what the sum says' })
  },
  figures: settle,
  interlocks: (c) => (c.sheet.steps.some((s) => s.surface === 'stack') && c.works.stack.clamped ? ['IL.float'] : []),
  doubts: { gap: gapDoubt },
  replays
};
