import type { Domain } from '../../job/domain.ts';
import { domain as crank } from '../crank/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import { settled } from './figures.ts';
import { handStart, magnetoWork } from './magneto-work.ts';
import type { MagnetoVocabulary } from './vocabulary.ts';
import {
  couplingAdvice,
  couplingHeadline,
  couplingOpen,
  lagText,
  runAdvice,
  runHeadline,
  runOpen,
  snapAdvice,
  snapHeadline,
  snapOpen
} from './words.ts';
import type { MagnetoState, MagnetoWorks } from './works.ts';

/** A magneto with an impulse coupling: its drive, its snap, its running spark. */
export const domain: Domain<MagnetoWorks & CrankWorks, MagnetoVocabulary['school']> = {
  name: 'magneto',
  needs: [crank],
  works: { magneto: (c) => magnetoWork(c.engine, c.r, c.works.mark) },
  surfaces: {
    coupling: {
      headline: (s) => couplingHeadline(s),
      open: (s) => couplingOpen(s),
      advice: (s) => couplingAdvice(s)
    },
    snap: { headline: snapHeadline, open: snapOpen, advice: snapAdvice },
    'run-spark': { headline: (s) => runHeadline(s), open: (s) => runOpen(s), advice: (s) => runAdvice(s) }
  },
  schools: {
    'magneto-marks': () => ({ option: 'coupling', because: 'a mark proves nothing before its partner is seen' })
  },
  interlocks: ({ works: { magneto }, r }) =>
    r.chosen.get('start-by') === 'hand' && (magneto.lag?.kickback || handStart(magneto) !== 'fit') ? ['IL.99'] : [],
  figures: (state: MagnetoState) => {
    const { snap, snapAfter, run, coupling } = state.work.magneto;
    const heard = snapAfter ?? snap;
    return [
      ...(coupling?.tooth
        ? [
            settled('coupling-left', {
              value: Math.abs(coupling.tooth.leftDeg),
              calc: 'magneto.coupling',
              output: coupling
            })
          ]
        : []),
      ...(heard
        ? [
            settled('snap', {
              value: heard.value,
              u: heard.u,
              verdict: heard.verdict?.state ?? null,
              limits: { min: heard.min, max: heard.max },
              calc: 'magneto.lag',
              output: heard
            })
          ]
        : []),
      ...(run
        ? [
            settled('run-spark', {
              value: run.value,
              u: run.u,
              verdict: run.verdict?.state ?? null,
              limits: { min: run.min, max: run.max },
              calc: 'gauge.combine',
              output: run
            })
          ]
        : [])
    ];
  },
  card: (state: MagnetoState) => {
    const text = lagText(state);
    return text && state.sheet.steps.some((s) => s.surface === 'snap')
      ? [{ label: 'At starting speed', value: text }]
      : [];
  }
};
