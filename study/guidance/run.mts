import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import * as prettier from 'prettier';
import { guidanceDocument } from './document.mts';

/** Plays every job with both habits, side by side, and writes docs/guidance.md. */
export async function runGuidance({ n, seed }: { n: number; seed: number }): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'guidance-'));
  try {
    await Promise.all((['A', 'B'] as const).map((habit) => play(habit, join(folder, habit), { n, seed })));
    const path = fileURLToPath(new URL('../../docs/guidance.md', import.meta.url));
    const text = guidanceDocument(folder, { n, seed });
    writeFileSync(path, await prettier.format(text, { ...(await prettier.resolveConfig(path)), filepath: path }));
    console.log(`${n} engines a job and habit, seed ${seed}: ${path}`);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const play = (habit: 'A' | 'B', out: string, { n, seed }: { n: number; seed: number }): Promise<void> =>
  new Promise((done, fail) => {
    const main = fileURLToPath(new URL('./main.mts', import.meta.url));
    const args = ['tsx', main, '--habits', habit, '--n', String(n), '--seed', String(seed), '--out', out];
    const child = spawn('npx', args, { stdio: ['ignore', 'pipe', 'inherit'] });
    child.stdout.on('data', (text: Buffer) => process.stdout.write(`${habit}  ${text.toString()}`));
    child.on('error', fail);
    child.on('exit', (code) =>
      code === 0 ? done() : fail(new Error(`the runs of habit ${habit} ended with ${code}`))
    );
  });
