import type { Engine } from '../../sheets/engine.ts';
import type { Replayed } from '../replay.ts';
import { tipWork, wiresWork, type TipWork, type WiresWork } from './cap-work.ts';
import { gearWork, type GearWork } from './gear-work.ts';
import { patchWork, type PatchRow } from './patch-work.ts';
import { ringsWork, type RingsWork } from './rings-work.ts';
import { stackWork, type StackWork } from './stack-work.ts';
import { toothWork, type PlaceAt, type ToothWork } from './tooth-work.ts';
import { witnessWork, type WitnessRow } from './witness-work.ts';

/** Everything that was measured and worked out of the drive on a job. Each part is worked out when it is first asked for. */
export interface DriveWork {
  readonly stack: StackWork;
  readonly rings: RingsWork;
  readonly patches: PatchRow[];
  readonly gears: GearWork;
  readonly tooth: ToothWork;
  readonly witness: WitnessRow[];
  readonly wires: WiresWork;
  readonly tip: TipWork;
}

export function driveWork(engine: Engine, r: Replayed, placeAt: PlaceAt): DriveWork {
  const parts = {
    stack: () => stackWork(engine, r),
    rings: () => ringsWork(engine, r),
    patches: () => patchWork(engine, r),
    gears: () => gearWork(engine, r),
    tooth: () => toothWork(engine, r, placeAt),
    witness: () => witnessWork(engine, r),
    wires: () => wiresWork(engine, r),
    tip: () => tipWork(engine, r)
  };
  return onDemand(parts);
}

/** An object whose members are worked out once, when they are first read. */
function onDemand<T extends object>(makers: { [K in keyof T]: () => T[K] }): T {
  const out = {} as T;
  for (const key of Object.keys(makers) as (keyof T)[]) {
    let made: { value: T[typeof key] } | null = null;
    Object.defineProperty(out, key, { enumerable: true, get: () => (made ??= { value: makers[key]() }).value });
  }
  return out;
}
