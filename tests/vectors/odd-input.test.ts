import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { registry, runCalc } from '$core/index.ts';

/**
 * Every calculation with inputs that nobody meant: each leaf of each worked case replaced in turn by figures and words
 * that do not belong there. It must answer, with finite figures or with a typed refusal that says what is wrong.
 */
type Json = null | boolean | number | string | Json[] | { [key: string]: Json };
const here = fileURLToPath(new URL('.', import.meta.url));
const cases = readdirSync(here)
  .filter((f) => f.endsWith('.jsonl'))
  .flatMap((f) => readFileSync(here + f, 'utf8').split('\n'))
  .filter((line) => line.trim() !== '')
  .map((line) => JSON.parse(line) as { calc: string; in: Json; error?: string })
  .filter((c) => registry.has(c.calc) && c.error === undefined);

const ODD: Json[] = [0, -1, 1e-9, 1e9, -1e9, 1.5, 360, '', 'x', null, [], {}, true];

function* leaves(j: Json, path: (string | number)[] = []): Generator<(string | number)[]> {
  if (Array.isArray(j)) {
    // the first and the last of a list stand for all
    const ends = j.length > 1 ? [0, j.length - 1] : j.length === 1 ? [0] : [];
    for (const k of ends) yield* leaves(j[k]!, [...path, k]);
    if (path.length) yield path;
  } else if (j !== null && typeof j === 'object') {
    for (const [k, v] of Object.entries(j)) yield* leaves(v, [...path, k]);
    if (path.length) yield path;
  } else yield path;
}
function replaced(j: Json, [head, ...rest]: (string | number)[], by: Json): Json {
  if (head === undefined) return by;
  if (Array.isArray(j)) return j.map((v, k) => (k === head ? replaced(v, rest, by) : v));
  const o = j as { [key: string]: Json };
  return { ...o, [head]: replaced(o[head]!, rest, by) };
}
function without(j: Json, [head, ...rest]: (string | number)[]): Json {
  if (Array.isArray(j))
    return rest.length === 0 ? j.filter((_, k) => k !== head) : j.map((v, k) => (k === head ? without(v, rest) : v));
  const o = { ...(j as { [key: string]: Json }) };
  if (rest.length === 0) delete o[head!];
  else o[head!] = without(o[head!]!, rest);
  return o;
}
/** Where an answer holds a figure that is none; JSON would turn it into null without a word. */
function notFinite(x: unknown, path = 'out'): string | null {
  if (typeof x === 'number') return Number.isFinite(x) ? null : path;
  if (Array.isArray(x)) {
    for (const [k, v] of x.entries()) {
      const found = notFinite(v, `${path}[${k}]`);
      if (found) return found;
    }
    return null;
  }
  if (x !== null && typeof x === 'object')
    for (const [k, v] of Object.entries(x)) {
      const found = notFinite(v, `${path}.${k}`);
      if (found) return found;
    }
  return null;
}

function complaint(calc: string, input: Json): string | null {
  const told = `${calc} with ${JSON.stringify(input).slice(0, 400)}`;
  let answer: ReturnType<typeof runCalc>;
  try {
    answer = runCalc(calc, input);
  } catch (e) {
    return `${told} threw ${String(e)}`;
  }
  if (answer.ok) {
    const at = notFinite(answer.out);
    return at === null ? null : `${told} answered no figure at ${at}`;
  }
  const { code, message } = answer.error;
  if (!/^[a-z]+(-[a-z]+)*$/.test(code)) return `${told} refused with the code ${code}`;
  return message.length > 10 && !/undefined|NaN|\[object/.test(message) ? null : `${told} said "${message}"`;
}

const byCalc = new Map<string, Json[]>();
for (const c of cases) byCalc.set(c.calc, [...(byCalc.get(c.calc) ?? []), c.in].slice(0, 4));

describe.each([...byCalc])('%s', (calc, inputs) => {
  it('answers with figures or says what is wrong, whatever stands in one place', () => {
    const found: string[] = [];
    for (const input of inputs)
      for (const path of leaves(input))
        for (const odd of ODD) {
          const wrong = complaint(calc, replaced(input, path, odd));
          if (wrong) found.push(wrong);
        }
    expect(found.slice(0, 5)).toEqual([]);
  });
  it('answers with figures or says what is missing, whatever is left out', () => {
    const found: string[] = [];
    for (const input of inputs)
      for (const path of leaves(input)) {
        const wrong = path.length ? complaint(calc, without(input, path)) : null;
        if (wrong) found.push(wrong);
      }
    expect(found.slice(0, 5)).toEqual([]);
  });
  it('changes nothing of what it was given', () => {
    for (const input of inputs) {
      const before = JSON.stringify(input);
      runCalc(calc, input);
      expect(JSON.stringify(input)).toBe(before);
    }
  });
});

describe('work without an end', () => {
  const inputOf = (calc: string) => structuredClone(cases.find((c) => c.calc === calc)!.in) as Record<string, never>;
  const many = <T extends { id: string }>(one: T, n: number): T[] =>
    Array.from({ length: n }, (_, k) => ({ ...one, id: `${one.id}-${k}` }));
  const refused = (calc: string, input: object, path: string) => {
    const answer = runCalc(calc, input);
    expect(answer).toMatchObject({ ok: false, error: { code: 'bad-input', path } });
  };
  it('is refused: a tray of two thousand sizes with five pieces at a time', () => {
    const input = inputOf('stack.pick') as { tray: { id: string }[] } & object;
    refused('stack.pick', { ...input, maxPieces: 5, tray: many(input.tray[0]!, 2000) }, 'tray');
    expect(runCalc('stack.pick', { ...input, maxPieces: 3, tray: many(input.tray[0]!, 40) }).ok).toBe(true);
  });
  it('is refused: every pair of two thousand springs with every stop', () => {
    const input = inputOf('curve.match') as { tray: { springs: { id: string }[]; stops: { id: string }[] } } & object;
    const tray = (springs: number, stops: number) => ({
      springs: many(input.tray.springs[0]!, springs),
      stops: many(input.tray.stops[0]!, stops)
    });
    refused('curve.match', { ...input, tray: tray(2000, 400) }, 'tray');
    expect(runCalc('curve.match', { ...input, tray: tray(60, 12) }).ok).toBe(true);
  });
  it('is refused: a stop or a gear that no machine has', () => {
    refused('curve.swapSprings', { ...inputOf('curve.swapSprings'), stopDeg: 1e9 }, 'stopDeg');
    refused('drive.orient', { ...inputOf('drive.orient'), gearTeeth: 1e9 }, 'gearTeeth');
    refused('drive.index', { ...inputOf('drive.index'), gearTeeth: 1e9 }, 'gearTeeth');
  });
});
