import type { TrayGauge } from '$core/tray/gauge-kinds.ts';
import { query, type Queryable } from '../db/pool.ts';

const COLUMNS = `id, name, kind, resolution, accuracy, per_rev_mm AS "perRevMm", calibrated_on::text AS "calibratedOn"`;

export const GAUGES = `SELECT ${COLUMNS} FROM gauge ORDER BY kind, resolution, name`;
export const gauges = () => query<TrayGauge & Record<string, unknown>>('gauges', GAUGES);

export async function gaugeById(id: string, on?: Queryable): Promise<TrayGauge | null> {
  const [row] = await query<TrayGauge & Record<string, unknown>>(
    'gauge-by-id',
    `SELECT ${COLUMNS} FROM gauge WHERE id = $1`,
    [id],
    on
  );
  return row ?? null;
}

export async function addGauge(g: TrayGauge): Promise<void> {
  await query(
    'gauge-add',
    `INSERT INTO gauge (id, name, kind, resolution, accuracy, per_rev_mm, calibrated_on) VALUES ($1, $2, $3, $4, $5, $6, $7)
     ON CONFLICT (id) DO NOTHING`,
    [g.id, g.name, g.kind, g.resolution, g.accuracy, g.perRevMm, g.calibratedOn]
  );
}
