import type { Engine, SheetValue } from '$core/engine/engine.ts';
import type { Person } from '$core/job/index.ts';
import { query, withTransaction, type Queryable } from '../db/pool.ts';
import { notFound, Refusal, violated } from '../errors.ts';
import { asName, newId } from './ids.ts';

export type EngineRow = { id: string; name: string; summary: string; sheet: SheetValue[] | null; sheetVersion: number };

export const ENGINE_COLUMNS = `e.id, e.name, e.summary, s.sheet, e.sheet_version AS "sheetVersion"`;
export const ENGINE_FROM = `
  FROM engine e
  LEFT JOIN LATERAL (
    SELECT json_agg(json_build_object('name', v.name, 'given', v.given, 'unit', v.unit, 'value', v.value, 'source', v.source)) AS sheet
    FROM (SELECT DISTINCT ON (name) * FROM sheet_value WHERE engine_id = e.id ORDER BY name, id DESC) v
  ) s ON true`;
const SELECT = `SELECT ${ENGINE_COLUMNS} ${ENGINE_FROM}`;

export interface EngineWithVersion extends Engine {
  /** how many entries its data sheet has had: derived rows name it */
  sheetVersion: number;
}

export function toEngine(row: EngineRow): EngineWithVersion {
  const values = Object.fromEntries((row.sheet ?? []).map((v) => [v.name, v]));
  return { id: row.id, name: row.name, summary: row.summary, values, sheetVersion: row.sheetVersion };
}

/** Every engine by its name, as a choice. */
export const engineNames = () =>
  query<{ id: string; name: string; summary: string }>(
    'engine-names',
    'SELECT id, name, summary FROM engine ORDER BY name'
  );

export type EngineListed = { id: string; name: string; summary: string; values: number; total: number };

/** A page of the engines in whose name and summary all words stand, with how many values each data sheet has and how many engines there are. */
export const engineList = (words: string[], page: number, size: number) =>
  query<EngineListed>(
    'engine-list',
    `WITH found AS (
       SELECT id, name, summary FROM engine e WHERE NOT EXISTS (
         SELECT FROM unnest($1::text[]) w WHERE position(w in lower(concat_ws(' ', e.name, e.summary))) = 0)
     )
     SELECT f.*, (SELECT count(DISTINCT v.name)::int FROM sheet_value v WHERE v.engine_id = f.id) AS values,
       (SELECT count(*)::int FROM found) AS total
     FROM (SELECT * FROM found ORDER BY name, id LIMIT $2 OFFSET $3) f ORDER BY f.name, f.id`,
    [words, size, page * size]
  );

export async function engineById(id: string, on?: Queryable): Promise<EngineWithVersion> {
  const [row] = await query<EngineRow>('engine-by-id', `${SELECT} WHERE e.id = $1`, [id], on);
  if (!row) throw notFound('engine');
  return toEngine(row);
}

export async function addEngine(
  name: string,
  summary: string,
  values: SheetValue[],
  by: Person,
  id = newId(name)
): Promise<string> {
  try {
    return await withTransaction(async (c) => {
      await query(
        'engine-add',
        'INSERT INTO engine (id, name, summary) VALUES ($1, $2, $3)',
        [id, asName(name), summary.trim()],
        c
      );
      for (const v of values) await insertValue(id, v, by, c);
      return id;
    });
  } catch (e) {
    if (violated(e))
      throw new Refusal(
        409,
        'name-taken',
        `There is an engine called ${asName(name)} already: give this one another name.`,
        'name'
      );
    throw e;
  }
}

/** Enters values on a data sheet. Earlier entries stay; the newest of a name counts. */
export async function enterValues(engineId: string, values: SheetValue[], by: Person): Promise<void> {
  await withTransaction(async (c) => {
    for (const v of values) await insertValue(engineId, v, by, c);
  });
}

const insertValue = (engineId: string, v: SheetValue, by: Person, on: Queryable) =>
  query(
    'sheet-value-add',
    'INSERT INTO sheet_value (engine_id, name, given, unit, value, source, by_person) VALUES ($1, $2, $3, $4, $5, $6, $7)',
    [engineId, v.name, v.given, v.unit, JSON.stringify(v.value), v.source, by.id],
    on
  );
