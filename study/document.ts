import type { Further } from './further.ts';
import { HONEST, type Judged } from './judge.ts';
import { wrong, type NearLimit } from './near-limit.ts';
import { plotSvg, type Plot } from './plot.ts';

/** The study as a document and its plots by file name. */
export interface Document {
  text: string;
  plots: Record<string, string>;
}

const pct = (x: number | null) => (x === null ? 'none stated' : `${x.toFixed(1)} %`);
const row = (...cells: (string | number)[]) => `| ${cells.join(' | ')} |`;
const table = (head: string[], rows: (string | number)[][]) =>
  [row(...head), row(...head.map((_, k) => (k === 0 ? '---' : '---:'))), ...rows.map((r) => row(...r))].join('\n');

export function writeDocument(
  judged: readonly Judged[],
  limits: readonly NearLimit[],
  more: readonly Further[],
  { trials, seed }: { trials: number; seed: number }
): Document {
  const plots: Record<string, string> = {};
  const plot = (file: string, p: Plot) => {
    plots[file] = plotSvg(p);
    return `![${p.title}](uncertainty/${file})`;
  };
  const honest = judged.filter((j) => isHonest(j));
  const low = judged.filter((j) => j.held !== null && j.held < HONEST.least);
  const wide = judged.filter((j) => j.held !== null && j.held > HONEST.most);
  const plain = judged.filter((j) => j.heldBefore !== null);
  const plainHonest = plain.filter((j) => j.heldBefore! >= HONEST.least && j.heldBefore! <= HONEST.most);
  const text = `# Does a stated ± hold the truth?

Every figure on screen says ±, and means that the truth lies inside 95 times in 100. This document counts it: simulated
hands with known truths measure again and again, the calculations of this project state their ±, and the share that held the
truth is counted. \`npm run study\` makes it anew; it is made by chance from a seed, ${trials.toLocaleString('en-GB')} measurements a case,
seed ${seed}, and comes out the same each time. A small version runs in the tests.

**How readings come about.** A gauge shows whole steps. It is off by a fixed amount anywhere within its ±, for a whole
measurement. The hand scatters from reading to reading. How much it scatters is known as a workshop comes to know it: from
twenty figures that were each read twice with the same gauge, with the error that so few repeats bring.

**Found.** Of ${judged.length} figures ${honest.length} lie within ${HONEST.least} to ${HONEST.most} %, ${low.length} are too narrow, ${wide.length} wider than need be. Wider
ones are named with their reason below. The plain reckoning that this project began with (step and ± of the gauge, scatter
of the sample as it is) held within the same bounds in ${plainHonest.length} of ${plain.length}.

## Share that holds, by how much was read

${seriesPlots(judged, plot)}

## Every case

*Before* is the plain reckoning on the same readings; it stated nothing where the column is empty.

${table(
  ['measured', 'figure', 'holds', 'before', 'median ±', 'note'],
  judged.map((j) => [
    `${j.of.group}: ${j.of.name}`,
    j.figure,
    pct(j.held),
    j.heldBefore === null ? '' : pct(j.heldBefore),
    j.half === null ? '' : Number(j.half.toPrecision(2)),
    noteOf(j)
  ])
)}

## In, out, too close to call: near a limit

How often each verdict is given where the truth lies so far beyond an upper limit. A verdict is wrong when it says *in* of
what lies beyond, or *out* of what lies inside; on the limit itself *in* and *out* are each right by chance, and rare.

${limits.map((l) => nearLimit(l, plot)).join('\n\n')}

## What is wider on purpose

Signs of the stroke that share a cause count as one witness (compression felt and a valve seen closed are independent; two
valves of one camshaft are not). Where such signs happen to be independent after all, what is said of the stroke stays nearer
to *not proved* than it need: of answers given as 15 % sure, 3 % were right. No formula knows which of the two is the case, and
a distributor fitted half a turn out costs more than one more sign that is looked for. The witness counts as wrong in 5 of
100: for signs that are independent 1.5 or less would be needed to stay within five points, for valves that are wrong together
4 or more; no weight serves both. On valve signs alone, however many, the stroke is therefore never called proved.

## What a further reading is worth

The ± of a mean as a multiple of the hand's scatter, by a fine gauge. A hand of which nothing is known states nothing after
one reading, and much after two; one that is known needs hardly a second.

${plot('further.svg', {
  title: '± of a mean, in scatters of the hand',
  x: 'readings',
  y: '± by the hand’s scatter',
  from: 0,
  to: 10,
  series: [
    {
      name: 'hand not known',
      points: more.flatMap((m) => (m.unknown === null ? [] : [{ x: m.n, y: Math.min(10, m.unknown) }]))
    },
    { name: 'assumed', points: more.map((m) => ({ x: m.n, y: m.assumed })) },
    { name: 'learnt', points: more.map((m) => ({ x: m.n, y: m.learnt })) }
  ]
})}

${table(
  ['readings', 'hand not known', 'hand assumed', 'hand learnt'],
  more.map((m) => [
    m.n,
    m.unknown === null ? 'states none' : m.unknown.toFixed(2),
    m.assumed.toFixed(2),
    m.learnt.toFixed(2)
  ])
)}
`;
  return { text, plots };
}

