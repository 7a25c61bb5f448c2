import { USUAL_DOF, type Gauge } from '../calculations/gauge/hand.ts';
import type { Quantity } from '../units/units.ts';
import { gaugeKinds, type GaugeKind, type TrayGauge } from './gauge-kinds.ts';

/**
 * How much one reading of a hand scatters with a gauge of each kind, as a standard deviation in its base unit: the workshop's
 * own assumption, named as one wherever it counts. It stands until repeats tell better, with the weight of six degrees of
 * freedom.
 */
export const assumedScatter: Record<GaugeKind, number> = {
  wheel: 0.2,
  dial: 0.005,
  strobe: 0.3,
  blade: 0.01,
  micrometer: 0.004,
  depth: 0.015,
  torque: 0.5,
  tacho: 10,
  thermometer: 0.5,
  pressure: 0.5,
  eye: 0
};
export const ASSUMED_DOF = 6;

/** The usual gauge of a quantity, for readings whose gauge was kept without its kind. */
const usual: Partial<Record<Quantity, GaugeKind>> = {
  angle: 'wheel',
  timing: 'strobe',
  length: 'dial',
  torque: 'torque',
  speed: 'tacho',
  temperature: 'thermometer',
  pressure: 'pressure'
};

/** What of a gauge a reading keeps that tells how it was read. */
export interface HeldGauge extends Gauge {
  kind?: GaugeKind | undefined;
}

/**
 * A gauge in the hand that read it: its scatter as it was known then, else the workshop's assumption for its kind. Without a
 * gauge there is only the step that was typed, and the scatter is not known.
 */
export function inHand(
  gauge: HeldGauge | null,
  { quantity, resolution }: { quantity: Quantity; resolution: number }
): Gauge {
  if (!gauge) return { resolution, accuracy: 0 };
  const { accuracy } = gauge;
  const kind = gauge.kind ?? usual[quantity];
  const known = { resolution: gauge.resolution, accuracy };
  if (gauge.scatter !== undefined)
    return { ...known, scatter: gauge.scatter, scatterDof: gauge.scatterDof ?? USUAL_DOF };
  return kind ? { ...known, scatter: assumedScatter[kind], scatterDof: ASSUMED_DOF } : known;
}

/** A gauge of the tray in the hands of the workshop. */
export const trayInHand = (g: TrayGauge): Gauge =>
  inHand(
    { ...g, scatter: g.scatter ?? undefined, scatterDof: g.scatterDof ?? undefined },
    { quantity: g.kind === 'eye' ? 'length' : gaugeKinds[g.kind].quantity, resolution: g.resolution }
  );
