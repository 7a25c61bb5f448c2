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
export const countText = (n: number): string => NUMBERS[n] ?? String(n);

/** What the floor comes to, in one sentence. */
export function floorHeadline({ total, ready, find }: { total: number; ready: number; find: string }): string {
  if (total === 0) return find ? `No job matches “${find}”` : 'Nothing is on the floor';
  if (ready === 0) return 'Nothing can go on by itself';
  return ready === 1 ? 'One job can go on now' : `${countText(ready)} jobs can go on now`;
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
    helped: jobs.filter((j) => j.waits === 'helper'),
    held: jobs.filter((j) => j.waits === 'value' || j.waits === 'lock'),
    lately: jobs
      .filter((j) => j.lastAt !== null)
      .sort((a, b) => b.lastAt!.localeCompare(a.lastAt!))
      .slice(0, 4)
  };
}
