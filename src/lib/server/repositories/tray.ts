import type { TrayGauge } from '$core/tray/gauge-kinds.ts';
import type { StockItem } from '$core/tray/part-kinds.ts';
import { query } from '../db/pool.ts';
import { GAUGES } from './gauges.ts';
import { STOCK } from './stock.ts';

/** All that a job can reach for, as one question: the gauges, and the parts with how many are left. */
export async function tray(): Promise<{ gauges: TrayGauge[]; stock: StockItem[] }> {
  const [row] = await query<{ gauges: TrayGauge[] | null; stock: StockItem[] | null }>(
    'tray',
    `SELECT (SELECT json_agg(g) FROM (${GAUGES}) g) AS gauges, (SELECT json_agg(s) FROM (${STOCK}) s) AS stock`
  );
  return { gauges: row?.gauges ?? [], stock: row?.stock ?? [] };
}
