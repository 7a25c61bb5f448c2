import { fixedU, handU, handUWithMore, repeatedU, stepU, USUAL_DOF, type Gauge } from '../calculations/gauge/hand.ts';
import { sampleSd } from '../numerics/statistics.ts';
import type { GaugeKind } from '../tray/gauge-kinds.ts';
import { ASSUMED_DOF } from '../tray/hands.ts';

/** One source of the doubt about a figure, as a standard uncertainty in the unit of the figure. */
export interface Part {
  name: string;
  u: number;
}

/** Something that can be done about a figure's doubt, and the standard uncertainty it would then have, worked out. */
export interface Remedy {
  /** as it stands after "What narrows it most:" */
  what: string;
  u: number;
  /** the same once more, with what is in the hand already */
  oneMore?: true;
}

/** What makes up a figure's doubt, and what can be done about it. */
export interface Doubt {
  parts: Part[];
  remedies: Remedy[];
}

/** A gauge of the tray in the hand that would read it. */
export interface NamedGauge extends Gauge {
  id: string;
  name: string;
}
/** The gauges of a kind that are within reach. */
export type Reach = (kind: GaugeKind) => readonly NamedGauge[];

export const HAND = 'the hand’s scatter';
export const STEP = 'the step of the scale';
export const FIXED = 'the gauge’s own ±';

/** How many repeats make a hand known, where so far it is only assumed. */
const REPEATS = 20;
/** What a hand would be taken for after it was known: the same scatter, on twenty repeats more. */
export const wellKnown = (g: Gauge): Gauge => ({ ...g, scatterDof: (g.scatterDof ?? USUAL_DOF) + REPEATS - 1 });
export const isAssumed = (g: Gauge): boolean => g.scatter !== undefined && (g.scatterDof ?? USUAL_DOF) <= ASSUMED_DOF;
export const KNOW_THE_HAND = `${REPEATS} repeats that show how this hand scatters, which is assumed so far`;

/** Hand and step of some readings: the larger of the two counts, since the step shows in the scatter already. */
export function handOrStep(...of: readonly { hand: number; step: number }[]): Part[] {
  const sum = (us: number[]) => Math.hypot(...us);
  return [
    { name: HAND, u: sum(of.map((x) => (x.hand >= x.step ? x.hand : 0))) },
    { name: STEP, u: sum(of.map((x) => (x.hand >= x.step ? 0 : x.step))) }
  ];
}

/** Where the doubt of a mean comes from, as in gauge.combine. */
export const meanParts = (values: readonly number[], gauge: Gauge): Part[] => [
  ...handOrStep({ hand: handU(sampleSd(values), values.length, gauge).u, step: stepU(gauge) }),
  { name: FIXED, u: fixedU(gauge) }
];

/**
 * What can be done about the doubt of a mean of readings: one more that scatters as this hand is known to by now, as many
 * again with another gauge within reach, or a hand that is known and no longer assumed.
 * @param rest standard uncertainty that comes from elsewhere and stays
 * @param gaugeId the gauge that was read, which is no other gauge
 */
export function meanRemedies(
  values: readonly number[],
  gauge: Gauge,
  others: readonly NamedGauge[],
  { rest = 0, gaugeId }: { rest?: number; gaugeId?: string | undefined } = {}
): Remedy[] {
  const s = sampleSd(values);
  const n = values.length;
  const all = (u: number): number => Math.hypot(u, rest);
  return [
    {
      what: 'one more reading',
      u: all(Math.hypot(Math.max(handUWithMore(s, n, gauge), stepU(gauge)), fixedU(gauge))),
      oneMore: true
    },
    ...others
      .filter((g) => g.id !== gaugeId)
      .map((g) => ({ what: `reading it with ${g.name}`, u: all(repeatedU(g.scatter ?? 0, n, g).u) })),
    ...(isAssumed(gauge) ? [{ what: KNOW_THE_HAND, u: all(repeatedU(s, n, wellKnown(gauge)).u) }] : [])
  ];
}

/** A narrowing that is worth a sentence. */
const WORTH = 0.95;

/** The remedy that narrows a figure most; null where none narrows it by a twentieth. Equal ones: the first. */
export function narrowest(u: number, remedies: readonly Remedy[]): Remedy | null {
  let best: Remedy | null = null;
  for (const r of remedies) if (r.u < WORTH * u && (best === null || r.u < best.u - 1e-12)) best = r;
  return best;
}

/** Parts by their share of the variance, largest first, those that are nothing left out; and the whole. */
export function shared(parts: readonly Part[]): { u: number; shares: (Part & { share: number })[] } {
  const variance = parts.reduce((t, p) => t + p.u ** 2, 0);
  return {
    u: Math.sqrt(variance),
    shares: parts
      .filter((p) => p.u > 0)
      .map((p) => ({ ...p, share: p.u ** 2 / variance }))
      .sort((a, b) => b.share - a.share)
  };
}

/**
 * Where most of a figure's doubt comes from, and what would narrow it most and by how much.
 * @param pm how a ± is written: of one standard uncertainty
 */
export function adviceText(parts: readonly Part[], remedies: readonly Remedy[], pm: (u: number) => string): string {
  const { u, shares } = shared(parts);
  const most = shares[0];
  if (!most) return '';
  const from = `Most of it, ${(100 * most.share).toFixed(0)} %, is ${most.name}.`;
  const best = narrowest(u, remedies);
  if (!best) return `${from} Nothing within reach narrows it by a twentieth.`;
  const more = remedies.find((r) => r.oneMore && r !== best && r.u < WORTH * u);
  const also = more ? ` ${more.what.charAt(0).toUpperCase()}${more.what.slice(1)}: ${pm(more.u)}.` : '';
  return `${from} What narrows it most: ${best.what}, from ${pm(u)} to ${pm(best.u)}.${also}`;
}
