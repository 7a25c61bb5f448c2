import type { Quantity } from '../units/units.ts';

/** The gauges of a tray and what each of them reads. */
export const gaugeKinds = {
  wheel: { label: 'degree wheel', quantity: 'angle' },
  dial: { label: 'dial indicator', quantity: 'length' },
  strobe: { label: 'strobe', quantity: 'timing' },
  blade: { label: 'feeler blades', quantity: 'length' },
  micrometer: { label: 'micrometer or caliper', quantity: 'length' },
  depth: { label: 'depth or height gauge', quantity: 'length' },
  rule: { label: 'rule or tape', quantity: 'length' },
  torque: { label: 'torque wrench', quantity: 'torque' },
  tacho: { label: 'tachometer', quantity: 'speed' },
  thermometer: { label: 'thermometer', quantity: 'temperature' },
  pressure: { label: 'pressure gauge', quantity: 'pressure' }
} as const satisfies Record<string, { label: string; quantity: Quantity }>;

/** What a figure is read with; `eye` needs no gauge from the tray. */
export type GaugeKind = keyof typeof gaugeKinds | 'eye';

/** A gauge of the tray: what it reads, how finely, how truly. Resolution and accuracy in the base unit of its quantity. */
export interface TrayGauge {
  id: string;
  name: string;
  kind: GaugeKind;
  resolution: number;
  accuracy: number;
  /** what one turn of the pointer measures; null where it does not turn */
  perRevMm: number | null;
  calibratedOn: string | null;
  /** standard deviation of one reading of this workshop's hands with it, base unit; null: the workshop's assumption for its kind */
  scatter: number | null;
  /** degrees of freedom behind that: repeats less one */
  scatterDof: number | null;
}
