import type { GaugeRef } from '../../src/core/job/index.ts';
import type { StockItem } from '../../src/core/tray/part-kinds.ts';
import scenario from '../scenarios/recurve.json' with { type: 'json' };
import { RECURVE_SHEET } from './scenario-sheets.ts';
import { engineWith, PlayedJob, SHEET } from './played.ts';

export const { inputs } = scenario;
export const expected = (calc: string) => scenario.journey.find((j) => j.expect.calc === calc)!.expect.out as never;
export const CURVE: Record<string, string> = {
  ...SHEET,
  ...RECURVE_SHEET,
  vacuumUnit: 'none',
  lobeToleranceDeg: '0.5'
};
export const part = (id: string, more: Partial<StockItem>): StockItem => ({
  id,
  name: id,
  kind: 'spring',
  thicknessMm: null,
  uMm: null,
  rateNPerMm: null,
  uRate: null,
  uPreload: null,
  preloadN: null,
  deg: null,
  count: 1,
  low: 0,
  ...more
});
export const stock: StockItem[] = [
  ...inputs.tray.springs.map((s) => part(s.id, s)),
  ...inputs.tray.stops.map((s) => part(s.id, { kind: 'stop', deg: s.deg }))
];

/** a strobe good for half a degree of standard uncertainty, as the scenario has it */
export const STROBE = {
  id: 'strobe',
  name: 'Strobe',
  resolution: 0,
  accuracy: inputs.uDeg * Math.sqrt(3),
  scatter: 0,
  scatterDof: 20
};

export function sweep(
  job: PlayedJob,
  step: string,
  points: readonly (readonly number[])[],
  gauge: GaugeRef = STROBE,
  tacho: GaugeRef | null = null
): PlayedJob {
  for (const [rpm, deg] of points) {
    job.say(job.reading(step, 'sweep-rpm', String(rpm), tacho ?? undefined));
    job.say({ kind: 'reading', step, slot: 'sweep-deg', ...job.figure(step, 'sweep-deg', `${deg}b`), gauge });
  }
  return job;
}
export const found = (values = CURVE, tacho: GaugeRef | null = null) => {
  const job = new PlayedJob(engineWith(values), 'recurve');
  job.done('intake', 'secure', 'free', 'strobe-on', 'sweep-list', 'start');
  return sweep(job, 'baseline', [...inputs.up, ...inputs.down], STROBE, tacho);
};
/** a tachometer that shows tens and is right to one and a half of them */
export const TACHO = { id: 'tacho', name: 'Tachometer', resolution: 10, accuracy: 15, scatter: 5, scatterDof: 20 };
