import type { Domain } from '../../job/domain.ts';
import { domain as curves } from '../curves/domain.ts';
import { sweepOpen } from '../curves/words.ts';
import { budgetText, budgetWork } from './budget-work.ts';
import { knockFinding, knockOpen, knockWork } from './knock-work.ts';
import { modelError, recurveWork } from './recurve-work.ts';
import { settle } from './settle.ts';
import { type RecurveVocabulary } from './vocabulary.ts';
import { recurveHeadline, recurveOpen, sweptAgainHeadline, targetsHeadline } from './words.ts';
import type { RecurveState } from './works.ts';

/** A curve changed on purpose: its target, the springs and stop that give it, the budget of the total, knock under load. */
export const domain: Domain<RecurveState['work'], RecurveVocabulary['school']> = {
  name: 'recurve',
  needs: [curves],
  works: {
    recurve: (c) => recurveWork(c.engine, c.r, c.works.sweeps[0] ?? null),
    model: (c) => {
      const { predicted } = c.works.recurve;
      const after = c.works.sweeps[1];
      return predicted && after ? modelError(predicted, after) : null;
    },
    budget: (c) => budgetWork(c.sheet, c.engine, c.works.sweeps, c.works.timing),
    knock: (c) => knockWork(c.engine, c.r, c.works.budget.initial?.u == null ? null : c.works.budget.initial.deg)
  },
  // set to what the search asked for, not to the data sheet's middle
  aims: (c) => ({ strobe: c.works.recurve.initialBtdc }),
  surfaces: {
    recurve: { headline: recurveHeadline, open: recurveOpen },
    targets: { headline: targetsHeadline },
    'swept-again': { headline: sweptAgainHeadline, open: sweepOpen },
    knock: { headline: (state) => knockFinding(state.work.knock), open: (state) => knockOpen(state.work.knock) }
  },
  figures: settle,
  card: (state) => {
    const said = state.sheet.steps.some((s) => s.surface === 'targets') ? budgetText(state.work.budget) : null;
    const knock = state.work.knock.heard ? knockFinding(state.work.knock) : null;
    return [
      ...(said ? [{ label: 'Budget of the total', value: said }] : []),
      ...(knock ? [{ label: 'Knock under load', value: knock }] : [])
    ];
  }
};
