import magneto from '../scenarios/magneto.json' with { type: 'json' };
import two from '../scenarios/two-stroke.json' with { type: 'json' };
import { SHEET } from './played.ts';

const lag = magneto.journey[0]!.expect as unknown as { in: { runBtdc: number; lagDeg: number; ratio: number } };
const coupling = magneto.journey[1]!.expect as unknown as { in: { teeth: number; offDeg: number } };

/** A magneto's values of a data sheet, as its journey has them. */
export const MAGNETO: Record<string, string> = {
  magnetoDirection: 'cw',
  magnetoRatio: String(lag.in.ratio),
  lagDeg: String(lag.in.lagDeg),
  magnetoRefBtdc: '6 after',
  snapMinBtdc: '9 after',
  snapMaxBtdc: '3 after',
  runBtdc: String(lag.in.runBtdc),
  runMinBtdc: '22',
  runMaxBtdc: '26',
  rideOutRpm: '280',
  couplingBearing: '90',
  magnetoGearTeeth: String(coupling.in.teeth),
  magnetoTorqueNm: '16'
};
/** A two-stroke's values of a data sheet. */
export const FLYWHEEL: Record<string, string> = {
  fullAdvanceBtdc: '22',
  fullAdvanceMinBtdc: '20',
  fullAdvanceMaxBtdc: '24',
  flywheelDiameterMm: '286',
  markWithinDeg: '1',
  idleTimingMinBtdc: '1',
  idleTimingMaxBtdc: '7',
  idleMinRpm: '600',
  idleMaxRpm: '700'
};
/** The fire pump of the journey: three cylinders, each fired at its own mark. */
export const TWO_STROKE: Record<string, string> = {
  ...SHEET,
  ...FLYWHEEL,
  cycle: 'two-stroke',
  firedBy: 'flywheel',
  cylinders: String(two.engine.cylinders),
  firingOrder: two.engine.firingOrder.join('-'),
  strokeMm: String(two.engine.strokeMm),
  rodMm: String(two.engine.rodMm)
};
export const SAW: Record<string, string> = {
  ...SHEET,
  ...MAGNETO,
  firedBy: 'magneto',
  cylinders: '1',
  firingOrder: '1'
};
