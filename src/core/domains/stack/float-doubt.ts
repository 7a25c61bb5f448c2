import { endFloatParts } from '../../calculations/stack/stack-end-float.ts';
import type { Gauge } from '../../calculations/gauge/hand.ts';
import {
  handOrStep,
  isAssumed,
  KNOW_THE_HAND,
  wellKnown,
  type Doubt,
  type Part,
  type Reach,
  type Remedy
} from '../../job/narrow.ts';
import { mean } from '../../numerics/statistics.ts';
import { gaugeOf } from '../../job/readings.ts';
import type { StackWork } from './stack-work.ts';

/** What makes up the doubt of the end float by washer and gaps, and what would narrow it; null where it came otherwise. mm. */
export function floatDoubt(work: StackWork, reach: Reach): Doubt | null {
  if (work.float?.from !== 'washer') return null;
  const input = {
    washerMm: work.washers.map((w) => w.value),
    washerGauge: gaugeOf(work.washers[0]!),
    gaps: work.gaps.map((g) => g.blades),
    bladeGauge: gaugeOf(work.gaps[0]!.reading)
  };
  const ofPacking = work.packingMm?.u ?? 0;
  const rest = Math.hypot(ofPacking, work.uPackMm);
  const { washer, gap } = endFloatParts(input);
  const parts: Part[] = [
    ...handOrStep(washer, gap),
    { name: 'the micrometer’s own ±', u: washer.fixed },
    { name: 'the blades’ own ±', u: gap.fixed },
    { name: 'the packing', u: ofPacking },
    { name: 'how the blades of a place were chosen', u: work.uPackMm }
  ];
  const having = (what: string, change: Partial<typeof input>, remains = rest): Remedy => {
    const p = endFloatParts({ ...input, ...change });
    const u = (x: typeof washer) => Math.hypot(Math.max(x.hand, x.step), x.fixed);
    return { what, u: Math.hypot(u(p.washer), u(p.gap), remains) };
  };
  const oneMore = (of: string, change: Partial<typeof input>): Remedy => ({
    ...having(`one more ${of}`, change),
    oneMore: true
  });
  const pack = input.gaps.reduce((a, b) => (b.length > a.length ? b : a));
  const other = (
    kind: 'micrometer' | 'blade',
    usedId: string | undefined,
    change: (g: Gauge) => Partial<typeof input>
  ) => reach(kind).flatMap((x) => (x.id === usedId ? [] : having(`reading it with ${x.name}`, change(x))));
  return {
    parts,
    remedies: [
      ...(work.uPackMm > 0 ? [having('saying how the blades of a place were chosen', {}, ofPacking)] : []),
      oneMore('place round the face', { gaps: [...input.gaps, pack] }),
      oneMore('reading of the washer', { washerMm: [...input.washerMm, mean(input.washerMm)] }),
      ...other('micrometer', work.washers[0]!.gauge?.id, (washerGauge) => ({ washerGauge })),
      ...other('blade', work.gaps[0]!.reading.gauge?.id, (bladeGauge) => ({ bladeGauge })),
      ...(isAssumed(input.bladeGauge) ? [having(KNOW_THE_HAND, { bladeGauge: wellKnown(input.bladeGauge) })] : []),
      ...(pack.length > 1 ? [having('one blade less in a pack', { gaps: input.gaps.map(lessOne) })] : [])
    ]
  };
}

/** The same gap with one blade fewer: the sum stays. */
const lessOne = (pack: number[]): number[] => (pack.length < 2 ? pack : [pack[0]! + pack[1]!, ...pack.slice(2)]);
