import type { PartKind } from '../../src/core/tray/part-kinds.ts';
import scenario from '../scenarios/pedestal-drive.json' with { type: 'json' };
import { PEDESTAL_SHEET } from './scenario-sheets.ts';
import { engineWith, PlayedJob, SHEET } from './played.ts';

export const { inputs } = scenario;
export const expected = (calc: string) => scenario.journey.find((j) => j.expect.calc === calc)!.expect.out as never;

export const DRIVE: Record<string, string> = {
  ...SHEET,
  ...PEDESTAL_SHEET,
  gearFaceMm: '22',
  helixDeg: '41',
  gearPitchMm: '31',
  backlashMm: '0.08',
  floatLengthMm: '62',
  housingMetal: 'aluminium',
  shaftMetal: 'steel',
  hotC: '85',
  camMaterial: 'cast-iron'
};
export const tray = inputs.tray.map((t) => ({
  ...t,
  name: t.id,
  kind: 'packing' as PartKind,
  low: 1,
  rateNPerMm: null,
  uRate: null,
  uPreload: null,
  preloadN: null,
  deg: null
}));

/** The pedestal job as far as a step, by the scenario's readings. */
export function pedestal(values: Record<string, string> = DRIVE): PlayedJob {
  const job = new PlayedJob(engineWith(values), 'pedestal');
  job.done('intake', 'safe', 'bar', 'cover', 'inspect', 'washer-prep');
  for (const w of inputs.washerMm) job.read('washer', 'washer', String(w));
  job.done('washer', 'washer-in');
  return job;
}
export const measured = (): PlayedJob => {
  const job = pedestal();
  for (const g of inputs.gaps) job.read('gap', 'gap', g.join(' + '));
  return job.done('gap');
};
export const packed = (): PlayedJob => {
  const job = measured();
  job.take('packing', 'packing', ['PK-12', 0.117, 0.004]);
  return job.done('packing', 'pack-measure', 'washer-out');
};
export const atTooth = (): PlayedJob => {
  const job = packed();
  job.read('depth', 'length', '171.4');
  job.read('depth', 'drive-depth', '157.2');
  job.read('depth', 'offset', '6.1');
  return job.done('depth', 'plugs', 'wheel').toReference();
};
/** With the rotor seen and the free arc read: the tooth is chosen. */
export const planned = (): PlayedJob => {
  const job = atTooth();
  job.read('tooth-plan', 'rotor-seen', String(inputs.index.observed.rotorBearingDeg));
  job.read('tooth-plan', 'arc-min', String(inputs.index.housing.minBearingDeg));
  job.read('tooth-plan', 'arc-max', String(inputs.index.housing.maxBearingDeg));
  return job;
};
