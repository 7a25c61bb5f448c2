import type { Domain } from '../../job/domain.ts';
import { judgedBy, lengthLimits, lengthPm, verdictOpen } from '../../job/texts.ts';
import { domain as stack } from '../stack/domain.ts';
import type { StackWorks } from '../stack/works.ts';
import { domain as tooth } from '../tooth/domain.ts';
import { settled } from './figures.ts';
import { ringsWork } from './rings-work.ts';
import type { RingsVocabulary } from './vocabulary.ts';
import type { RingsWorks } from './works.ts';

/** Thrust rings under a drive shaft. */
export const domain: Domain<RingsWorks & StackWorks, RingsVocabulary['school']> = {
  name: 'rings',
  needs: [stack, tooth],
  works: { rings: (c) => ringsWork(c.engine, c.r) },
  surfaces: {
    rings: {
      headline: (state, _v, len) => {
        const { height, minMm, maxMm } = state.work.rings;
        return height?.verdict
          ? `Shaft height ${lengthPm(len, height.mm, height.uMm, 2)}: ${judgedBy(height.verdict.state, lengthLimits(len, minMm, maxMm))}`
          : null;
      },
      open: (state) => verdictOpen('the height of the shaft', state.work.rings.height?.verdict?.state)
    }
  },
  figures: ({ work: { rings } }) =>
    rings.height
      ? [
          settled('shaft-height', {
            value: rings.height.mm,
            u: rings.height.uMm,
            verdict: rings.height.verdict?.state ?? null,
            limits: { min: rings.minMm, max: rings.maxMm },
            calc: 'stack.pick',
            input: { rings: rings.rings.map((p) => p.name) },
            output: rings.height
          })
        ]
      : []
};
