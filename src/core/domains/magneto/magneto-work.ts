import { magnetoCoupling } from '../../calculations/magneto/magneto-coupling.ts';
import { KICKBACK_DEG, magnetoLag } from '../../calculations/magneto/magneto-lag.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import type { Correction } from '../../job/domain.ts';
import { asRead, judgedSlot, settledU, type Judged } from '../../job/judged.ts';
import type { Reading } from '../../job/replayed.ts';
import type { Slot } from '../../job/run-sheet.ts';
import { adviseSetting, type Advice } from '../../job/setting-advice.ts';
import { ofLastSetting } from '../../job/settings.ts';
import { slots } from './slots.ts';
import { torqueOf, type Torque } from '../../job/torque.ts';
import { EPS, wrap180 } from '../../numerics/angles.ts';
import { lastOf, numberOf, readingsOf } from './vocabulary.ts';

/** A figure with the mark's error taken off and the limits that judge it, and what to do about it. */
export type Heard = Judged & {
  advice: Advice;
  /** what it is brought to, crank degrees before TDC; null where nothing says */
  aim: number | null;
};

/** What the coupling does to the spark, where it stands, and where its snap is heard. Crank degrees before TDC. */
export interface MagnetoWork {
  /** the lag at the crank and the spark it makes; null while the data sheet lacks running spark, lag or ratio */
  lag: ReturnType<typeof magnetoLag> | null;
  /** how the drive's coupling stands: off by, magneto degrees, clockwise above 0 from the drive end; and the nearest tooth */
  coupling: { wanted: number; found: number; offDeg: number; tooth: ReturnType<typeof magnetoCoupling> | null } | null;
  /** of the setting that stands; null where the flange was turned since it was last heard */
  snap: Heard | null;
  snapAfter: Heard | null;
  /** degrees of the crank by which tightening moved it; null until both were heard */
  moved: { deg: number; u: number; real: boolean } | null;
  /** what this engine's coupling holds back, by its own snap and running spark; null until both were read */
  lagSeen: { crankDeg: number; u: number } | null;
  /** the readings lie so far apart that two lobes, or two cylinders, were heard */
  twoLobes: boolean;
  run: (Heard & { rpm: number | null; rideOut: number | null }) | null;
  /** flange: torque read, and wanted */
  torque: Torque | null;
}

/**
 * What a snap that was heard says of a start by hand. `unheard`: nothing was heard, or on a mark that nobody proved. `fit`: it is
 * in by its limits and no earlier than a hand bears, or that early at most with all of its ± (three standard uncertainties where
 * the hand's scatter is not known). `kicks`: it may come so early that the crank is thrown back.
 */
export function handStart({ snap, snapAfter }: Pick<MagnetoWork, 'snap' | 'snapAfter'>): 'unheard' | 'kicks' | 'fit' {
  const heard = snapAfter ?? snap;
  if (!heard || heard.unproved) return 'unheard';
  const reach = heard.verdict?.state === 'in' ? 0 : (heard.scatterUnknown ? 3 : 2) * heard.u;
  return heard.value + reach > KICKBACK_DEG + EPS ? 'kicks' : 'fit';
}

/** Farther apart than any ear and any backlash: another lobe. */
const LOBE_DEG = 20;

