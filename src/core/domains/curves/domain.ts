import {
  gapWork,
  lobesFinding,
  lobesWork,
  scatterFinding,
  scatterWork,
  vacuumFinding,
  vacuumWork
} from './other-work.ts';
import { modelError, recurveWork } from './recurve-work.ts';
import { sweepFinding, sweepWork, type SweepWork } from './sweep-work.ts';
import { wanderOf } from '../stack/stack-work.ts';
import { biasOf } from '../timing/bias.ts';
import { add, type SettledFigure } from '../../job/figures.ts';
import type { JobState, StepView } from '../../job/state.ts';
import type { Domain, WorkContext, Works } from '../../job/domain.ts';
import { asks, turnWord, verdictOpen } from '../../job/said.ts';

/** Gap and dwell, sweeps, springs, vacuum, the spacing of the sparks. */
export const curvesDomain: Domain = {
  name: 'curves',
  works: {
    sweeps: (c) =>
      c.sheet.steps
        .filter((s) => s.slots.some((x) => x.slot === 'sweep-rpm'))
        .map((s) => sweepWork(c.engine, c.r, s.id, c.mark)),
    recurve: (c) => recurveWork(c.engine, c.r, c.works.sweeps[0] ?? null),
    model: (c) => {
      const { predicted } = c.works.recurve;
      const after = c.works.sweeps[1];
      return predicted && after ? modelError(predicted, after) : null;
    },
    lobes: (c) => lobesWork(c.engine, c.r),
    vacuum: (c) => vacuumWork(c.engine, c.r),
    gap: (c) => gapWork(c.engine, c.r),
    scatter: (c) => scatterWork(c.engine, c.r, wander(c))
  },
  surfaces: {
    sweep: { headline: sweepHeadline, open: sweepOpen },
    recurve: { headline: recurveHeadline, open: recurveOpen },
    targets: { headline: targetsHeadline },
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
      open: (state) => (state.work.vacuum.hold?.state === 'out' ? 'the diaphragm leaks' : null)
    },
    gap: { headline: gapHeadline, open: gapOpen },
    bias: { headline: biasHeadline }
  },
  figures: curveFigures
};

const sweepOf = (state: JobState, v: StepView): SweepWork => state.work.sweeps.find((s) => s.step === v.step.id)!;
/** A sweep taken after springs were changed is measured against what they were to do. */
const isSecond = (state: JobState, v: StepView): boolean =>
  state.work.sweeps.findIndex((s) => s.step === v.step.id) > 0;

function sweepHeadline(state: JobState, v: StepView): string | null {
  if (asks(v, 'spread')) return scatterFinding(state.work.scatter);
  const w = sweepOf(state, v);
  const found = sweepFinding(w, state.engine);
  const { model } = state.work;
  if (isSecond(state, v) && model && found) return `${found}; ${model.rmsDeg.toFixed(1)}° from what was predicted`;
  if (found) return found;
  const n = w.points.filter((p) => p.deg !== null).length;
  return n > 0 ? `${n} ${n === 1 ? 'point' : 'points'} read: go on up in steps, then down` : null;
}

function sweepOpen(state: JobState, v: StepView): string | null {
  if (asks(v, 'spread')) {
    const { worstDeg, mostDeg } = state.work.scatter;
    return worstDeg !== null && mostDeg !== null && worstDeg > mostDeg
      ? 'the timing scatters more than its limit'
      : null;
  }
  const w = sweepOf(state, v);
  const up = w.points.filter((p) => p.deg !== null && p.dir === 'up').length;
  if (up < 6) return `${up} points going up are read, six are needed to see the curve`;
  if (v.step.sets.includes('baseline-known')) return null;
  if (w.compare?.state === 'out') return 'points of the curve lie outside their limits';
  return w.total?.verdict?.state === 'out' ? 'the total timing is above its limit' : null;
}

function recurveHeadline(state: JobState): string | null {
  const w = state.work.recurve;
  if (w.problem) return w.problem;
  if (w.predicted && w.springs.length === 2)
    return `${w.springs.map((s) => s.name).join(' + ')}${w.stop ? `, ${w.stop.name}` : ''}: starts at ${w.predicted.startRpm.toFixed(0)}, all in at ${w.predicted.fullRpm.toFixed(0)} rpm`;
  return w.lacks.length ? `Still to come: ${w.lacks.join(', ')}` : null;
}

