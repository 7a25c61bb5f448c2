import { fitDifferent } from './fit-different.ts';
import { fitFromScratch } from './fit-from-scratch.ts';
import { openCase } from './open-case.ts';
import { pedestal } from './pedestal.ts';
import { refitSame } from './refit-same.ts';
import { regear } from './regear.ts';
import type { RunSheet } from './types.ts';
import { verifyMarks } from './verify-marks.ts';

export const runSheets: RunSheet[] = [fitFromScratch, fitDifferent, refitSame, pedestal, openCase, regear, verifyMarks];

export const sheetOf = (id: string): RunSheet | undefined => runSheets.find((s) => s.id === id);
