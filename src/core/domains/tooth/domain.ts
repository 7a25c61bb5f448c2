import type { Domain } from '../../job/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import { domain as distributor } from '../distributor/domain.ts';
import { settled } from './figures.ts';
import { riskFinding, riskOpen, riskWork } from './risk-work.ts';
import { toothWork } from './tooth-work.ts';
import { choiceOf, type ToothVocabulary } from './vocabulary.ts';
import { witnessWork } from './witness-work.ts';
import {
  dropHeadline,
  faultHeadline,
  faultOpen,
  shaftHeadline,
  shaftOpen,
  toothAdvice,
  toothHeadline,
  toothOpen,
  witnessHeadline,
  witnessOpen
} from './words.ts';
import type { ToothWorks } from './works.ts';

/** Which tooth, where to point, when the oil-pump drive falls in; witness marks. */
export const domain: Domain<ToothWorks & CrankWorks, ToothVocabulary['school']> = {
  name: 'tooth',
  needs: [distributor],
  works: {
    tooth: (c) => toothWork(c.engine, c.sheet.reference, c.r, c.works.placeAt),
    witness: (c) => witnessWork(c.engine, c.r),
    risk: (c) => riskWork(c.r)
  },
  surfaces: {
    cap: {},
    tooth: { headline: toothHeadline, open: toothOpen, advice: toothAdvice },
    drop: { headline: dropHeadline },
    shaft: { headline: shaftHeadline, open: shaftOpen },
    fault: { headline: faultHeadline, open: faultOpen },
    'shaft-risk': { headline: (state) => riskFinding(state.work.risk), open: riskOpen },
    witness: { headline: witnessHeadline, open: witnessOpen }
  },
  schools: {
    'helix-entry': (e) =>
      choiceOf(e, 'gearHand') === undefined
        ? { option: 'trial', because: 'the data sheet does not say the hand of the helix' }
        : { option: 'led', because: 'the hand of the helix is known, and the swing is read on lifting out' },
    'index-order': () => ({ option: 'engine-first', because: 'rotor and housing then end where there is room' }),
    'oil-drive': () => ({ option: 'tool', because: 'it keeps the crank at the reference' }),
    prime: () => ({ option: 'bore', because: 'the pump shaft is looked for in this bore: it is driven through it' }),
    'shaft-in-place': (_, __, r) => {
      const w = riskWork(r);
      if (w.mustSplit) return { option: 'split', because: w.mustSplit };
      if (w.expected !== null && w.expected < w.hoursSplit!)
        return {
          option: 'in-place',
          because: `${w.expected.toFixed(1)} hours to expect against ${w.hoursSplit}, rings counted; never go on past the first resistance`
        };
      return {
        option: 'split',
        because: 'it is the safe way as soon as a ring is uncertain; try to live with it first where there is room'
      };
    }
  },
  figures: ({ work: { tooth } }) =>
    tooth.index?.best
      ? [
          settled('tooth', {
            value: tooth.index.best.score,
            calc: 'drive.index',
            input: { arc: tooth.arc, observed: tooth.observed?.bearingDeg },
            output: tooth.index.best
          })
        ]
      : []
};