const isHonest = (j: Judged): boolean => j.held !== null && j.held >= HONEST.least && j.held <= HONEST.most;

function noteOf(j: Judged): string {
  if (j.held === null) return 'claims nothing';
  if (j.held < HONEST.least) return '**too narrow**';
  if (j.held > HONEST.most) return `wider than need be: ${j.of.allows ?? '**no reason known**'}`;
  return j.stated < 100 ? `claims nothing in ${(100 - j.stated).toFixed(1)} %` : '';
}

function seriesPlots(judged: readonly Judged[], plot: (file: string, p: Plot) => string): string {
  const groups = [...new Set(judged.filter((j) => j.of.series && j.heldBefore !== null).map((j) => j.of.group))];
  return groups
    .flatMap((group) => {
      const mine = judged.filter((j) => j.of.group === group && j.of.series);
      const names = [...new Set(mine.map((j) => j.of.series!.name))].filter(
        (s) => mine.filter((j) => j.of.series!.name === s).length > 1
      );
      return names.slice(0, 2).map((name) => {
        const points = mine.filter((j) => j.of.series!.name === name);
        const least = Math.min(80, ...points.flatMap((j) => [j.held ?? 100, j.heldBefore ?? 100]));
        return plot(`${group}-${name}`.toLowerCase().replace(/[^a-z0-9]+/g, '-') + '.svg', {
          title: `${group}: ${name}`,
          x: 'readings, pairs or places',
          y: 'holds the truth, %',
          from: Math.floor(least / 20) * 20,
          to: 100,
          log: true,
          band: { from: HONEST.least, to: HONEST.most, name: 'what ± promises' },
          series: [
            { name: 'as it is stated', points: points.map((j) => ({ x: j.of.series!.n, y: j.held ?? 0 })) },
            {
              name: 'plainly, before',
              dashed: true,
              points: points.map((j) => ({ x: j.of.series!.n, y: j.heldBefore! }))
            }
          ]
        });
      });
    })
    .join('\n\n');
}

function nearLimit(l: NearLimit, plot: (file: string, p: Plot) => string): string {
  const points = (s: 'in' | 'out' | 'unsure') => l.at.map((a) => ({ x: a.beyond, y: a.shares[s] }));
  const worst = l.at.reduce((a, b) => (wrong(b) > wrong(a) ? b : a));
  const on = l.at.find((a) => Math.abs(a.beyond) < 1e-9)!;
  return `${plot(`limit-${l.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.svg`, {
    title: `Verdicts on ${l.name}`,
    x: `truth beyond the upper limit, ${l.unit}`,
    y: 'given, %',
    from: 0,
    to: 100,
    series: [
      { name: 'in', points: points('in') },
      { name: 'too close to call', points: points('unsure'), dashed: true },
      { name: 'out', points: points('out') }
    ]
  })}

${l.name.charAt(0).toUpperCase()}${l.name.slice(1)}: wrong at most ${wrong(worst).toFixed(1)} % of the time, at ${Number(worst.beyond.toFixed(3))} ${l.unit} from the limit; with the truth on the limit
it says *in* ${on.shares.in.toFixed(1)} %, *out* ${on.shares.out.toFixed(1)} % and *too close to call* ${on.shares.unsure.toFixed(1)} % of the time.`;
}
