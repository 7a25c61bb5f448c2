import { lengthPm } from '../../job/words.ts';
import { add } from '../../job/figures.ts';
import { ringsWork } from './rings-work.ts';
import type { JobState, StepView } from '../../job/state.ts';
import type { Domain } from '../../job/domain.ts';
import { asks, VERDICT_WORD, verdictOpen } from '../../job/said.ts';

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
      open: (state, v) =>
        ringsLeft(state, v) ?? verdictOpen('the height of the shaft', state.work.rings.height?.verdict?.state)
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

/** Where rings are counted out of an engine: those that the count lacks lie in the case. */
function ringsLeft(state: JobState, v: StepView): string | null {
  if (!asks(v, 'ring-count')) return null;
  const count = (here: boolean) =>
    state.readings.findLast((r) => r.slot === 'ring-count' && (r.step === v.step.id) === here)?.value;
  const [drawn, out] = [count(false), count(true)];
  if (drawn === undefined || out === undefined || drawn === out) return null;
  return out < drawn
    ? `${out} of ${drawn} rings are out, the others lie in the case: magnet and lamp`
    : `${out} rings came out where ${drawn} were drawn`;
}
