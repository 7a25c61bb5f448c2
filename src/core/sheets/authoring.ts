import type { AllWords } from '../domains/list.ts';
import * as capSteps from '../domains/cap/steps.ts';
import * as crankSteps from '../domains/crank/steps.ts';
import * as curvesSteps from '../domains/curves/steps.ts';
import * as distributorSteps from '../domains/distributor/steps.ts';
import * as engineSteps from '../domains/engine/steps.ts';
import * as gearsSteps from '../domains/gears/steps.ts';
import * as pumpSteps from '../domains/pump/steps.ts';
import * as receivedSteps from '../domains/received/steps.ts';
import * as stackSteps from '../domains/stack/steps.ts';
import * as timingSteps from '../domains/timing/steps.ts';
import * as toothSteps from '../domains/tooth/steps.ts';
import { completeStep, type Fit, type OnlyIf, type SheetPlan, type Step, type StepChoice } from '../job/run-sheet.ts';
import type { StepText, Use } from '../job/vocabulary.ts';

/** Steps that are shared, as a sheet uses them: it may narrow them with the words of all trades. */
type Shared<M> = { [K in keyof M]: M[K] extends (u: Use) => Step ? (u: Use<AllWords>) => Step : M[K] };
const shared = <M extends object>(steps: M): Shared<M> => steps as Shared<M>;

export const engine = shared(engineSteps);
export const crank = shared(crankSteps);
export const distributor = shared(distributorSteps);
export const timing = shared(timingSteps);
export const stack = shared(stackSteps);
export const tooth = shared(toothSteps);
export const gears = shared(gearsSteps);
export const cap = shared(capSteps);
export const curves = shared(curvesSteps);
export const pump = shared(pumpSteps);
export const received = shared(receivedSteps);

/** A step of one sheet alone. */
export const step = (s: StepText<AllWords> & Use<AllWords>): Step => completeStep(s);

/** What was found of a part that is looked at: put down where it is seen. One that is worn does not go back by itself. */
export const looked = (id: string, part: AllWords['part'], question: string, why: string): StepChoice => ({
  id,
  part,
  question,
  options: [
    { id: 'sound', label: 'sound' },
    {
      id: 'worn',
      label: 'worn',
      holds: `${question.toLowerCase()} worn: ${why}; take a new one, or say why it goes back`
    },
    { id: 'new', label: 'a new one' }
  ]
});

/** Asked where weights are tried; a locked or electronic distributor has none, and nothing of them is asked. */
export const weightsAsked: OnlyIf = {
  fact: 'hasWeights',
  question: 'Does it advance by weights?',
  yes: 'By weights',
  no: 'Locked, or a control unit',
  field: { name: 'advanceKind', yes: 'weights' }
};

/** For engines whose firing a distributor times. */
export const BY_DISTRIBUTOR: Fit = {
  field: 'firedBy',
  is: ['distributor'],
  otherwise: 'its firing is timed by $, not by a distributor'
};

/** For engines whose firing an injection pump times. */
export const BY_PUMP: Fit = {
  field: 'firedBy',
  is: ['pump'],
  otherwise: 'its firing is timed by $, not by an injection pump'
};

type Plan = Omit<SheetPlan, 'begins' | 'reference'> & { begins: AllWords['flag'][]; reference?: AllWords['field'] };
export const sheet = (s: Plan): SheetPlan => s;
