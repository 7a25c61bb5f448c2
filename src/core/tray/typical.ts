import { repeatedU, type Gauge } from '../calculations/gauge/hand.ts';
import { tdcPairs } from '../calculations/tdc/tdc-pairs.ts';
import type { GaugeKind } from './gauge-kinds.ts';

/** An answer that is often made with a gauge, and how wide its ± is (twice its standard uncertainty, base unit). */
export interface Typical {
  what: string;
  pm: number;
}

const READ: Record<Exclude<GaugeKind, 'eye'>, string> = {
  wheel: 'true TDC by two pairs',
  dial: 'end float, pushed and pulled three times',
  strobe: 'a setting read three times',
  blade: 'a gap filled three times',
  micrometer: 'a thickness read three times',
  depth: 'a depth read three times',
  rule: 'a length along the rim read three times',
  torque: 'a torque read three times',
  tacho: 'a speed read three times',
  thermometer: 'a temperature read three times',
  pressure: 'a pressure read three times'
};

/**
 * What a hand's scatter does to an answer that is often made with this gauge: worked out by the calculation that makes it,
 * from readings that scatter just as much as is expected of this hand.
 */
export function typicalOf(kind: Exclude<GaugeKind, 'eye'>, gauge: Gauge): Typical {
  const s = gauge.scatter ?? 0;
  if (kind !== 'wheel') return { what: READ[kind], pm: 2 * repeatedU(s, 3, gauge).u };
  // two middles that lie s apart have the standard deviation s/√2, which is what one middle has of a hand's s
  const pair = (shift: number) => ({ beforeWheelDeg: 330 + shift, afterWheelDeg: 30 + shift });
  const tdc = tdcPairs({ pairs: [pair(0), pair(s)], wheel: gauge });
  return { what: READ.wheel, pm: tdc.ok ? 2 * tdc.out.uDeg : NaN };
}
