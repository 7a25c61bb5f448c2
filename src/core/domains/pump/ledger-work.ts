import { pumpTotal } from '../../calculations/pump/pump-total.ts';
import { verdictOrNone, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import { lastOf, numberOf } from './vocabulary.ts';

/** The two terms of a locked pump on a plain taper and what they add up to. Degrees of the crank, before TDC. */
export interface LedgerWork {
  lockBtdc: number | null;
  lockFrom: 'read' | 'sheet' | null;
  offsetBtdc: number | null;
  offsetFrom: 'decided' | 'sheet' | 'way' | null;
  targetBtdc: number | null;
  total: { btdc: number; uDeg: number | null; shortDeg: number | null; verdict: Verdict | null } | null;
  /** where the crank must stand when the gear is pressed on */
  crankSetBtdc: number | null;
  /** what the ledger lacks, in words */
  lacks: string[];
}

/** A ± of the data sheet is one that holds the truth: two standard uncertainties. */
const half = (pm: number | undefined): number | null => (pm === undefined ? null : pm / 2);

/** @param allInPump the whole angle is put in the pump, the gear pressed on with the crank at TDC */
export function ledgerWork(engine: Engine, r: Replayed, crankU: number | null, allInPump: boolean): LedgerWork {
  const [read, decided] = [lastOf(r.readings, 'lock-setting'), lastOf(r.readings, 'offset-decided')];
  const lockBtdc = read?.value ?? numberOf(engine, 'lockBtdc') ?? null;
  const offsetBtdc = decided?.value ?? (allInPump ? 0 : (numberOf(engine, 'gearOffsetBtdc') ?? null));
  const targetBtdc = numberOf(engine, 'pumpBtdc') ?? null;
  const lockU = half(numberOf(engine, 'lockWithinDeg'));
  const out =
    lockBtdc === null || offsetBtdc === null
      ? null
      : pumpTotal({
          pumpBtdc: lockBtdc,
          gearOffsetDeg: offsetBtdc,
          ...(targetBtdc === null ? {} : { targetBtdc })
        });
  const uDeg = lockU === null || crankU === null ? null : Math.hypot(lockU, crankU);
  const [min, max] = [numberOf(engine, 'pumpMinBtdc') ?? null, numberOf(engine, 'pumpMaxBtdc') ?? null];
  return {
    lockBtdc,
    lockFrom: read ? 'read' : lockBtdc === null ? null : 'sheet',
    offsetBtdc,
    offsetFrom: decided ? 'decided' : allInPump ? 'way' : offsetBtdc === null ? null : 'sheet',
    targetBtdc,
    total: out && {
      btdc: out.totalBtdc,
      uDeg,
      shortDeg: out.shortDeg ?? null,
      verdict: uDeg === null ? null : verdictOrNone(out.totalBtdc, uDeg, min, max)
    },
    crankSetBtdc: allInPump ? 0 : lockBtdc === null || targetBtdc === null ? null : targetBtdc - lockBtdc,
    lacks: [
      ...(lockBtdc === null ? ['where the pump is locked'] : []),
      ...(offsetBtdc === null ? ['where the crank stands when the gear is pressed on'] : []),
      ...(targetBtdc === null ? ['the timing wanted'] : []),
      ...(lockU === null ? ['how closely the lock holds'] : [])
    ]
  };
}

/** How far two terms may miss the timing wanted before the ledger is said to be closed. */
export const CLOSED_DEG = 0.05;