export function magnetoWork(engine: Engine, r: Replayed, mark: Correction | null): MagnetoWork {
  const [run, lagDeg, ratio] = [
    numberOf(engine, 'runBtdc'),
    numberOf(engine, 'lagDeg'),
    numberOf(engine, 'magnetoRatio')
  ];
  const lagSeen = lagOf(engine, r, mark);
  // what the running spark taught of this coupling tells where its snap belongs
  const snapAim = lagSeen && run !== undefined ? run - lagSeen.crankDeg : (numberOf(engine, 'magnetoRefBtdc') ?? null);
  const now = r.readings.filter((x) => !x.setting?.earlier);
  const [snap, snapAfter] = (['snap', 'snap-after'] as const).map((slot) =>
    heardOf(engine, now, slots[slot], mark, snapAim)
  );
  const heard = ofLastSetting(readingsOf(now, 'snap')).map((x) => x.value);
  const spark = heardOf(engine, now, slots['run-spark'], mark, run ?? null);
  return {
    lag:
      run === undefined || lagDeg === undefined || ratio === undefined
        ? null
        : magnetoLag({ runBtdc: run, lagDeg, ratio }),
    coupling: couplingOf(engine, r),
    snap: snap ?? null,
    snapAfter: snapAfter ?? null,
    moved: movedBy(snap, snapAfter),
    lagSeen,
    twoLobes: (heard.length > 1 && Math.max(...heard) - Math.min(...heard) > LOBE_DEG) || farFromBefore(r, snap),
    run: spark && {
      ...spark,
      rpm: lastOf(r.readings, 'run-rpm')?.value ?? null,
      rideOut: numberOf(engine, 'rideOutRpm') ?? null
    },
    torque: flangeTorque(engine, r)
  };
}

/** One reading alone, so far from those before that it may be another lobe, and nobody said that the flange was turned. */
function farFromBefore(r: Replayed, snap: Heard | null | undefined): boolean {
  if (!snap?.guessed) return false;
  const all = readingsOf(r.readings, 'snap');
  const before = all[all.length - 2];
  return before !== undefined && Math.abs(all[all.length - 1]!.value - before.value) > LOBE_DEG;
}

/** Heard where the mark stands at a setting: corrected, judged, and what to do about it. */
function heardOf(
  engine: Engine,
  readings: readonly Reading[],
  slot: Slot,
  mark: Correction | null,
  aim: number | null
): Heard | null {
  const judged = judgedSlot(engine, readings, slot, mark);
  if (!judged) return null;
  const limits = { min: judged.min, max: judged.max, target: judged.unproved ? null : aim };
  return { ...judged, aim, advice: adviseSetting(asRead(readings, slot, judged), judged.verdict, limits) };
}

/** Tightening against loose: both were read on the same mark, whose error drops out. */
function movedBy(before: Heard | null | undefined, after: Heard | null | undefined): MagnetoWork['moved'] {
  if (!before || !after) return null;
  const [a, b] = [settledU(before), settledU(after)];
  const deg = (after.raw ?? after.value) - (before.raw ?? before.value);
  const u = Math.hypot(a, b);
  return { deg, u, real: Math.abs(deg) > 2 * u + 1e-9 };
}

/** What the coupling holds back on this engine, from snap and running spark of one setting; the mark is in both. */
function lagOf(engine: Engine, r: Replayed, mark: Correction | null): MagnetoWork['lagSeen'] {
  const spark = r.readings.findLast((x) => x.slot === 'run-spark')?.setting;
  if (!spark) return null;
  const same = r.readings.filter((x) => x.setting?.thing === spark.thing && x.setting.n === spark.n);
  const [after, run] = (['snap-after', 'run-spark'] as const).map((slot) =>
    judgedSlot(engine, same, slots[slot], mark)
  );
  if (!after || !run) return null;
  return {
    crankDeg: (run.raw ?? run.value) - (after.raw ?? after.value),
    u: Math.hypot(settledU(run), settledU(after))
  };
}

function couplingOf(engine: Engine, r: Replayed): MagnetoWork['coupling'] {
  const wanted = numberOf(engine, 'couplingBearing');
  const found = lastOf(r.readings, 'drive-stands')?.value;
  if (wanted === undefined || found === undefined) return null;
  const offDeg = wrap180(found - wanted);
  const teeth = numberOf(engine, 'magnetoGearTeeth');
  return { wanted, found, offDeg, tooth: teeth === undefined ? null : magnetoCoupling({ teeth, offDeg }) };
}

function flangeTorque(engine: Engine, r: Replayed): Torque | null {
  const wanted = numberOf(engine, 'magnetoTorqueNm');
  const last = r.readings.findLast((x) => x.slot === 'flange-torque' && !x.setting?.earlier);
  return last && wanted !== undefined ? torqueOf(last, wanted) : null;
}
