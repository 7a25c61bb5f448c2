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
  rule: 0.2,
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

/** What repeats of one hand with one gauge have told where one thing is read: degrees of freedom and the sum of squares, base unit. */
export interface Learnt {
  dof: number;
  ss: number;
  /** how many readings those were */
  n: number;
}

/** All that the repeats of a person have told, each by `learntKey`. */
export type LearntHand = Readonly<Record<string, Learnt>>;
export const learntKey = (gauge: string, reads: string): string => `${gauge} ${reads}`;

/** What repeats with one gauge have told, of all that is read with it together: for what has not been read with it before. */
export function learntWith(hand: LearntHand, gauge: string): Learnt | null {
  const told = Object.entries(hand).flatMap(([key, l]) => (key.startsWith(learntKey(gauge, '')) ? [l] : []));
  if (told.length === 0) return null;
  return told.reduce((a, b) => ({ dof: a.dof + b.dof, ss: a.ss + b.ss, n: a.n + b.n }));
}

/**
 * A gauge in the hand of someone whose repeats are known: pooled with what it begins from, which is the scatter that was
 * measured with this gauge, else the workshop's assumption for its kind. s² = (ν₀s₀² + Σ(n-1)s²)/(ν₀ + Σ(n-1)).
 */
export function learntInHand<G extends Pick<TrayGauge, 'kind' | 'scatter' | 'scatterDof'>>(
  gauge: G,
  learnt: Learnt | null | undefined
): G {
  if (!learnt || learnt.dof <= 0 || gauge.kind === 'eye') return gauge;
  const begun =
    gauge.scatter === null
      ? { s: assumedScatter[gauge.kind], dof: ASSUMED_DOF }
      : { s: gauge.scatter, dof: gauge.scatterDof ?? USUAL_DOF };
  const dof = begun.dof + learnt.dof;
  return { ...gauge, scatter: Math.sqrt((begun.dof * begun.s ** 2 + learnt.ss) / dof), scatterDof: dof };
}

/** A gauge of the tray in the hands of the workshop. */
export const trayInHand = (g: TrayGauge): Gauge =>
  inHand(
    { ...g, scatter: g.scatter ?? undefined, scatterDof: g.scatterDof ?? undefined },
    { quantity: g.kind === 'eye' ? 'length' : gaugeKinds[g.kind].quantity, resolution: g.resolution }
  );