function recurveOpen(state: JobState): string | null {
  const w = state.work.recurve;
  if (w.springs.length !== 2) return 'no springs are taken from the tray';
  if (w.predicted?.unstableFromDeg != null) return 'with these springs the weights snap out';
  return w.problem;
}

function targetsHeadline(state: JobState): string | null {
  const { target, targetFrom } = state.work.recurve;
  return targetFrom === 'said' ? `The target has ${target.length} points: search the tray` : null;
}

function gapHeadline(state: JobState): string | null {
  const { shift } = state.work.gap;
  if (!shift || Math.abs(shift.timingShiftDeg) < 0.05) return null;
  return `From ${shift.fromDeg}° to ${shift.toDeg}° of dwell moves the timing ${Math.abs(shift.timingShiftDeg).toFixed(1)}° ${shift.timingShiftDeg > 0 ? 'earlier' : 'later'}`;
}

/** How far to turn the housing for the bias, from where it was set. */
function biasHeadline(state: JobState): string | null {
  const b = biasOf(state);
  if (!b) return null;
  if (b.deg === 0) return 'The exact setting is kept: no bias';
  return `Turn the housing ${b.move.housingDeg.toFixed(2)}° ${turnWord(b.move.turn as 'cw' | 'ccw')} (from above): ${Math.abs(b.deg).toFixed(1)}° ${b.deg > 0 ? 'early' : 'late'}, logged as a bias`;
}

function gapOpen(state: JobState): string | null {
  const { gap, dwell } = state.work.gap;
  return verdictOpen('the gap', gap?.verdict?.state) ?? verdictOpen('the dwell', dwell?.verdict?.state);
}

/** What float and backlash let the timing wander: by this job's float, else by the last that was measured. */
function wander(c: WorkContext): { deg: number; from: string } | null {
  const float = c.engine.earlier?.['float'];
  const w = float ? wanderOf(c.engine, float.value) : null;
  return w ? { deg: w.totalCrankDeg, from: `the float measured on ${float!.at.slice(0, 10)}` } : null;
}

function curveFigures(works: Works): SettledFigure[] {
  const out: SettledFigure[] = [];
  const fitted = works.sweeps.filter((w) => w.fit);
  for (const [k, w] of fitted.entries()) {
    if (!w.fit) continue;
    const last = k === fitted.length - 1;
    out.push(
      add({
        key: last ? 'curve' : 'curve-before',
        label: last ? 'Total timing, curve' : 'Total timing, curve as found',
        value: w.fit.fullDeg,
        u: w.uDeg,
        kind: 'timing',
        verdict: w.compare && w.compare.state !== 'unjudged' ? w.compare.state : null,
        calc: 'curve.fit',
        input: { points: w.points.flatMap((p) => (p.deg === null ? [] : [{ rpm: p.rpm, deg: p.deg, dir: p.dir }])) },
        output: {
          ...w.fit,
          initialBtdc: w.initialBtdc,
          hysteresisDeg: w.compare?.hysteresisDeg ?? null,
          worst: w.worst
        }
      })
    );
  }
  if (works.recurve.predicted)
    out.push(
      add({
        key: 'predicted',
        label: 'Advance all in at, predicted',
        value: works.recurve.predicted.fullRpm,
        kind: 'speed',
        calc: 'curve.swapSprings',
        input: { springs: works.recurve.springs.map((s) => s.name), stop: works.recurve.stop?.name ?? null },
        output: works.recurve.predicted
      })
    );
  if (works.model)
    out.push(
      add({
        key: 'model',
        label: 'Prediction missed by, rms',
        value: works.model.rmsDeg,
        kind: 'crank',
        calc: 'curve.swapSprings',
        input: {},
        output: works.model
      })
    );
  if (works.lobes.out)
    out.push(
      add({
        key: 'lobes',
        label: 'Sparks off their place, most',
        value: works.lobes.out.maxErrorDeg,
        u: works.lobes.uDeg,
        kind: 'wheel',
        verdict: works.lobes.verdict!.state,
        calc: 'curve.interval',
        input: { toleranceDeg: works.lobes.toleranceDeg },
        output: works.lobes.out
      })
    );
  return out;
}
