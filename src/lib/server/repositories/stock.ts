import type { Person } from '$core/job/index.ts';
import type { Part, StockItem } from '$core/tray/part-kinds.ts';
import type { PartKind } from '$core/tray/part-kinds.ts';
import { asName } from './ids.ts';
import { query, withTransaction, type Queryable } from '../db/pool.ts';
import { Refusal } from '../errors.ts';

type Row = StockItem & Record<string, unknown>;

const COLUMNS = `s.id, s.kind, s.name, s.thickness_mm AS "thicknessMm", s.u_mm AS "uMm", s.rate_n_per_mm AS "rateNPerMm",
  s.u_rate AS "uRate", s.preload_n AS "preloadN", s.u_preload AS "uPreload", s.deg, s.low`;
const LEFT = '(SELECT coalesce(sum(m.change), 0)::int FROM stock_move m WHERE m.item_id = s.id)';

/** Everything in the tray that is taken out piece by piece, with how many are left. */
export const STOCK = `SELECT ${COLUMNS}, ${LEFT} AS count FROM stock_item s
  ORDER BY s.kind, coalesce(s.thickness_mm, s.rate_n_per_mm, s.deg), s.name`;
export const stock = (on?: Queryable) => query<Row>('stock', STOCK, [], on);

export interface NewItem extends Part {
  low: number;
  loads: { massG: number; lengthMm: number }[] | null;
}

/** Adds a kind of part with its first pieces. */
export async function addStock(item: NewItem, count: number, by: Person): Promise<void> {
  await withTransaction(async (c) => {
    await query(
      'stock-add',
      `INSERT INTO stock_item (id, kind, name, thickness_mm, u_mm, rate_n_per_mm, u_rate, preload_n, u_preload, deg, low, loads)
       VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)`,
      [
        item.id,
        item.kind,
        asName(item.name),
        item.thicknessMm,
        item.uMm,
        item.rateNPerMm,
        item.uRate,
        item.preloadN,
        item.uPreload,
        item.deg,
        item.low,
        item.loads === null ? null : JSON.stringify(item.loads)
      ],
      c
    );
    if (count > 0) await move(item.id, count, null, 'put in the tray', by, c);
  });
}

/** Pieces that came or went outside a job: bought, cut, thrown away. */
export async function moveStock(id: string, change: number, reason: string, by: Person): Promise<void> {
  await withTransaction(async (c) => {
    const [item] = await locked([id], c);
    if (!item) throw new Refusal(404, 'not-found', 'That part is not in the tray any more.');
    if (item.count + change < 0)
      throw new Refusal(409, 'out-of-stock', `There are ${item.count} of ${item.name}, not ${-change}.`, 'change');
    await move(id, change, null, reason, by, c);
  });
}

/**
 * Takes out of the tray wait for one another, whatever they take: two jobs that swap pieces would else each hold what the
 * other wants. Held until the transaction ends; whoever holds it waits for nothing but single items.
 */
const lockTray = (on: Queryable) =>
  query('tray-lock', `SELECT pg_advisory_xact_lock(hashtextextended('tray', 0))`, [], on);

/** The named items as they are now, held until the transaction ends, so that nobody else takes the same piece. */
async function locked(ids: readonly string[], on: Queryable): Promise<StockItem[]> {
  // always in the same order: two takes of the same pieces wait for one another and do not lock up
  await query('stock-lock', 'SELECT id FROM stock_item WHERE id = ANY($1) ORDER BY id FOR UPDATE', [ids], on);
  return query<Row>(
    'stock-locked',
    `SELECT ${COLUMNS}, ${LEFT} AS count FROM stock_item s WHERE s.id = ANY($1)`,
    [ids],
    on
  );
}

const move = (item: string, change: number, job: string | null, reason: string, by: Person, on: Queryable) =>
  query(
    'stock-move',
    'INSERT INTO stock_move (item_id, change, job_id, reason, by_person) VALUES ($1, $2, $3, $4, $5)',
    [item, change, job, reason, by.id],
    on
  );

/** The parts of a list of ids as the tray has them; a refusal names the first that it does not have. */
export async function partsOf(ids: readonly string[], kind: PartKind, on: Queryable): Promise<Part[]> {
  if (ids.length === 0) return [];
  await lockTray(on);
  const items = new Map((await locked([...new Set(ids)], on)).map((i) => [i.id, i]));
  return ids.map((id) => {
    const item = items.get(id);
    if (!item || item.kind !== kind)
      throw new Refusal(422, 'no-such-part', `There is no ${kind} called ${id} in the tray.`, 'items');
    const { count: _, low: __, ...part } = item;
    return part;
  });
}

/**
 * Makes what a job holds of a kind equal to `wanted`: the difference goes out of the tray or back into it. Two people
 * who want the last piece wait for one another; the second is refused and told who has it.
 */
export async function holdParts(
  jobId: string,
  kind: PartKind,
  wanted: readonly string[],
  by: Person,
  on: Queryable
): Promise<void> {
  await lockTray(on);
  const held = await query<{ item: string; n: number }>(
    'stock-held',
    `SELECT m.item_id AS item, (-sum(m.change))::int AS n FROM stock_move m JOIN stock_item s ON s.id = m.item_id
     WHERE m.job_id = $1 AND s.kind = $2 GROUP BY m.item_id`,
    [jobId, kind],
    on
  );
  const change = new Map(held.map((h) => [h.item, h.n]));
  for (const id of wanted) change.set(id, (change.get(id) ?? 0) - 1);
  const ids = [...change].filter(([, n]) => n !== 0).map(([id]) => id);
  if (ids.length === 0) return;
  const items = await locked(ids, on);
  for (const item of items) {
    const n = change.get(item.id)!;
    if (item.count + n < 0) throw await gone(item, on);
    await move(item.id, n, jobId, n < 0 ? 'taken for a job' : 'put back from a job', by, on);
  }
}

async function gone(item: StockItem, on: Queryable): Promise<Refusal> {
  const [last] = await query<{ name: string; engine: string }>(
    'stock-last-taken',
    `SELECT p.name, e.name AS engine FROM stock_move m JOIN person p ON p.id = m.by_person
     JOIN job j ON j.id = m.job_id JOIN engine e ON e.id = j.engine_id
     WHERE m.item_id = $1 AND m.change < 0 ORDER BY m.id DESC LIMIT 1`,
    [item.id],
    on
  );
  const who = last ? ` ${last.name} took it for ${last.engine}.` : '';
  return new Refusal(
    409,
    'out-of-stock',
    `${item.name} is no longer in the tray.${who} Choose another pick.`,
    'items',
    last ?? {}
  );
}
