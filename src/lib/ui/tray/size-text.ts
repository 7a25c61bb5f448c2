import { gaugeKinds, type GaugeKind } from '$core/tray/gauge-kinds.ts';
import { baseUnit, fromBase, unitSign, type Unit } from '$core/units/units.ts';
import type { Prefs } from '$lib/reader/prefs.ts';

/** A step, an accuracy or a ± of a gauge as text, in the unit of whoever reads it. */
export function sizeText(prefs: Prefs, figures = 3): (x: number, kind: GaugeKind) => string {
  const unitOf = (k: GaugeKind): Unit => {
    const q = k === 'eye' ? 'length' : gaugeKinds[k].quantity;
    return q === 'length' ? prefs.length : baseUnit(q);
  };
  return (x, kind) => {
    const unit = unitOf(kind);
    return `${Number((fromBase(x, unit) - fromBase(0, unit)).toPrecision(figures))}${unitSign[unit]}`;
  };
}
