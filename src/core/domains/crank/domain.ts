import { cycleEvidence } from '../../calculations/cycle/cycle-evidence.ts';
import type { Domain } from '../../job/domain.ts';
import { referenceOf } from '../../job/reference.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { domain as engine } from '../engine/domain.ts';
import { crankPlace } from './crank-place.ts';
import { doubts } from './doubts.ts';
import { earlierMark, markError } from './mark-work.ts';
import { middles } from './middles.ts';
import { replays } from './replays.ts';
import { settle } from './settle.ts';
import { surfaces } from './surfaces.ts';
import { tdcWork } from './tdc-work.ts';
import { choiceOf, type CrankVocabulary } from './vocabulary.ts';
import type { CrankContext, CrankWorks } from './works.ts';

/** Crank and piston: true TDC, the damper's mark, the stroke, where the crank stands and how to turn it. */
export const domain: Domain<CrankWorks, CrankVocabulary['school']> = {
  name: 'crank',
  needs: [engine],
  works: {
    tdc: (c) =>
      tdcWork(
        c.engine,
        c.r.readings,
        c.schools.tdc.option,
        c.sheet.steps.find((s) => s.surface === 'tdc')?.id,
        () => c.works.fit
      ),
    mark: (c) =>
      c.sheet.steps.some((s) => s.surface === 'tdc') ? markError(c.works.tdc, c.engine) : earlierMark(c.engine),
    signs: (c) => [...c.r.signs].map(([kind, seen]) => ({ kind, seen })),
    evidence: (c) => (c.works.signs.length > 0 ? cycleEvidence({ evidence: c.works.signs, prior: 0.5 }) : null),
    crank: (c) => place(c),
    placeAt: (c) => (seq: number) => place(c, seq)
  },
  surfaces,
  interlocks: (c) => [...(oneSign(c) ? ['IL.11'] : []), ...(steppedBack(c) ? ['IL.13'] : [])],
  schools: {
    tdc: () => ({ option: 'pairs', because: 'it cancels the flat top and forces nothing' }),
    overshoot: (e) =>
      choiceOf(e, 'reversal') === 'forbidden'
        ? { option: 'forward', because: 'the data sheet forbids turning back' }
        : { option: 'backUp', because: 'turning back is not forbidden on the data sheet, and both ways end forward' },
    compression: () => ({
      option: 'valves',
      because: 'on a fresh build the covers are off, and the valves beat any pressure sign'
    })
  },
  figures: settle,
  repeats: middles,
  doubts,
  replays
};

/** Signs were given, and they are one alone. */
const oneSign = (c: CrankContext): boolean => c.works.signs.length === 1 && !c.r.signsStale;

/** Last moved backward, and standing on the reference within half a division of a wheel. */
function steppedBack(c: CrankContext): boolean {
  const { crankDeg, lastMove } = c.works.crank;
  const btdc = referenceOf(c.sheet, c.engine, c.r.readings);
  if (crankDeg === null || lastMove !== 'backward' || btdc === undefined) return false;
  return Math.abs(wrap180(crankDeg + btdc)) <= ON_IT_DEG;
}
const ON_IT_DEG = 1;

const place = (c: CrankContext, untilSeq?: number) =>
  crankPlace(c.engine, referenceOf(c.sheet, c.engine, c.r.readings), c.r, c.works.tdc, c.works.evidence, untilSeq);
