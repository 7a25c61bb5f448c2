import type { GaugeRef } from '../../src/core/job/index.ts';
import lift from '../scenarios/plunger-lift.json' with { type: 'json' };
import { engineWith, GAUGES, PlayedJob, SHEET } from './played.ts';

/** A chart as it is typed on a data sheet. */
export const chartText = (points: readonly { btdc: number; liftMm: number }[]): string =>
  points.map((p) => `${p.btdc} ${p.liftMm}`).join('; ');

/** The pump's values of a data sheet, as the journey by plunger lift has them. */
export const PUMP: Record<string, string> = {
  firedBy: 'pump',
  pumpCode: lift.chart.pumpCode,
  chartCode: lift.chart.pumpCode,
  chartKind: lift.chart.kind,
  liftChart: chartText(lift.chart.points),
  pumpDirection: 'cw',
  pumpRatio: String(lift.engine.ratio),
  pumpBtdc: String(lift.engine.timing.btdc),
  pumpMinBtdc: '17.5',
  pumpMaxBtdc: '20.5',
  boltRadiusMm: String(lift.engine.boltRadiusMm),
  slotAdvanceDeg: String(lift.engine.slotLeftDeg.advance),
  slotRetardDeg: String(lift.engine.slotLeftDeg.retard),
  pumpGearTeeth: '47',
  lockBtdc: '13.2',
  lockWithinDeg: '0.2',
  gearOffsetBtdc: '5.8',
  pinWithinDeg: '1.5',
  proofWithinDeg: '1.5',
  firstTorqueNm: '20',
  finalTorqueNm: '85',
  elementWithinDeg: '0.9',
  camVelocity: '0.21',
  tappetStepMm: '0.05',
  closureMinMm: '2.80',
  closureMaxMm: '3.00',
  headGapMinMm: '0.3',
  idleMinRpm: '600',
  idleMaxRpm: '700'
};
/** An engine with that pump. */
export const DIESEL: Record<string, string> = { ...SHEET, ...PUMP };

/** A dial that counts its turns, as the journey has it. */
export const TURNING: GaugeRef & { perRevMm: number } = { ...GAUGES.dial!, perRevMm: lift.gauges.dial.perRevMm };
/** A wheel read to a tenth of a degree. */
export const FINE_WHEEL: GaugeRef = {
  id: 'fine',
  name: 'Fine wheel',
  resolution: 0.1,
  accuracy: 0.05,
  scatter: 0.03,
  scatterDof: 20
};

/** The gear tightened, with the lift before and after it. */
export function tighten(job: PlayedJob, held: string, tight: string): void {
  for (const [slot, text] of [
    ['lift-held', held],
    ['torque-final', '85'],
    ['lift-tight', tight]
  ] as const)
    job.say(job.reading('tighten', slot, text, slot === 'torque-final' ? undefined : TURNING));
}

/** An inline pump as far as the dial on its plunger; true TDC reads 358 on the wheel. */
export function dialOn(values: Record<string, string>): PlayedJob {
  const job = new PlayedJob(engineWith(values), 'plunger-lift');
  job.done('intake');
  job.say({ kind: 'choose', school: 'plate-read', option: 'two' });
  job.done('chart', 'safe', 'plugs', 'bar', 'cover', 'wheel');
  job.pairs('1.8', ['343.5', '12.5'], ['343.5', '12.5'], ['343.5', '12.5']).done('tdc', 'mark', 'probe-out');
  job.say({ kind: 'sign', sign: 'airPushedOut', seen: true });
  job.say({ kind: 'sign', sign: 'bothValvesClosed', seen: true });
  job.done('stroke', 'valve-out');
  job.read('dial', 'spare-low', '0.8');
  job.read('dial', 'spare-high', '2.4');
  return job.done('dial');
}
