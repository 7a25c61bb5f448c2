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

  /** The same refusal with more said about where it came from. */
  with(details: Record<string, unknown>): Refusal {
    return Object.assign(
      new Refusal(this.status, this.code, this.message, this.path, { ...this.details, ...details }),
      { cause: this.cause }
    );
  }
}

/** An error as it is told to whoever asked; null where it is nobody's but ours. */
export const asRefusal = (e: unknown): Refusal | null => (e instanceof Refusal ? e : isAway(e) ? unavailable(e) : null);

export const ourFault = () =>
  new Refusal(
    500,
    'internal',
    'Something went wrong in the server. What was logged before is safe; this was not stored.'
  );

export const notFound = (what: string) => new Refusal(404, 'not-found', `There is no such ${what}.`);

/** Why the database cannot do its work now, and what is said of it. Whoever asks again later gets an answer. */
const TROUBLES = {
  away: ['database-away', 'The database does not answer. What you typed is kept here and sent again by itself.'],
  busy: [
    'database-busy',
    'The database is held up by something else. What you typed is kept here and sent again by itself.'
  ],
  full: [
    'disk-full',
    'The disk of the server is full: nothing can be stored until room is made on it. What you typed is kept here and sent again by itself.'
  ]
} as const;
type Trouble = keyof typeof TROUBLES;

/** The answer to a trouble of the database: 503, with which it is. */
export const unavailable = (cause: unknown, trouble: Trouble = troubleOf(cause) ?? 'away') =>
  Object.assign(new Refusal(503, TROUBLES[trouble][0], TROUBLES[trouble][1]), { cause });

interface DatabaseError {
  code?: string;
  constraint?: string;
}

const CODES: Record<Trouble, readonly string[]> = {
  away: [
    ...['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EHOSTUNREACH'],
    // shutting down, crashed, starting up; connection lost; no place left for a connection
    ...['57P01', '57P02', '57P03', '55000', '08000', '08003', '08006', '53300']
  ],
  // a lock not given in time, a statement or transaction over its time, two that wait for each other, no memory
  busy: ['55P03', '57014', '25P03', '25P04', '40P01', '40001', '53200'],
  full: ['53100']
};
const SAID: Record<Trouble, RegExp> = {
  away: /Connection terminated|Client has encountered a connection error|Client was closed/,
  busy: /timeout exceeded when trying to connect|Query read timeout/,
  full: /No space left on device/
};

/** What is the matter with the database itself, rather than with what it was asked; null: nothing. */
export function troubleOf(e: unknown): Trouble | null {
  if (e instanceof Refusal) return (Object.keys(TROUBLES) as Trouble[]).find((t) => TROUBLES[t][0] === e.code) ?? null;
  const { code } = (e ?? {}) as DatabaseError;
  const kinds = Object.keys(CODES) as Trouble[];
  const byCode = code ? kinds.find((t) => CODES[t].includes(code)) : undefined;
  if (byCode) return byCode;
  return e instanceof Error ? (kinds.find((t) => SAID[t].test(e.message)) ?? null) : null;
}

/** Is the database gone or held up, rather than unhappy with what it was asked? */
export const isAway = (e: unknown): boolean => troubleOf(e) !== null;

/** Does it name a row that is not there (any more)? */
export const gone = (e: unknown): boolean =>
  ((e as { cause?: DatabaseError }).cause ?? (e as DatabaseError)).code === '23503';

/**
 * A value the database cannot hold (a number or a day beyond all measure, a character it has no place for, a rule of the
 * table): the input's fault, whatever check it slipped through. Null for anything else.
 */
export function unfit(e: unknown): Refusal | null {
  const { code, constraint } = (e ?? {}) as DatabaseError;
  if (!code || !/^(22|23502|23503|23514|54000|54001)/.test(code)) return null;
  const what =
    code === '23503'
      ? 'It names something that is not here (any more).'
      : `It cannot be stored as it is${constraint ? ` (${constraint.replaceAll('_', ' ')})` : ''}: a number, a day or a text is beyond what can be kept.`;
  return Object.assign(new Refusal(422, 'bad-input', `${what} Change it and send it again.`), { cause: e });
}

/** The unique constraint that was violated, or null. */
export function violated(e: unknown): string | null {
  const { code, constraint } = (e ?? {}) as DatabaseError;
  return code === '23505' ? (constraint ?? '') : null;
}
