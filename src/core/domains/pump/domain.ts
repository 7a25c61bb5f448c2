import { referenceOf } from '../../job/reference.ts';
import type { Aim, Domain } from '../../job/domain.ts';
import { slotOf, type Step } from '../../job/run-sheet.ts';
import { domain as crank } from '../crank/domain.ts';
import { gearWork } from './gear-slot.ts';
import { ledgerWork } from './ledger-work.ts';
import { chartWork } from './lift-chart.ts';
import { liftWork, type LiftWork } from './lift-work.ts';
import { proofWork } from './proof-work.ts';
import { settle } from './settle.ts';
import { choiceOf, numberOf, type PumpVocabulary } from './vocabulary.ts';
import {
  chartHeadline,
  chartOpen,
  gearHeadline,
  gearOpen,
  heldOpen,
  heldText,
  ledgerHeadline,
  ledgerOpen,
  liftAdvice,
  liftHeadline,
  liftOpen,
  proofAdvice,
  proofHeadline,
  proofOpen,
  torqueHeadline,
  torqueOpen,
  travelOpen,
  travelText
} from './words.ts';
import type { PumpContext, PumpState, PumpWorks } from './works.ts';
import type { CrankWorks } from '../crank/works.ts';

/** Injection pumps on an engine: by plunger lift and chart, or locked with their gear pressed on a taper. */
export const domain: Domain<PumpWorks & CrankWorks, PumpVocabulary['school']> = {
  name: 'pump',
  needs: [crank],
  works: {
    liftChart: (c) => chartWork(c.engine, c.r),
    lifts: (c) => {
      const crank = { placeAt: c.works.placeAt, uTdc: c.works.tdc.found?.uDeg ?? 0 };
      const out: Record<string, LiftWork> = {};
      for (const s of c.sheet.steps.filter((s) => s.surface === 'lift'))
        out[s.id] = liftWork(c.engine, c.r, s, c.works.liftChart, crank, Object.values(out));
      return out;
    },
    gearSlot: (c) => gearWork(c.engine, c.r, lastTimed(c)),
    gearAgain: (c) => gearWork(c.engine, c.r, proved(c)),
    ledger: (c) =>
      ledgerWork(c.engine, c.r, c.works.tdc.found?.uDeg ?? null, c.schools['offset-home'].option === 'pump'),
    proofs: (c) =>
      Object.fromEntries(
        c.sheet.steps
          .filter((s) => s.surface === 'proof')
          .map((s) => [
            s.id,
            proofWork(
              c.engine,
              c.r,
              s.id,
              s.role === 'pin-proof' ? 'pin' : 'lock',
              referenceOf(c.sheet, c.engine, c.r.readings, c.r.chosen),
              c.works.placeAt,
              c.works.tdc.found?.uDeg ?? 0
            )
          ])
      )
  },
  surfaces: {
    'lift-chart': { headline: chartHeadline, open: chartOpen },
    lift: { headline: liftHeadline, open: liftOpen, aim: liftAim, advice: liftAdvice },
    'gear-slot': { headline: gearHeadline, open: gearOpen },
    'gear-torque': { headline: torqueHeadline, open: torqueOpen },
    ledger: { headline: ledgerHeadline, open: ledgerOpen },
    proof: { headline: proofHeadline, open: proofOpen, advice: proofAdvice },
    'element-section': {
      headline: (s, v, len) => travelText(s, v) ?? heldText(s, v, len),
      open: (s, v) => travelOpen(s, v) ?? heldOpen(s, v)
    }
  },
  schools: {
    'pump-method': () => ({ option: 'spill', because: 'the event itself is seen on the bench' }),
    'offset-home': (e) =>
      numberOf(e, 'gearOffsetBtdc')
        ? { option: 'shared', because: 'the data sheet has an offset of the gear' }
        : { option: 'pump', because: 'one term keeps the ledger plain, as far as the slot reaches' },
    'pump-cover': () => ({ option: 'access', because: 'it strips least where the engine stands in its place' })
  },
  interlocks: (c) =>
    c.sheet.steps.some((s) => s.surface === 'lift') && c.works.liftChart.kind === null ? ['IL.56'] : [],
  figures: settle,
  card: (state) => {
    const code = choiceOf(state.engine, 'chartCode');
    const kind = state.work.liftChart.kind;
    return state.sheet.steps.some((s) => s.surface === 'lift') && code
      ? [
          {
            label: 'Timed by',
            value: `${code}, ${kind === 'lift-at-tdc' ? 'lift standing at TDC' : kind ? 'one lift to port closure' : 'what its lift means is not known'}`
          }
        ]
      : [];
  }
};

/** The last cycle that gave a timing before the gear was touched: what is corrected by it. */
const lastTimed = (c: PumpContext) =>
  c.sheet.steps
    .filter((s) => s.surface === 'lift' && s.role !== 'lift-proof')
    .map((s) => c.works.lifts[s.id]!)
    .findLast((w) => w.timing) ?? null;

/** The cycle that proves the gear: what is set again by it. */
const proved = (c: PumpContext) =>
  c.sheet.steps
    .filter((s) => s.role === 'lift-proof')
    .map((s) => c.works.lifts[s.id]!)
    .findLast((w) => w.timing) ?? null;

/** Backed until it rests, zeroed and let fall once more, forward to the lift, and then the crank is read. */
function liftAim(state: PumpState, step: Step, prefer?: string): Aim | null {
  const w = state.work.lifts[step.id]!;
  const next = !w.base ? 'falling' : (w.zero?.n ?? 0) < ZEROS ? 'zero-again' : w.standsWanted ? 'stands' : 'lift';
  const slot = slotOf(step, prefer ?? next);
  return slot ? { slot, as: prefer ?? next, n: null } : null;
}
/** Readings of the zero that show whether it comes back. */
const ZEROS = 2;
