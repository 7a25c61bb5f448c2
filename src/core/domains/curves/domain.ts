import type { Domain } from '../../job/domain.ts';
import { wanderOf } from '../stack/wander.ts';
import { domain as timing } from '../timing/domain.ts';
import { sweepDoubt } from './doubts.ts';
import { lobesFinding, lobesWork } from './lobes-work.ts';
import { scatterWork, type DriveWander } from './scatter-work.ts';
import { settle } from './settle.ts';
import { sweepWork } from './sweep-work.ts';
import { vacuumFinding, vacuumOpen, vacuumWork } from './vacuum-work.ts';
import { numberOf, type CurvesVocabulary } from './vocabulary.ts';
import { scatterHeadline, scatterOpen, sweepHeadline, sweepOpen } from './words.ts';
import type { CurvesContext, CurvesState } from './works.ts';

/** Sweeps, scatter at steady speeds, vacuum, the spacing of the sparks. */
export const domain: Domain<CurvesState['work'], CurvesVocabulary['school']> = {
  name: 'curves',
  needs: [timing],
  interlocks: (c) => (c.works.sweeps.findLast((s) => s.total)?.total?.verdict?.state === 'out' ? ['IL.33'] : []),
  works: {
    sweeps: (c) =>
      c.sheet.steps
        .filter((s) => s.slots.some((x) => x.slot === 'sweep-rpm'))
        .map((s) => sweepWork(c.engine, c.r, s.id, c.works.mark)),
    lobes: (c) => lobesWork(c.engine, c.r),
    vacuum: (c) => vacuumWork(c.engine, c.r),
    scatter: (c) => scatterWork(c.engine, c.r, wander(c))
  },
  surfaces: {
    sweep: { headline: sweepHeadline, open: sweepOpen },
    scatter: { headline: scatterHeadline, open: scatterOpen },
    lobes: {
      headline: (state) => lobesFinding(state.work.lobes),
      open: (state) => {
        const { out, rows, count, verdict } = state.work.lobes;
        if (!out) return count ? `${rows.length} of ${count} firing points are read` : 'the firing order is not known';
        if (verdict?.state === 'unsure') return 'the spacing is too close to call: read the points finer';
        return verdict?.state === 'in' ? null : 'the sparks are not evenly spaced';
      }
    },
    vacuum: {
      headline: (state) => vacuumFinding(state.work.vacuum),
      open: (state) => vacuumOpen(state.work.vacuum)
    }
  },
  schools: {
    vacuum: () => ({ option: 'ported', because: 'the initial timing is then read plainly at idle' }),
    'adv-free': () => ({ option: 'bench', because: 'it is certain, and wear is seen' }),
    'mark-scale': () => ({ option: 'tape', because: 'it needs no instrument but the strobe' })
  },
  figures: settle,
  doubts: { 'sweep-deg': sweepDoubt }
};

/** What float and backlash let the timing wander: by this job's float, else by the last that was measured. */
function wander(c: CurvesContext): DriveWander | null {
  const float = c.engine.earlier?.['float'];
  const w = float ? wanderOf(c.engine, float.value) : null;
  // a backlash that nobody gave is none of the sum, and is said to be missing from it
  const by =
    numberOf(c.engine, 'backlashMm') === undefined
      ? 'the float alone, its backlash not on the data sheet,'
      : 'the play of float and backlash';
  return w ? { deg: w.totalCrankDeg, by, at: float!.at } : null;
}
