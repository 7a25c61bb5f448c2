import type { Quantity } from '../units/units.ts';
import type { GaugeKind } from '../job/run-sheet.ts';

/** The gauges of a tray and what each of them reads. */
export const gaugeKinds: Record<Exclude<GaugeKind, 'eye'>, { label: string; quantity: Quantity }> = {
  wheel: { label: 'degree wheel', quantity: 'angle' },
  dial: { label: 'dial indicator', quantity: 'length' },
  strobe: { label: 'strobe', quantity: 'timing' },
  blade: { label: 'feeler blades', quantity: 'length' },
  micrometer: { label: 'micrometer or caliper', quantity: 'length' },
  depth: { label: 'depth or height gauge', quantity: 'length' },
  torque: { label: 'torque wrench', quantity: 'torque' },
  tacho: { label: 'tachometer', quantity: 'speed' },
  thermometer: { label: 'thermometer', quantity: 'temperature' },
  pressure: { label: 'pressure gauge', quantity: 'pressure' }
};
