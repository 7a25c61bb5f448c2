import { domains, manifests } from '../domains/all.ts';
import type { Works, SchoolId } from '../domains/list.ts';
import type { Engine } from '../engine/engine.ts';
import type { Domain, JobState } from '../job/domain.ts';
import type { JobEvent } from '../job/events.ts';
import type { RunSheet } from '../job/run-sheet.ts';
import { jobState } from '../job/state.ts';
import { bleeding } from './bleeding.ts';
import { benchCheck } from './bench-check.ts';
import { complete } from './complete.ts';
import { dataSheetFields } from './data-sheet.ts';
import { fitDifferent } from './fit-different.ts';
import { fitFromScratch } from './fit-from-scratch.ts';
import { inPlaceCheck } from './in-place-check.ts';
import { lockedOffset } from './locked-offset.ts';
import { magneto } from './magneto.ts';
import { openCase } from './open-case.ts';
import { pedestal } from './pedestal.ts';
import { plungerLift } from './plunger-lift.ts';
import { pumpBench } from './pump-bench.ts';
import { recurve } from './recurve.ts';
import { refitSame } from './refit-same.ts';
import { regear } from './regear.ts';
import { rotaryLock } from './rotary-lock.ts';
import { shaftInPlace } from './shaft-in-place.ts';
import { staticTiming } from './static-timing.ts';
import { strobeTiming } from './strobe-timing.ts';
import { teardown } from './teardown.ts';
import { twoStroke } from './two-stroke.ts';
import { verifyMarks } from './verify-marks.ts';

const plans = [
  fitFromScratch,
  fitDifferent,
  refitSame,
  pedestal,
  openCase,
  shaftInPlace,
  regear,
  staticTiming,
  strobeTiming,
  recurve,
  inPlaceCheck,
  teardown,
  benchCheck,
  plungerLift,
  lockedOffset,
  rotaryLock,
  pumpBench,
  bleeding,
  magneto,
  twoStroke,
  verifyMarks
];

/** Every run sheet, complete. */
export const runSheets: RunSheet[] = plans.map((p) => complete(p, domains, manifests, dataSheetFields));

export const sheetOf = (id: string): RunSheet | undefined => runSheets.find((s) => s.id === id);

/** The domains that a run sheet is worked out with. */
export const domainsOf = (sheet: Pick<RunSheet, 'domains'>): Domain[] =>
  domains.filter((d) => sheet.domains.includes(d.name));

/** The state of a job, where all trades are at hand. */
export const stateOf = (sheet: RunSheet, engine: Engine, log: readonly JobEvent[]): JobState<Works, SchoolId> =>
  jobState(sheet, engine, log, domainsOf(sheet));
