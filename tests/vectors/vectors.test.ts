import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { registry, runCalc } from '$core/index.ts';
import { agrees } from '../support/close.ts';

interface Case {
  calc: string;
  in: unknown;
  out?: unknown;
  error?: string;
  tol?: number;
  at: string;
}
type Answer = { ok: true; out: unknown } | { ok: false; error: { code: string; message: string; path: string } };

const here = fileURLToPath(new URL('.', import.meta.url));
/** Calculations that worked cases wait for: none. */
const NOT_YET: string[] = [];
const all: Case[] = readdirSync(here)
  .filter((f) => f.endsWith('.jsonl'))
  .flatMap((f) =>
    readFileSync(here + f, 'utf8')
      .split('\n')
      .map((line, n) => ({ line, at: `${f}:${n + 1}` }))
      .filter((l) => l.line.trim() !== '')
      .map((l) => ({ ...(JSON.parse(l.line) as Omit<Case, 'at'>), at: l.at }))
  );
const cases = all.filter((c) => registry.has(c.calc));

function problem(c: Case, a: Answer): string | null {
  if (c.error !== undefined)
    return !a.ok && a.error.code === c.error && a.error.message.length > 10
      ? null
      : `wanted ${c.error}, got ${JSON.stringify(a)}`;
  return a.ok && agrees(a.out, c.out, c.tol) ? null : `wanted ${JSON.stringify(c.out)}, got ${JSON.stringify(a)}`;
}
const byCalc = Map.groupBy ? Map.groupBy(cases, (c) => c.calc) : group(cases);
function group(all: Case[]): Map<string, Case[]> {
  const m = new Map<string, Case[]>();
  for (const c of all) m.set(c.calc, [...(m.get(c.calc) ?? []), c]);
  return m;
}

describe.each([...byCalc])('%s', (_, own) => {
  it.each(own.map((c) => [c.at, c] as const))('answers %s', (_, c) => {
    expect(problem(c, runCalc(c.calc, c.in) as Answer)).toBeNull();
  });
});

it('leaves no worked case aside but those of calculations that are still to come', () => {
  const without = new Set(all.map((c) => c.calc).filter((name) => !registry.has(name)));
  expect([...without].sort()).toEqual(NOT_YET);
});

it('knows worked cases of every calculation', () => {
  expect([...registry.keys()].filter((name) => !byCalc.has(name))).toEqual([]);
});

it('answers the same from the command line, in one batch', () => {
  const input = cases.map((c) => JSON.stringify({ calc: c.calc, in: c.in })).join('\n');
  const run = spawnSync('npx', ['tsx', 'scripts/calc.ts', '--batch'], { input, encoding: 'utf8', cwd: `${here}../..` });
  expect(run.status).toBe(0);
  const answers = run.stdout
    .trim()
    .split('\n')
    .map((l) => JSON.parse(l) as Answer);
  expect(answers).toHaveLength(cases.length);
  expect(cases.flatMap((c, k) => problem(c, answers[k]!) ?? [])).toEqual([]);
});

it('ends with 0 for an answer and 2 for a refusal on the command line', () => {
  const one = (name: string, input: string) =>
    spawnSync('npx', ['tsx', 'scripts/calc.ts', name], { input, encoding: 'utf8', cwd: `${here}../..` });
  const good = one('torque.convert', '{"value":40,"from":"Nm","to":"lbft"}');
  expect([good.status, (JSON.parse(good.stdout) as Answer).ok]).toEqual([0, true]);
  const bad = one('torque.convert', '{"value":40,');
  expect([bad.status, (JSON.parse(bad.stdout) as Answer).ok]).toEqual([2, false]);
  expect(one('no.such', '{}').stdout).toContain('unknown-calc');
});

describe.skipIf(!process.env.CALC_URL)('over HTTP', () => {
  const post = (path: string, body: string) =>
    fetch(`${process.env.CALC_URL}${path}`, { method: 'POST', body, headers: { 'content-type': 'application/json' } });

  it('answers every case the same, with 200 or 422', async () => {
    const wrong: string[] = [];
    for (const c of cases) {
      const r = await post(`/api/calc/${c.calc}`, JSON.stringify(c.in));
      const a = (await r.json()) as Answer;
      const p = problem(c, a) ?? (r.status === (a.ok ? 200 : 422) ? null : `status ${r.status}`);
      if (p) wrong.push(`${c.at}: ${p}`);
    }
    expect(wrong).toEqual([]);
  });

  it('lists every calculation with the schema of its input', async () => {
    const { calcs } = (await (await fetch(`${process.env.CALC_URL}/api/calc`)).json()) as {
      calcs: { name: string; input: { type: string } }[];
    };
    expect(calcs.map((c) => c.name).sort()).toEqual([...registry.keys()].sort());
    expect(calcs.every((c) => c.input.type === 'object')).toBe(true);
  });

  it('serves an OpenAPI document that names every calculation', async () => {
    const doc = (await (await fetch(`${process.env.CALC_URL}/api/openapi.json`)).json()) as {
      openapi: string;
      paths: object;
    };
    expect(doc.openapi).toMatch(/^3\.0/);
    expect(Object.keys(doc.paths).sort()).toEqual([...registry.keys()].map((n) => `/api/calc/${n}`).sort());
  });

  it.each([
    ['an unknown name', '/api/calc/no.such', '{}', 404, 'unknown-calc'],
    ['bad JSON', '/api/calc/piston.at', '{"strokeMm":', 422, 'bad-input'],
    ['an extra key', '/api/calc/torque.convert', '{"value":1,"from":"Nm","to":"lbft","x":1}', 422, 'bad-input'],
    [
      'a number that is not finite',
      '/api/calc/torque.convert',
      '{"value":1e999,"from":"Nm","to":"lbft"}',
      422,
      'bad-input'
    ],
    ['a body too large', '/api/calc/gauge.combine', `{"readings":[${'1,'.repeat(200_000)}1]}`, 413, 'too-large']
  ])('refuses %s with its code', async (_, path, body, status, code) => {
    const r = await post(path, body);
    expect(r.status).toBe(status);
    expect(((await r.json()) as { error: { code: string } }).error.code).toBe(code);
  });
});
