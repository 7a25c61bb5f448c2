import type { Domain, StepView } from '../../job/domain.ts';
import { list } from '../../job/texts.ts';
import { domain as engine } from '../engine/domain.ts';
import { fuelWay, SCREWS } from './fuel-way.ts';
import { observed, pointsTo } from './points-to.ts';
import type { BleedingVocabulary } from './vocabulary.ts';
import type { BleedingState, BleedingWorks } from './works.ts';

/** Bleeding a diesel, its stops, its first start and what smoke, sound and pull say of it. */
export const domain: Domain<BleedingWorks, BleedingVocabulary['school']> = {
  name: 'bleeding',
  needs: [engine],
  works: {
    fuelWay: (c) => fuelWay(c.engine, c.r),
    pointed: (c) => pointsTo(c.r.chosen)
  },
  surfaces: {
    'fuel-way': { headline: wayHeadline, open: wayOpen },
    stops: { headline: stopsHeadline, open: stopsOpen },
    'first-run': { headline: runHeadline, open: runOpen },
    leaks: { headline: leaksHeadline, open: leaksOpen }
  },
  card: (state: BleedingState) =>
    state.work.pointed.length && state.sheet.steps.some((s) => s.surface === 'first-run')
      ? [
          {
            label: 'Smoke, sound and pull point to',
            value: state.work.pointed
              .slice(0, 3)
              .map((p) => `${p.name} (next: ${p.check})`)
              .join('; ')
          }
        ]
      : []
};

const isLow = (v: StepView) => v.step.slots.some((s) => s.slot === 'screw-clear');

function wayHeadline(state: BleedingState, v: StepView): string | null {
  const w = state.work.fuelWay;
  if (isLow(v)) {
    if (w.outOfOrder !== null) return `Screw ${w.outOfOrder} before the one ahead of it: go back, air follows the flow`;
    return w.screws.length ? `${w.screws.length} of ${SCREWS} screws run clear` : null;
  }
  const solid = w.lines.filter((l) => l.solid).map((l) => String(l.cylinder));
  const open = w.lines.filter((l) => !l.solid).map((l) => String(l.cylinder));
  if (w.strange.length) return `There is no cylinder ${w.strange[0]}`;
  if (!solid.length) return null;
  return open.length
    ? `Solid: ${list(solid)}; still spitting air: ${list(open)}`
    : 'Every line runs solid: tighten them all';
}

function wayOpen(state: BleedingState, v: StepView): string | null {
  const w = state.work.fuelWay;
  if (isLow(v)) {
    if (w.outOfOrder !== null) return 'a screw was bled before the one ahead of it';
    const n = new Set(w.screws).size;
    return n < SCREWS ? `${n} of ${SCREWS} bleed screws run clear` : null;
  }
  if (w.strange.length) return `there is no cylinder ${w.strange[0]}`;
  const open = w.lines.filter((l) => !l.solid).map((l) => String(l.cylinder));
  return open.length ? `the lines of ${list(open)} do not run solid` : null;
}

const stops = (state: BleedingState) => ['stop-one', 'stop-two'].map((q) => state.replayed.chosen.get(q));

function stopsHeadline(state: BleedingState): string | null {
  const [one, two] = stops(state);
  if (one === undefined || two === undefined) return null;
  return one === two
    ? 'One and the same way twice: try a second that does not depend on it'
    : 'Two ways of stopping it, each tried by itself';
}

function stopsOpen(state: BleedingState): string | null {
  const [one, two] = stops(state);
  if (one === undefined || two === undefined) return 'two ways of stopping it were not tried';
  return one === two ? 'the two ways of stopping it are one and the same' : null;
}

function runHeadline(state: BleedingState): string | null {
  const [first, second] = state.work.pointed;
  if (!first) return answered(state) ? 'Nothing seen or heard points to a fault' : null;
  const other = second && second.weight === first.weight ? `, or ${second.name}` : '';
  return `Points to ${first.name}${other}. Next: ${first.check}`;
}

function runOpen(state: BleedingState, v: StepView): string | null {
  const asked = v.step.choices.filter((c) => (observed as readonly string[]).includes(c.id));
  const missing = asked.filter((c) => !state.replayed.chosen.has(c.id));
  if (missing.length) return `not said yet: ${missing.map((c) => c.question.toLowerCase()).join(', ')}`;
  return state.work.pointed.some((p) => p.weight >= 3 && p.id !== 'cold')
    ? 'what was seen and heard points to a fault'
    : null;
}

const answered = (state: BleedingState): boolean => observed.some((q) => state.replayed.chosen.has(q));

function leaksHeadline(state: BleedingState): string | null {
  const { leaks } = state.work.fuelWay;
  if (leaks === null) return null;
  return leaks === 0
    ? 'No leak on the paper'
    : `${leaks} ${leaks === 1 ? 'leak' : 'leaks'}: stop the engine, then tighten`;
}

function leaksOpen(state: BleedingState): string | null {
  const { leaks } = state.work.fuelWay;
  if (leaks === null) return 'nobody has looked with paper';
  return leaks > 0 ? 'it leaks' : null;
}
