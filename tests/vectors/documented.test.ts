import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { inputSchema, outputSchema, registry, runCalc } from '$core/index.ts';
import { agrees } from '../support/close.ts';

const here = fileURLToPath(new URL('.', import.meta.url));
const worked = readdirSync(here)
  .filter((f) => f.endsWith('.jsonl'))
  .flatMap((f) => readFileSync(here + f, 'utf8').split('\n'))
  .filter((l) => l.trim() !== '')
  .map((l) => JSON.parse(l) as { calc: string; in: unknown; out?: unknown; error?: string })
  .filter((c) => registry.has(c.calc));

/** Units that the name of a figure may carry at its end, or be. */
const UNIT = /(Mm|Deg|Btdc|Abdc|Bbdc|Atdc|Rpm|Kpa|Nm|N|G|C|PerMm|PerDeg|PerMin|rpm|deg|btdc|kpa|mm)$/;
/** Figures without a unit: counts, ratios, chances, and figures whose unit the reading itself names. */
const BARE =
  /^(ratio|cylinders|cylinder|teeth|gearTeeth|ringGearTeeth|terminals|count|weight|prior|tolerance|maxRamps|maxPieces|top|dialSense|sense|moduleMm|dp|seconds|value|readings|resolution|accuracy|firingOrder|wires|u|length|depth|offset|gasket|cycleDeg|gaps)$/;

function figures(schema: unknown, name = ''): { name: string; described: boolean }[] {
  const s = schema as Record<string, never>;
  if (s['properties'])
    return Object.entries(s['properties'] as Record<string, unknown>).flatMap(([k, v]) => figures(v, k));
  if (s['items']) return figures(s['items'], name);
  for (const way of ['anyOf', 'oneOf'] as const)
    if (s[way]) return (s[way] as unknown[]).flatMap((x) => figures(x, name));
  return s['type'] === 'number' || s['type'] === 'integer' ? [{ name, described: 'description' in s }] : [];
}

describe.each([...registry.values()].map((c) => [c.name, c] as const))('%s', (name, c) => {
  it('says what it does, from where, and answers its own example', () => {
    expect(c.title.length).toBeGreaterThan(8);
    expect(c.formula.length).toBeGreaterThan(10);
    expect(c.source.length).toBeGreaterThan(5);
    const answer = runCalc(name, c.example.in);
    expect(answer.ok && agrees(answer.out, c.example.out, 1e-5)).toBe(true);
  });

  it('gives every figure that goes in a unit', () => {
    const nameless = figures(inputSchema(c)).filter((f) => !f.described && !UNIT.test(f.name) && !BARE.test(f.name));
    expect(nameless).toEqual([]);
  });

  it('answers nothing but what its output schema says, and refuses with nothing but its own errors', () => {
    for (const w of worked.filter((w) => w.calc === name)) {
      const answer = runCalc(name, w.in);
      if (answer.ok) expect(z.safeParse(c.output, answer.out).error?.issues ?? []).toEqual([]);
      else expect(['bad-input', ...c.errors]).toContain(answer.error.code);
    }
    expect(Object.keys(outputSchema(c)).length).toBeGreaterThan(1);
  });
});

it('names no error that no calculation can give: each is met by a worked case', () => {
  const met = new Set(worked.flatMap((w) => (w.error ? [`${w.calc} ${w.error}`] : [])));
  const never = [...registry.values()].flatMap((c) => c.errors.map((e) => `${c.name} ${e}`)).filter((x) => !met.has(x));
  expect(never).toEqual([]);
});
