import { handUWithMore } from '../../calculations/gauge/hand.ts';
import { anglesAtDrop, slider } from '../../calculations/piston/slider.ts';
import { pairsU, slopeOfPair, type TdcFromPairs } from '../../calculations/tdc/tdc-pairs.ts';
import { sliderOf, type Engine } from '../../engine/engine.ts';
import {
  FIXED,
  handOrStep,
  isAssumed,
  KNOW_THE_HAND,
  wellKnown,
  type Doubt,
  type NamedGauge,
  type Part,
  type Reach,
  type Remedy
} from '../../job/narrow.ts';
import type { LengthText } from '../../job/texts.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { sampleSd } from '../../numerics/statistics.ts';
import type { TdcWork } from './tdc-work.ts';

/**
 * What makes up the doubt of true TDC by pairs, a stop or a fit, and what would narrow it, worked out by the very sums that
 * made the figure; null where the way to it does not say. Degrees.
 */
export function tdcDoubt(tdc: TdcWork, engine: Engine, reach: Reach, len: LengthText): Doubt | null {
  if (tdc.pairs && tdc.input) return ofPairs(tdc, tdc.pairs, engine, reach, len);
  return tdc.fit?.doubt(reach) ?? null;
}

function ofPairs(tdc: TdcWork, found: TdcFromPairs, engine: Engine, reach: Reach, len: LengthText): Doubt {
  const gauges = tdc.input as Parameters<typeof pairsU>[2];
  const n = found.perPair.length;
  const s = sampleSd(found.perPair.map((p) => wrap180(p.tdcWheelDeg - found.perPair[0]!.tdcWheelDeg)));
  const geometry = sliderOf(engine);
  const g = geometry ? slider(geometry) : null;
  const dropMm = tdc.depth?.value ?? null;
  const slope = g?.ok && dropMm !== null && gauges.dial ? slopeAt(g.out, dropMm) : null;
  const now = pairsU(s, n, gauges, slope);
  const parts: Part[] = [...handOrStep({ hand: now.hand, step: now.steps }), { name: FIXED, u: now.fixed }];
  const used = tdc.rows.flatMap((r) => [r.before, r.after]).find((r) => r?.gauge)?.gauge?.id;
  /** as many pairs again by another wheel, whose hand scatters as it is known to */
  const byWheel = (wheel: NamedGauge): Remedy => ({
    what: `taking the pairs with ${wheel.name}`,
    u: pairsU((wheel.scatter ?? 0) * Math.SQRT1_2, n, { ...gauges, wheel }, slope).u
  });
  const remedies: Remedy[] = [
    {
      what: 'one more pair',
      u: Math.hypot(Math.max(handUWithMore(s, n, gauges.wheel, Math.SQRT1_2), now.steps), now.fixed),
      oneMore: true
    },
    ...reach('wheel').flatMap((w) => (w.id === used ? [] : byWheel(w))),
    ...(slope === null
      ? []
      : reach('dial').flatMap((dial) =>
          dial.id === tdc.depth?.gauge?.id
            ? []
            : { what: `taking the depth with ${dial.name}`, u: pairsU(s, n, { ...gauges, dial }, slope).u }
        )),
    ...(isAssumed(gauges.wheel)
      ? [{ what: KNOW_THE_HAND, u: pairsU(s, n, { ...gauges, wheel: wellKnown(gauges.wheel) }, slope).u }]
      : [])
  ];
  const deeper = tdc.dwell?.recommended;
  if (g?.ok && slope !== null && deeper && dropMm !== null && deeper.dropMm > dropMm)
    remedies.push({
      what: `reading at ${len(deeper.dropMm, 2)} down, where the piston moves faster`,
      u: pairsU(s, n, gauges, slopeAt(g.out, deeper.dropMm)).u
    });
  return { parts, remedies };
}

function slopeAt(g: Parameters<typeof anglesAtDrop>[0], dropMm: number): number | null {
  const a = anglesAtDrop(g, dropMm);
  return a && slopeOfPair(g, a);
}
