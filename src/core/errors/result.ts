import type { CalcError } from './catalogue.ts';

export type { CalcError };

export type Result<T> = { ok: true; out: T } | { ok: false; error: CalcError };

export const ok = <T>(out: T): Result<T> => ({ ok: true, out });
