/** A refusal that a screen can show: what happened and what to do, with the status that belongs to it. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly path = '',
    readonly details: Record<string, unknown> = {}
  ) {
    super(message);
  }
}

export const notFound = (what: string) => new Refusal(404, 'not-found', `There is no such ${what}.`);
export const unavailable = (cause: unknown) =>
  Object.assign(
    new Refusal(
      503,
      'database-away',
      'The database does not answer. What you typed is kept here and sent again by itself.'
    ),
    { cause }
  );

interface DatabaseError {
  code?: string;
  constraint?: string;
}

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  '57P01',
  '57P02',
  '57P03',
  '55000',
  '08000',
  '08003',
  '08006',
  '53300'
]);

/** Is the database gone, rather than unhappy with what it was asked? */
export function isAway(e: unknown): boolean {
  const { code } = (e ?? {}) as DatabaseError;
  if (code && AWAY.has(code)) return true;
  return (
    e instanceof Error &&
    /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error/.test(
      e.message
    )
  );
}

/** The unique constraint that was violated, or null. */
export function violated(e: unknown): string | null {
  const { code, constraint } = (e ?? {}) as DatabaseError;
  return code === '23505' ? (constraint ?? '') : null;
}
