import { createInterface } from 'node:readline';
import { runCalc } from '../src/core/index.ts';
import type { Result } from '../src/core/index.ts';

/**
 * The calculations from the command line.
 *   npm run -s calc -- <name> < input.json
 *   npm run -s calc -- --batch < lines.jsonl      {"calc": name, "in": {...}} a line
 */
const notJson = (what: string): Result<never> => ({
  ok: false,
  error: { code: 'bad-input', message: `${what} is not JSON.`, path: '' }
});

async function readAll(): Promise<string> {
  const chunks: Buffer[] = [];
  for await (const c of process.stdin) chunks.push(c as Buffer);
  return Buffer.concat(chunks).toString('utf8');
}

function parse(text: string): { value: unknown } | null {
  try {
    return { value: JSON.parse(text) };
  } catch {
    return null;
  }
}

function answerLine(line: string): Result<unknown> {
  const parsed = parse(line);
  if (!parsed) return notJson('The line');
  const v = parsed.value as { calc?: unknown; in?: unknown } | null;
  if (typeof v !== 'object' || v === null || typeof v.calc !== 'string')
    return { ok: false, error: { code: 'bad-input', message: 'The line needs "calc" and "in".', path: 'calc' } };
  return runCalc(v.calc, v.in);
}

async function batch(): Promise<void> {
  // answers are gathered and written in blocks: one write a line would cost more than the calculations
  let out = '';
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    out += JSON.stringify(answerLine(line)) + '\n';
    if (out.length > 65536) {
      process.stdout.write(out);
      out = '';
    }
  }
  process.stdout.write(out);
}

async function single(name: string): Promise<void> {
  const parsed = parse(await readAll());
  const answer = parsed ? runCalc(name, parsed.value) : notJson('The input');
  process.stdout.write(JSON.stringify(answer) + '\n');
  process.exitCode = answer.ok ? 0 : 2;
}

const [first] = process.argv.slice(2);
if (!first) {
  process.stderr.write('Usage: npm run -s calc -- <name> < input.json, or --batch < lines.jsonl\n');
  process.exitCode = 2;
} else if (first === '--batch') await batch();
else await single(first);
