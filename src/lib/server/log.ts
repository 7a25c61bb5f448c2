/** The server's log: one line an entry, with its time; what went wrong with where it happened. */
const line = (level: string, what: string) => `${new Date().toISOString()} ${level} ${what}`;

export const log = {
  info: (what: string): void => console.log(line('info', what)),
  error: (what: string, e?: unknown): void => console.error(line('error', what), e ?? '')
};
