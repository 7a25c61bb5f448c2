import { slider } from '../../calculations/piston/slider.ts';
import { sliderOf } from '../../engine/engine.ts';
import type { Domain, JobState, Typed, WorkContext } from '../../job/domain.ts';
import { rad, wrap180 } from '../../numerics/angles.ts';
import { domain as engine } from '../engine/domain.ts';
import { fitWork, type FitWork } from './fit-work.ts';

interface FitWorks {
  /** wheel and dial read together at many places, where a step of the sheet seeks true TDC by them */
  fit: FitWork;
}

/** True TDC by many readings: fetched where that way is chosen, and read by the crank's own working of true TDC. */
export const domain: Domain<FitWorks> = {
  name: 'tdcfit',
  needs: [engine],
  works: { fit },
  surfaces: {},
  doubts: { 'fit-dial': dialDoubt }
};

function fit({ sheet, engine, r }: WorkContext<FitWorks>): FitWork {
  const step = sheet.steps.find((s) => s.slots.some((x) => x.slot === 'fit-dial'))?.id;
  const of = (slot: string) => r.readings.filter((x) => x.step === step && x.slot === slot);
  return fitWork(of('fit-wheel'), of('fit-dial'), sliderOf(engine));
}

/** A dial figure that steps away from the last one by more than the piston can move between the two places. */
function dialDoubt({ state, engine, aim, figure: { value: mm }, len }: Typed<JobState<FitWorks>>): string | null {
  const { rows } = state.work.fit;
  const g = sliderOf(engine);
  const s = g ? slider(g) : null;
  const last = rows[(aim.n ?? 1) - 2];
  const here = rows[(aim.n ?? 1) - 1];
  if (!s?.ok || !last?.dial || !here) return null;
  const apart = Math.abs(wrap180(here.wheel.value - last.wheel.value));
  const most = apart * rad(s.out.r) * 1.2 + 0.5;
  const moved = Math.abs(mm - last.dial.value);
  return moved > most
    ? `The dial moved ${len(moved)} over ${apart.toFixed(0)}°, more than the piston can: a whole turn missed?`
    : null;
}
