import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import * as prettier from 'prettier';
import { cases } from './cases/all.ts';
import { writeDocument } from './document.ts';
import { further } from './further.ts';
import { HONEST, judge } from './judge.ts';
import { nearLimits } from './near-limit.ts';

/** Counts anew how often a stated ± holds, and writes docs/uncertainty.md with its plots. */
export async function runUncertainty(trials: number, seed: number): Promise<void> {
  const judged = cases.flatMap((of, k) => {
    process.stdout.write(`\r${k + 1} of ${cases.length}: ${of.group}`.padEnd(60));
    return judge(of, trials, seed);
  });
  process.stdout.write('\n');
  const { text, plots } = writeDocument(judged, nearLimits(trials, seed), further(trials, seed), { trials, seed });

  const docs = fileURLToPath(new URL('../docs', import.meta.url));
  const folder = join(docs, 'uncertainty');
  mkdirSync(folder, { recursive: true });
  for (const f of readdirSync(folder)) if (f.endsWith('.svg')) rmSync(join(folder, f));
  for (const [file, svg] of Object.entries(plots)) writeFileSync(join(folder, file), svg);
  const path = join(docs, 'uncertainty.md');
  writeFileSync(path, await prettier.format(text, { ...(await prettier.resolveConfig(path)), filepath: path }));

  for (const j of judged)
    if (j.held !== null && (j.held < HONEST.least || (j.held > HONEST.most && !j.of.allows)))
      console.log(`${j.held.toFixed(1)} %  ${j.of.group}: ${j.of.name}, ${j.figure}`);
  console.log(`${judged.length} figures of ${cases.length} cases, ${trials} measurements each, seed ${seed}: ${path}`);
}
