import { magnetoCoupling } from '../../calculations/magneto/magneto-coupling.ts';
import { magnetoLag } from '../../calculations/magneto/magneto-lag.ts';
import { verdictOrNone, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import { settledOf as settle, type Settled } from '../../job/readings.ts';
import { torqueOf, type Torque } from '../../job/torque.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { lastOf, numberOf, readingsOf } from './vocabulary.ts';

/** a figure with the limits that judge it; null is open */
type Judged = Settled & { min: number | null; max: number | null; verdict: Verdict | null };

/** What the coupling does to the spark, where it stands, and where its snap is heard. Crank degrees before TDC. */
export interface MagnetoWork {
  /** the lag at the crank and the spark it makes; null while the data sheet lacks running spark, lag or ratio */
  lag: ReturnType<typeof magnetoLag> | null;
  /** how the drive's coupling stands: off by, magneto degrees, clockwise above 0 from the drive end; and the nearest tooth */
  coupling: { wanted: number; found: number; offDeg: number; tooth: ReturnType<typeof magnetoCoupling> | null } | null;
  snap: Judged | null;
  snapAfter: Judged | null;
  /** the readings lie so far apart that two lobes, or two cylinders, were heard */
  twoLobes: boolean;
  run: (Judged & { rpm: number | null; rideOut: number | null }) | null;
  /** flange: torque read, and wanted */
  torque: Torque | null;
}

/** Farther apart than any ear and any backlash: another lobe. */
const LOBE_DEG = 20;

export function magnetoWork(engine: Engine, r: Replayed): MagnetoWork {
  const [run, lagDeg, ratio] = [
    numberOf(engine, 'runBtdc'),
    numberOf(engine, 'lagDeg'),
    numberOf(engine, 'magnetoRatio')
  ];
  const limits = (least: 'snapMinBtdc' | 'runMinBtdc', most: 'snapMaxBtdc' | 'runMaxBtdc') =>
    [numberOf(engine, least) ?? null, numberOf(engine, most) ?? null] as const;
  const judged = (slot: 'snap' | 'snap-after' | 'run-spark'): Judged | null => {
    const s = settle(r.readings, slot);
    if (!s) return null;
    const [min, max] = slot === 'run-spark' ? limits('runMinBtdc', 'runMaxBtdc') : limits('snapMinBtdc', 'snapMaxBtdc');
    return { ...s, min, max, verdict: verdictOrNone(s.value, s.u, min, max, s.scatterUnknown) };
  };
  const heard = readingsOf(r.readings, 'snap').map((x) => x.value);
  const spark = judged('run-spark');
  return {
    lag:
      run === undefined || lagDeg === undefined || ratio === undefined
        ? null
        : magnetoLag({ runBtdc: run, lagDeg, ratio }),
    coupling: couplingOf(engine, r),
    snap: judged('snap'),
    snapAfter: judged('snap-after'),
    twoLobes: heard.length > 1 && Math.max(...heard) - Math.min(...heard) > LOBE_DEG,
    run: spark && {
      ...spark,
      rpm: lastOf(r.readings, 'run-rpm')?.value ?? null,
      rideOut: numberOf(engine, 'rideOutRpm') ?? null
    },
    torque: flangeTorque(engine, r)
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
  const last = r.readings.findLast((x) => x.slot === 'flange-torque');
  return last && wanted !== undefined ? torqueOf(last, wanted) : null;
}
