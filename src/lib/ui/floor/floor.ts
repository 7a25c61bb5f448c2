/** A job as its row on the floor shows it. */
export interface FloorJob {
  id: string;
  engine: string;
  summary: string;
  sheet: string;
  /** what comes next, and what the job waits for: the key and its words */
  next: string;
  waits: string;
  waitsText: string;
  /** not worked out yet */
  behind: boolean;
  promisedOn: string | null;
  done: number;
  total: number;
  lastBy: string | null;
  lastAt: string | null;
}

const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten'];
/** A count as a sentence begins with it. */
export const countText = (n: number): string => NUMBERS[n] ?? n.toLocaleString('en-GB');

interface FloorCounts {
  total: number;
  /** can go on now */
  ready: number;
  /** not worked out yet: what they wait for is not known */
  pending: number;
  find: string;
}

/** What the floor comes to, in one sentence. */
export function floorHeadline({ total, ready, pending, find }: FloorCounts): string {
  if (total === 0) return find ? `No job matches “${find}”` : 'Nothing is on the floor';
  const jobs = (n: number) => `${countText(n)} ${n === 1 ? 'job' : 'jobs'}`;
  if (pending > 0) {
    const rest = `${jobs(pending)} ${pending === 1 ? 'is' : 'are'} being worked out`;
    return ready === 0 ? rest : `${jobs(ready)} can go on now; ${rest.charAt(0).toLowerCase()}${rest.slice(1)}`;
  }
  return ready === 0 ? 'Nothing can go on by itself' : `${jobs(ready)} can go on now`;
}

/** The jobs in whose row every word that was typed stands. */
export function jobsWith(jobs: readonly FloorJob[], typed: string): FloorJob[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return jobs.filter((j) => {
    const row = `${j.engine} ${j.summary} ${j.sheet} ${j.next} ${j.waitsText}`.toLowerCase();
    return words.every((w) => row.includes(w));
  });
}

/** What the day asks of people: where a helper is needed, what is held up, and where somebody wrote last. */
export function dayOf(jobs: readonly FloorJob[]) {
  return {
    /** some are not worked out yet: who or what they wait for is not known */
    open: jobs.some((j) => j.behind),
    helped: jobs.filter((j) => j.waits === 'helper'),
    held: jobs.filter((j) => j.waits === 'value' || j.waits === 'lock'),
    lately: jobs
      .filter((j) => j.lastAt !== null)
      .sort((a, b) => b.lastAt!.localeCompare(a.lastAt!))
      .slice(0, 4)
  };
}
