import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Run } from './spark.mts';

/** What was asked of each job, and what was found before settings and the crank's place were put right. */
interface Job {
  name: string;
  asked: number;
  /** within, by habits A and B, %; *in* said of what is out, of 100; left with a reason, %; degrees turned in the middle, A */
  before: { within: [number, number]; falseIn: [number, number]; left: string; turned?: number };
  turnedMost?: number;
}

export const JOBS: Record<string, Job> = {
  a: { name: 'TDC and mark', asked: 99, before: { within: [100, 100], falseIn: [0, 3], left: '0' } },
  b: {
    name: 'fit from scratch',
    asked: 97,
    before: { within: [62, 64], falseIn: [0, 0], left: '60 / 67', turned: 2069 }
  },
  c: {
    name: 'strobe, ring may have slipped',
    asked: 95,
    before: { within: [36, 35], falseIn: [21, 18], left: '48 / 55' }
  },
  d: {
    name: 'float',
    asked: 99,
    before: { within: [100, 100], falseIn: [0, 0], left: '14', turned: 1355 },
    turnedMost: 1000
  },
  e: { name: 'recurve in band', asked: 95, before: { within: [87, 86], falseIn: [0, 0], left: '9 / 5' } },
  f: {
    name: 'plunger lift',
    asked: 95,
    before: { within: [30, 35], falseIn: [21, 11], left: '57 / 73', turned: 2776 },
    turnedMost: 1400
  },
  g: { name: 'locked pump', asked: 97, before: { within: [54, 52], falseIn: [44, 45], left: '8 / 16' } },
  h: {
    name: 'magneto',
    asked: 93,
    before: { within: [27, 19], falseIn: [16, 14], left: '61 / 80', turned: 11327 },
    turnedMost: 5700
  },
  i: { name: 'two-stroke', asked: 95, before: { within: [66, 72], falseIn: [1, 0], left: '62 / 74' } },
  j: { name: 'static, first start', asked: 97, before: { within: [77, 78], falseIn: [1, 0], left: '65' } }
};

export type Played = Omit<Run, 'trace'> & { inLimits?: boolean; over?: number; cover?: boolean | null };

/** What the runs of a job come to, in per cent of the engines. */
export function summaryOf(runs: readonly Played[]) {
  const share = (f: (r: Played) => boolean) => (100 * runs.filter(f).length) / runs.length;
  const out = (r: Played) => !(r.inLimits ?? r.within);
  return {
    within: share((r) => r.within),
    falseIn: share((r) => r.said === 'in' && out(r)),
    // beyond the limit by more than any gauge of the job can doubt
    farIn: share((r) => r.said === 'in' && out(r) && !((r.over ?? 99) <= 0.2)),
    left: share((r) => r.unsure.length > 0),
    undecided: share((r) => r.said === 'unsure' || r.said === 'none'),
    dead: share((r) => r.dead !== null),
    broken: share((r) => r.broken.length > 0),
    readings: middle(runs.map((r) => r.readings)),
    turned: middle(runs.map((r) => r.turned))
  };
}

const middle = (xs: number[]): number => [...xs].sort((a, b) => a - b)[xs.length >> 1] ?? 0;
const row = (...cells: string[]) => `| ${cells.join(' | ')} |`;
const table = (head: string[], rows: string[][]) =>
  [row(...head), row(...head.map((_, k) => (k === 0 ? '---' : '---:'))), ...rows.map((r) => row(...r))].join('\n');
const one = (x: number) => (Number.isInteger(x) ? String(x) : x.toFixed(1));

/** Why runs were left with a reason, ended undecided or outside: the step's words without their figures, by share. */
function causesOf(runs: readonly Played[]): [string, number][] {
  const count = new Map<string, number>();
  for (const r of runs) {
    const words = [
      ...(r.dead ? [`ended there: ${r.dead}`] : []),
      ...r.unsure.map((u) => `left with a reason at ${u}`),
      ...(r.within ? [] : [`outside, and said ${r.said}`]),
      ...(r.said === 'unsure' ? ['undecided at the end'] : [])
    ];
    for (const w of new Set(words.map((x) => x.replace(/-?\d+(\.\d+)?/g, '…').replace(/\s+/g, ' '))))
      count.set(w, (count.get(w) ?? 0) + 1);
  }
  return [...count].sort((a, b) => b[1] - a[1]).map(([w, n]) => [w, (100 * n) / runs.length]);
}

