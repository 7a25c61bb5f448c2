import { fitFromScratch } from './fit-from-scratch.ts';
import type { RunSheet } from './types.ts';

export const runSheets: RunSheet[] = [fitFromScratch];

export const sheetOf = (id: string): RunSheet | undefined => runSheets.find((s) => s.id === id);
