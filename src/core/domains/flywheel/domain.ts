import type { Correction, Domain } from '../../job/domain.ts';
import { domain as crank } from '../crank/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import { settled } from './figures.ts';
import { flywheelWork } from './flywheel-work.ts';
import type { FlywheelVocabulary } from './vocabulary.ts';
import {
  heightHeadline,
  heightOpen,
  lockedAdvice,
  lockedHeadline,
  lockedOpen,
  marksAdvice,
  marksHeadline,
  marksOpen,
  matchedHeadline,
  matchedOpen,
  stopAdvice,
  stopHeadline,
  stopOpen
} from './words.ts';
import type { FlywheelContext, FlywheelState, FlywheelWorks } from './works.ts';

/** A two-stroke of several cylinders: each one's mark by piston height, leads matched, the full-throttle stop. */
export const domain: Domain<FlywheelWorks & CrankWorks, FlywheelVocabulary['school']> = {
  name: 'flywheel',
  needs: [crank],
  works: { flywheel: (c) => flywheelWork(c.engine, c.r, c.works.tdc.found) },
  corrects: (c) => markOfOne(c),
  surfaces: {
    'piston-height': { headline: (s, _, len) => heightHeadline(s, len), open: (s) => heightOpen(s) },
    flywheel: { headline: (s) => marksHeadline(s), open: (s) => marksOpen(s), advice: (s) => marksAdvice(s) },
    matched: { headline: (s) => matchedHeadline(s), open: (s) => matchedOpen(s) },
    'stop-screw': { headline: (s) => stopHeadline(s), open: (s) => stopOpen(s), advice: (s) => stopAdvice(s) },
    'stop-locked': { headline: lockedHeadline, open: (s) => lockedOpen(s), advice: (s) => lockedAdvice(s) }
  },
  schools: {
    'twostroke-check': () => ({ option: 'all', because: 'spacing is then proved and not assumed' })
  },
  figures: (state: FlywheelState) => {
    const w = state.work.flywheel;
    const worst = w.rows.reduce((most, x) => Math.max(most, Math.abs(x.errorDeg ?? 0)), 0);
    return w.state === null
      ? []
      : [
          settled('flywheel-marks', {
            value: worst,
            u: w.uDeg,
            verdict: w.state,
            limits: `\u00b1 ${w.withinDeg}°`,
            calc: 'flywheel.marks',
            output: w.rows.map(({ cylinder, errorDeg, errorMm }) => ({ cylinder, errorDeg, errorMm }))
          })
        ];
  }
};

/** Once the mark of cylinder one was measured the strobe reads on it, and its error is taken off. */
function markOfOne({ works }: FlywheelContext): Correction | undefined {
  const { rows, fromTdc } = works.flywheel;
  const one = rows.find((x) => x.cylinder === 1);
  return fromTdc && one && one.errorDeg !== null && one.uDeg !== null
    ? { errorDeg: one.errorDeg, uDeg: one.uDeg }
    : undefined;
}
