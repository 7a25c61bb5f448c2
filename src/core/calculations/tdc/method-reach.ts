import { repeatedU, type Gauge } from '../gauge/hand.ts';
import { dropSlope, slider, type SliderInput } from '../piston/slider.ts';
import { highestU, ROD } from './flat-top.ts';
import { tdcDwell } from './tdc-dwell.ts';
import { fitOutlookU } from './tdc-fit-u.ts';
import type { TdcMethod } from './tdc-methods.ts';
import { pairsU } from './tdc-pairs.ts';

/** How many pairs and readings the outlook counts with: what is usually taken. */
const PAIRS = 3;
const FIT_ANGLES = [-40, -30, -20, -10, 10, 20, 30, 40];

export interface Outlook {
  /** standard uncertainty it would reach, degrees; null: cannot be said, `why` says why */
  uDeg: number | null;
  why: string;
}

export interface OutlookInput {
  slider: SliderInput | null;
  wheel: Gauge | null;
  dial: Gauge | null;
  /** standard uncertainty of the mark's error as an earlier job found it */
  markU: number | null;
}

/**
 * The uncertainty each way of finding TDC would reach with the gauges in hand, before any work is done.
 * Pairs and stop: three pairs, at the depth tdc.dwell recommends. Fit: eight readings up to 40° each side. Both by hands that
 * scatter as they are known to.
 * Highest point and rod: the band in which nothing is seen to move, taken as rectangular, with the wheel's own.
 */
export function methodOutlook(method: TdcMethod, i: OutlookInput): Outlook {
  const no = (why: string): Outlook => ({ uDeg: null, why });
  if (method === 'mark')
    return i.markU === null ? no('no earlier job has proved this mark') : { uDeg: i.markU, why: '' };
  if (!i.wheel) return no('no degree wheel in the tray');
  const uWheel = repeatedU(0, 1, i.wheel).u;
  if (method === 'stop') return { uDeg: usualPairs({ wheel: i.wheel }, null), why: '' };
  if (!i.slider) return no('stroke and rod are not on the data sheet');
  if (method === 'rod') return flatTop(i.slider, ROD, uWheel);
  if (!i.dial) return no('no dial in the tray');
  if (method === 'highest') return flatTop(i.slider, i.dial, uWheel);
  return method === 'pairs' ? pairsOutlook(i.slider, i.dial, i.wheel) : fitOutlook(i.slider, i.dial, i.wheel);
}

function pairsOutlook(s: SliderInput, dial: Gauge, wheel: Gauge): Outlook {
  const d = tdcDwell({ ...s, dial, wheel, targetUDeg: 0.15 });
  if (!d.ok) return { uDeg: null, why: d.error.message };
  const g = slider(s);
  if (!g.ok) return { uDeg: null, why: g.error.message };
  const slope = d.out.recommended ? Math.abs(dropSlope(g.out, -d.out.recommended.angleDeg)) : null;
  return { uDeg: usualPairs({ wheel, dial }, slope), why: '' };
}

/** What three pairs reach: the hand as far as it is known, steps and fixed errors as in tdc.pairs. */
const usualPairs = (gauges: { wheel: Gauge; dial?: Gauge }, slope: number | null): number =>
  pairsU((gauges.wheel.scatter ?? 0) * Math.SQRT1_2, PAIRS, gauges, slope).u;

function fitOutlook(s: SliderInput, dial: Gauge, wheel: Gauge): Outlook {
  const g = slider(s);
  if (!g.ok) return { uDeg: null, why: g.error.message };
  return { uDeg: fitOutlookU(g.out, FIT_ANGLES, { wheel, dial }), why: '' };
}

function flatTop(s: SliderInput, dial: Gauge, uWheel: number): Outlook {
  const u = highestU(s, dial, uWheel);
  return u === null ? { uDeg: null, why: 'the geometry on the data sheet cannot be' } : { uDeg: u, why: '' };
}
