import { gearFinding, gearWork } from './gear-work.ts';
import type { JobState, StepView } from '../../job/state.ts';
import type { LengthText } from '../../job/words.ts';
import type { Domain } from '../../job/domain.ts';
import { asks, VERDICT_WORD as WORD, verdictOpen } from '../../job/said.ts';

/** The drive gear: old against new, its place on the shaft, its installed dimension. */
export const gearsDomain: Domain = {
  name: 'gears',
  works: { gears: (c) => gearWork(c.engine, c.r) },
  surfaces: { gears: { headline: gearsHeadline, open: gearsOpen } }
};

function gearsHeadline(state: JobState, v: StepView, len: LengthText): string | null {
  const { gears } = state.work;
  if (asks(v, 'gear-turned') && gears.reindex) {
    const { rotorShiftDeg, crankDeg } = gears.reindex;
    return Math.abs(rotorShiftDeg) < 0.05
      ? 'Turned by whole teeth: rotor against teeth is as it was'
      : `Rotor shifts ${Math.abs(rotorShiftDeg).toFixed(1)}° ${rotorShiftDeg > 0 ? 'clockwise' : 'anticlockwise'} against the teeth, ${Math.abs(crankDeg).toFixed(1)}° of the crank`;
  }
  if (asks(v, 'dimension') && gears.dimension?.verdict)
    return `Mounting face to lower gear face ${len(gears.dimension.value)}: ${WORD[gears.dimension.verdict.state]}`;
  if (!asks(v, 'new-teeth')) return null;
  if (gears.ok === null)
    return gears.rows.some((r) => r.fresh !== null) ? `Still unknown: ${gears.lacks.join(', ')}` : null;
  if (!gears.ok) return `Do not fit it. ${gearFinding(gears.findings!.find((f) => f.severity === 'stop')!)}`;
  const unknown = gears.rows.filter((r) => r.state === 'unknown').length;
  return unknown ? `Nothing differs so far; ${unknown} not compared` : 'Old and new agree';
}

function gearsOpen(state: JobState, v: StepView): string | null {
  const { gears } = state.work;
  if (asks(v, 'dimension')) return verdictOpen('the installed dimension', gears.dimension?.verdict?.state);
  if (!asks(v, 'new-teeth')) return null;
  if (gears.ok === null) return `unknown: ${gears.lacks.join(', ')}`;
  return gears.ok ? null : gearFinding(gears.findings!.find((f) => f.severity === 'stop')!).replace(/\.$/, '');
}