/** Reads what the runs of both habits left in a folder and writes the page. */
export function guidanceDocument(folder: string, { n, seed }: { n: number; seed: number }): string {
  const of = (habit: 'A' | 'B', job: string): Played[] =>
    JSON.parse(readFileSync(join(folder, habit, `${job}.json`), 'utf8')) as Played[];
  const found = Object.entries(JOBS).map(([id, job]) => {
    const runs = { A: of('A', id), B: of('B', id) };
    return { id, job, runs, a: summaryOf(runs.A), b: summaryOf(runs.B) };
  });
  const both = (x: number, y: number) => `${one(x)} / ${one(y)}`;
  return `# Followed to the letter, does a job end right?

Ten kinds of job are played on hidden engines by a scripted technician who does only what the state of the job asks: he reads
gauges that are off, with a hand that scatters, turns a crank with slack behind it, and knows nothing that is hidden. The
truth is kept by machines with a physics of their own (\`study/guidance/physics.mts\`, \`spark.mts\`, \`more.mts\`); nothing of
the product is used for it. \`npm run study -- guidance\` makes this page anew: ${n} engines a job and habit, seed ${seed}; the same
seed comes out the same. A small set with fixed seeds runs in the tests.

Habit **A** runs past the end of a plan on 12 % of turns, tries again four times before leaving a step with a reason, and reads a
wheel to half a degree. Habit **B** runs past on 35 %, tries twice, and types whole degrees.

*Within*: the truth ends within 1° of the crank of the target (float: inside its limits; recurve: the whole curve in its
band; two-stroke: marks as well). *In though out*: the job's last verdict is *in* and the truth is out. *Left with a reason*: on
at least one step nothing led on but a reason. *Undecided*: the last verdict is *too close to call*, or there is none.

## Before and after

${table(
  [
    'job',
    'asked',
    'within before, A / B',
    'within now, A / B',
    'in though out before',
    'in though out now',
    'of these far'
  ],
  found.map(({ id, job, a, b }) => [
    `${id} ${job.name}`,
    `${job.asked}`,
    job.before.within.join(' / '),
    both(a.within, b.within),
    job.before.falseIn.join(' / '),
    both(a.falseIn, b.falseIn),
    both(a.farIn, b.farIn)
  ])
)}

All in per cent of the engines.

## Left with a reason, undecided, dead ends, turns

${table(
  [
    'job',
    'left before',
    'left now, A / B',
    'undecided now, A / B',
    'dead ends',
    'danger on at the starter',
    'readings, A / B',
    'turned before, °',
    'turned now, A, °',
    'asked, °'
  ],
  found.map(({ id, job, a, b }) => [
    `${id} ${job.name}`,
    job.before.left,
    both(a.left, b.left),
    both(a.undecided, b.undecided),
    both(a.dead, b.dead),
    both(a.broken, b.broken),
    both(a.readings, b.readings),
    job.before.turned === undefined ? '' : `${job.before.turned}`,
    `${Math.round(a.turned)}`,
    job.turnedMost === undefined ? '' : `${job.turnedMost}`
  ])
)}

## What it was left for, by cause

Shares of the engines of both habits together; what is below 1 % is left out. One engine can stand in several.

${found
  .map(({ id, job, runs }) => {
    const rows = causesOf([...runs.A, ...runs.B]).filter(([, share]) => share >= 1);
    return `### ${id} ${job.name}\n\n${
      rows.length === 0
        ? 'Nothing above 1 %.'
        : table(
            ['cause', 'share, %'],
            rows.map(([w, share]) => [w.replaceAll('|', '/'), share.toFixed(1)])
          )
    }`;
  })
  .join('\n\n')}

${NOTES}`;
}

const NOTES = readFileSync(new URL('./machines.md', import.meta.url), 'utf8');
