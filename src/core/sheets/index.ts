import { fitFromScratch } from './fit-from-scratch.ts';
import { verifyMarks } from './verify-marks.ts';
import type { RunSheet } from './types.ts';

export const runSheets: RunSheet[] = [fitFromScratch, verifyMarks];

export const sheetOf = (id: string): RunSheet | undefined => runSheets.find((s) => s.id === id);
