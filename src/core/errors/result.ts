import type { ErrorCode } from './catalogue.ts';

/** What went wrong: a code from the closed list, a sentence for the bench, and the input at fault. */
export interface CalcError {
  code: ErrorCode;
  message: string;
  path: string;
}

export type Result<T> = { ok: true; out: T } | { ok: false; error: CalcError };

export const ok = <T>(out: T): Result<T> => ({ ok: true, out });
