import { lengthPm } from '../words.ts';
import { add } from '../figures.ts';
import { ringsWork } from '../drive/rings-work.ts';
import type { Domain } from './domain.ts';
import { VERDICT_WORD, verdictOpen } from './said.ts';

/** Thrust rings under a drive shaft. */
export const ringsDomain: Domain = {
  name: 'rings',
  works: { rings: (c) => ringsWork(c.engine, c.r) },
  surfaces: {
    rings: {
      headline: (state, _v, len) => {
        const { height } = state.work.rings;
        return height?.verdict
          ? `Shaft height ${lengthPm(len, height.mm, height.uMm, 2)}: ${VERDICT_WORD[height.verdict.state]}`
          : null;
      },
      open: (state) => verdictOpen('the height of the shaft', state.work.rings.height?.verdict?.state)
    }
  },
  figures: ({ rings }) =>
    rings.height
      ? [
          add({
            key: 'shaft-height',
            label: 'Drive shaft height',
            value: rings.height.mm,
            u: rings.height.uMm,
            kind: 'length',
            verdict: rings.height.verdict?.state ?? null,
            calc: 'stack.pick',
            input: { rings: rings.rings.map((p) => p.name) },
            output: rings.height
          })
        ]
      : []
};
