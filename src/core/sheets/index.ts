// whoever knows all run sheets has all of their workings too
import '../job/domains/all.ts';
import { fieldOf } from './data-sheet.ts';
import { fitDifferent } from './fit-different.ts';
import { fitFromScratch } from './fit-from-scratch.ts';
import { openCase } from './open-case.ts';
import { pedestal } from './pedestal.ts';
import { refitSame } from './refit-same.ts';
import { shaftInPlace } from './shaft-in-place.ts';
import { regear } from './regear.ts';
import type { RunSheet } from '../job/run-sheet.ts';
import { benchCheck } from './bench-check.ts';
import { recurve } from './recurve.ts';
import { staticTiming } from './static-timing.ts';
import { strobeTiming } from './strobe-timing.ts';
import { verifyMarks } from './verify-marks.ts';

const sheets: RunSheet[] = [
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
  benchCheck,
  verifyMarks
];

const labelled = (s: RunSheet): RunSheet => ({
  ...s,
  labels: Object.fromEntries(s.steps.flatMap((x) => x.values).map((n) => [n, fieldOf(n)?.label ?? n]))
});
export const runSheets: RunSheet[] = sheets.map(labelled);

export const sheetOf = (id: string): RunSheet | undefined => runSheets.find((s) => s.id === id);
