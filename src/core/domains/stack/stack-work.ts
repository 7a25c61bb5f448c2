import { stackEndFloat, type EndFloat } from '../../calculations/stack/stack-end-float.ts';
import { stackEngagement, type Engagement } from '../../calculations/stack/stack-engagement.ts';
import { stackThermal } from '../../calculations/stack/stack-thermal.ts';
import type { metals } from '../../calculations/stack/schemas.ts';
import type { Gauge } from '../../calculations/gauge/hand.ts';
import { verdictOrNone, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { Engine } from '../../engine/engine.ts';
import { judgedSlot, type Judged as JudgedFigure } from '../../job/judged.ts';
import { slots } from './slots.ts';
import { choiceOf, lastOf, numberOf, readingsOf, settledOf } from './vocabulary.ts';
import { wanderOf, type Wander } from './wander.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { byLastGauge, gaugeOf, oneReading, partsOfSum, type Settled } from '../../job/readings.ts';
import { partsTaken } from '../../job/taken.ts';
import type { Part } from '../../tray/part-kinds.ts';

export type DriveKind = 'pedestal' | 'own-gear' | 'open-case';

/** One place round the pedestal: the blades that filled it, and their sum. */
export interface GapRow {
  reading: Reading;
  blades: number[];
  sumMm: number;
}

export interface Judged {
  mm: number;
  uMm: number;
  verdict: Verdict | null;
}

export interface StackWork {
  kind: DriveKind | null;
  minMm: number | null;
  maxMm: number | null;
  targetMm: number | null;
  washers: Reading[];
  gaps: GapRow[];
  /** spread of the gaps round the face: tilt */
  tiltMm: number | null;
  /** from washer and gaps, no packing in */
  bare: EndFloat | null;
  /** what it adds that nobody said how the blades of a place were chosen; 0 once it is said. mm, standard */
  uPackMm: number;
  /** read directly, push and pull */
  direct: JudgedFigure | null;
  packing: Part[];
  packingMm: Settled | null;
  /** the float that counts: read directly on the finished drive, else washer and gaps with the packing that was chosen */
  float: (Judged & { from: 'dial' | 'both' | 'washer' | 'bench' }) | null;
  /** how far the dial's figure lies from what washer, gaps and packing give, and whether that is more than both can err; mm */
  apart: { mm: number; uMm: number; real: boolean } | null;
  engagement: Engagement | null;
  gasket: Settled | null;
  faceMm: number | null;
  wander: Wander | null;
  hot: { growthMm: number; hotFloatMm: number; hotC: number } | null;
  /** float lost when the clamp is tightened: the drive stands on the pump if that is more than can be misread */
  lossMm: Settled | null;
  bottoms: boolean;
  /** the gear touches both faces: nothing may be turned */
  clamped: boolean;
  /** fields of the data sheet that would show more */
  lacks: string[];
}

/** Where in its limits the float is aimed, by the school chosen; a wanted float on the data sheet comes first. */
const AIM: Record<string, number> = { centre: 0.5, loose: 0.75, tight: 0.25 };

/**
 * The drive as it is stacked, from the readings of the log, the parts taken and the data sheet. Lengths in mm, u is one
 * standard uncertainty. Float: stack.endFloat plus the packing, or read directly; depth: stack.engagement.
 */
export function stackWork(engine: Engine, r: Replayed): StackWork {
  const { readings } = r;
  const min = numberOf(engine, 'floatMinMm') ?? null;
  const max = numberOf(engine, 'floatMaxMm') ?? null;
  const washers = byLastGauge(readingsOf(readings, 'washer'));
  const gaps = byLastGauge(readingsOf(readings, 'gap')).map((reading) => ({
    reading,
    blades: partsOfSum(reading),
    sumMm: reading.value
  }));
  const pack = r.chosen.get('blade-pack');
  const blades = gaps[0] && gaugeOf(gaps[0].reading);
  const read =
    washers.length > 0 && gaps.length > 0 && gaps.every((g) => g.blades.every((b) => b > 0))
      ? stackEndFloat({
          washerMm: washers.map((w) => w.value),
          washerGauge: gaugeOf(washers[0]!),
          gaps: gaps.map((g) => g.blades),
          bladeGauge: blades!,
          pack: pack === 'largest' ? 'largest' : 'nearest',
          spec: { minMm: min, maxMm: max }
        })
      : null;
  const uPack = pack === undefined && blades ? uOfPack(blades) : 0;
  const bare = read && eitherPack(read, uPack, min, max);
  const dial = judgedSlot(engine, readings, slots['float-dial']);
  const bench = settledOf(readings, 'float');
  const packing = partsTaken(r, 'packing');
  const packingMm = settledOf(readings, 'packing') ?? thicknessOf(packing);
  const float = floatThatCounts(bare, dial, bench, packingMm, min, max);
  const sum = bare && sumOf(bare, packingMm);
  const apart = dial && sum ? apartOf(dial, sum) : null;
  const engagement = depthOf(engine, readings);
  const lossMm = lossOf(readings);
  return {
    kind: (choiceOf(engine, 'driveKind') as DriveKind | undefined) ?? null,
    minMm: min,
    maxMm: max,
    targetMm:
      numberOf(engine, 'floatTargetMm') ??
      (min !== null && max !== null
        ? min + (max - min) * (AIM[r.chosen.get('float-target') ?? 'centre'] ?? 0.5)
        : null),
    washers,
    gaps,
    tiltMm: gaps.length > 1 ? Math.max(...gaps.map((g) => g.sumMm)) - Math.min(...gaps.map((g) => g.sumMm)) : null,
    bare,
    uPackMm: uPack,
    direct: dial,
    packing,
    packingMm,
    float,
    apart,
    engagement,
    gasket: gasketOf(engine, readings),
    faceMm: numberOf(engine, 'gearFaceMm') ?? null,
    wander: float && float.mm > 0 ? wanderOf(engine, float.mm) : null,
    hot: float ? hotOf(engine, float.mm) : null,
    lossMm,
    bottoms: lossMm !== null && lossMm.value > 2 * lossMm.u + 1e-9,
    clamped: bare !== null && bare.preloaded && packing.length === 0,
    lacks: ['floatMinMm', 'floatMaxMm'].filter((n) => !engine.values[n])
  };
}

/**
 * The thickest pack that enters leaves half a step of room on average, the best fit none. Until it is said which of them was
 * taken that half step is doubt, whole: a one-sided limit counts for no less.
 */
export const uOfPack = (blades: Gauge): number => blades.resolution / 2;

function eitherPack(float: EndFloat, uPack: number, min: number | null, max: number | null): EndFloat {
  if (uPack === 0) return float;
  const uMm = Math.hypot(float.uMm, uPack);
  return { ...float, uMm, verdict: verdictOrNone(float.floatMm, uMm, min, max, float.scatterUnknown) };
}

function floatThatCounts(
  bare: EndFloat | null,
  dial: JudgedFigure | null,
  bench: Settled | null,
  packing: Settled | null,
  min: number | null,
  max: number | null
): StackWork['float'] {
  if (dial && bare && !dial.scatterUnknown && !bare.scatterUnknown && !packing?.scatterUnknown) {
    const sum = sumOf(bare, packing);
    // two ways that share no gauge: where they agree, each tells of the other
    if (!apartOf(dial, sum).real) return together(dial, sum, min, max);
  }
  if (dial) return { mm: dial.value, uMm: dial.u, verdict: dial.verdict, from: 'dial' };
  if (bare) {
    const { mm, uMm } = sumOf(bare, packing);
    return {
      mm,
      uMm,
      verdict: verdictOrNone(mm, uMm, min, max, bare.scatterUnknown ?? packing?.scatterUnknown),
      from: 'washer'
    };
  }
  if (bench)
    return {
      mm: bench.value,
      uMm: bench.u,
      verdict: verdictOrNone(bench.value, bench.u, min, max, bench.scatterUnknown),
      from: 'bench'
    };
  return null;
}

/** Float by washer and gaps, with the packing that was put in. */
const sumOf = (bare: EndFloat, packing: Settled | null): { mm: number; uMm: number } => ({
  mm: bare.floatMm + (packing?.value ?? 0),
  uMm: Math.hypot(bare.uMm, packing?.u ?? 0)
});

function apartOf(dial: JudgedFigure, sum: { mm: number; uMm: number }): NonNullable<StackWork['apart']> {
  const [mm, uMm] = [dial.value - sum.mm, Math.hypot(dial.u, sum.uMm)];
  return { mm, uMm, real: Math.abs(mm) > APART_U * uMm + 1e-9 };
}
/** Two figures of one thing lie further apart than this many of their standard uncertainties once in a hundred. */
const APART_U = 2.6;

/** Two independent figures of one thing, each weighed by 1/u² (weighted mean, Guide to the expression of uncertainty, H.3). */
function together(
  dial: JudgedFigure,
  sum: { mm: number; uMm: number },
  min: number | null,
  max: number | null
): NonNullable<StackWork['float']> {
  const [a, b] = [1 / dial.u ** 2, 1 / sum.uMm ** 2];
  const mm = (dial.value * a + sum.mm * b) / (a + b);
  const uMm = 1 / Math.sqrt(a + b);
  return { mm, uMm, verdict: verdictOrNone(mm, uMm, min, max), from: 'both' };
}

/** Pieces laid on one another: thicknesses add, their uncertainties in squares. */
export const thicknessOf = (parts: readonly Part[]): Settled | null =>
  parts.length === 0
    ? null
    : {
        value: parts.reduce((t, p) => t + (p.thicknessMm ?? 0), 0),
        u: Math.hypot(...parts.map((p) => p.uMm ?? 0)),
        n: parts.length
      };

/** The last reading of each counts: read again after a correction, the one before is of another state. */
function lossOf(readings: readonly Reading[]): Settled | null {
  const loose = lastOf(readings, 'float-loose');
  const tight = lastOf(readings, 'float-tight');
  return loose && tight
    ? { value: loose.value - tight.value, u: Math.hypot(oneReading(loose).u, oneReading(tight).u), n: 2 }
    : null;
}

function gasketOf(engine: Engine, readings: readonly Reading[]): Settled | null {
  const read = settledOf(readings, 'gasket');
  if (read) return read;
  const sheet = numberOf(engine, 'gasketMm');
  return sheet === undefined ? null : { value: sheet, u: 0, n: 1 };
}

function depthOf(engine: Engine, readings: readonly Reading[]): Engagement | null {
  const length = settledOf(readings, 'length');
  const depth = settledOf(readings, 'drive-depth');
  const offset: Settled = settledOf(readings, 'offset') ?? { value: 0, u: 0, n: 0 };
  const gasket: Settled = gasketOf(engine, readings) ?? { value: 0, u: 0, n: 0 };
  const slot = numberOf(engine, 'pumpSlotDepthMm');
  const minClearance = numberOf(engine, 'minClearanceMm');
  if (!length || !depth) return null;
  return stackEngagement({
    lengthMm: length.value,
    depthToDriveMm: depth.value,
    featureOffsetMm: offset.value,
    gasketMm: gasket.value,
    minEngagementMm: numberOf(engine, 'minEngagementMm') ?? null,
    uMm: { length: length.u, depth: depth.u, offset: offset.u, gasket: gasket.u },
    scatterUnknown: [length, depth, offset, gasket].some((x) => x.scatterUnknown),
    ...(slot === undefined ? {} : { slotDepthMm: slot }),
    ...(minClearance === undefined ? {} : { minClearanceMm: minClearance })
  });
}

const COLD_C = 20;
type Metal = (typeof metals)[number];

/** What warming from 20 °C to the oil's temperature does to a float. */
export function hotOf(engine: Engine, coldFloatMm: number): StackWork['hot'] {
  const lengthMm = numberOf(engine, 'floatLengthMm');
  const hotC = numberOf(engine, 'hotC');
  const housing = choiceOf(engine, 'housingMetal') as Metal | undefined;
  const shaft = choiceOf(engine, 'shaftMetal') as Metal | undefined;
  const drive = choiceOf(engine, 'driveKind');
  // the arrangement turns the sign of the growth: without it nothing is said
  if (lengthMm === undefined || hotC === undefined || !housing || !shaft || drive === undefined) return null;
  const arrangement = drive === 'own-gear' ? 'housing-between-collars' : 'shaft-in-housing';
  return {
    ...stackThermal({ lengthMm, housing, shaft, coldC: COLD_C, hotC, coldFloatMm, arrangement }),
    hotC
  };
}
