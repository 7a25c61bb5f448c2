import type { Waiting } from './waiting.ts';

/** What the server would not take, as a file: who said what and when, and why it was not taken. */
export function asFile(jobId: string, all: readonly Waiting[]): string {
  const list = all.map(({ input, shown, refused }) => ({ ...input, by: shown.by.name, at: shown.at, refused }));
  return JSON.stringify({ job: jobId, notTaken: list }, null, 2);
}
