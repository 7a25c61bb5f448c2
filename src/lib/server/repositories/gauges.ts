import type { TrayGauge } from '$core/tray/gauge-kinds.ts';
import { query, type Queryable } from '../db/pool.ts';
import { Refusal } from '../errors.ts';
import { asName } from './ids.ts';

const COLUMNS = `id, name, kind, resolution, accuracy, per_rev_mm AS "perRevMm", calibrated_on::text AS "calibratedOn",
  scatter, scatter_dof AS "scatterDof"`;

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

/** Puts a gauge in the tray. Refuses a name that another has. */
export async function addGauge(g: TrayGauge): Promise<void> {
  const added = await query(
    'gauge-add',
    `INSERT INTO gauge (id, name, kind, resolution, accuracy, per_rev_mm, calibrated_on, scatter, scatter_dof)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9)
     ON CONFLICT DO NOTHING RETURNING id`,
    [g.id, asName(g.name), g.kind, g.resolution, g.accuracy, g.perRevMm, g.calibratedOn, g.scatter, g.scatterDof]
  );
  if (added.length === 0)
    throw new Refusal(409, 'name-taken', `There is a ${asName(g.name)} in the tray already.`, 'name');
}
