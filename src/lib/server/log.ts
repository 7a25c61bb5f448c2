/** The server's log: one line an entry, with its time; what went wrong with where it happened. */
const line = (level: string, what: string) => `${new Date().toISOString()} ${level} ${what}`;

export const log = {
  info: (what: string): void => console.log(line('info', what)),
  error: (what: string, e?: unknown): void => console.error(line('error', what), e === undefined ? '' : withoutRows(e))
};

/**
 * An error as it is logged: what it is and where it happened. What a database says of one may quote the row it was about,
 * which belongs in no log; its code, table and rule say enough.
 */
export function withoutRows(e: unknown): string {
  if (!(e instanceof Error)) return typeof e === 'string' ? e : 'something that is no error was thrown';
  const { code, table, constraint } = e as { code?: string; table?: string; constraint?: string };
  const where = (e.stack ?? '').split('\n').filter((l) => /^\s+at /.test(l));
  const fromDatabase = typeof code === 'string' && /^[0-9A-Z]{5}$/.test(code);
  const what = fromDatabase
    ? ['database error', code, table && `table ${table}`, constraint && `rule ${constraint}`].filter(Boolean).join(', ')
    : `${e.name}: ${e.message}`;
  return [what, ...where, ...(e.cause instanceof Error ? [`caused by ${withoutRows(e.cause)}`] : [])].join('\n');
}
