import type { Engine } from '$core/engine/engine.ts';
import type { JobEvent } from '$core/job/index.ts';
import type { TrayGauge } from '$core/tray/gauge-kinds.ts';
import type { StockItem } from '$core/tray/part-kinds.ts';
import { fromColumns, type Columns } from '$lib/reader/columns.ts';
import { addressOf, loadSheet, loadSheetFor, type SheetRef } from './sheet.ts';

interface Packed {
  sheet: SheetRef;
  engine: Engine;
  log: Columns;
  gauges: Columns;
  stock: Columns;
}

/** What the server sends of a job, with its run sheet fetched and its log and tray as rows again. */
export async function unpacked<Data extends Packed>(data: Data, fetch: typeof globalThis.fetch) {
  return { ...rows(data), ...(await loadSheet(data.sheet, fetch)) };
}

/** The same for a screen that works on the job: it begins with the trades that the job needs as it stands. */
export async function unpackedToWork<Data extends Packed>(
  data: Data,
  fetch: typeof globalThis.fetch,
  together: (trades: readonly string[]) => void
) {
  const job = rows(data);
  return { ...job, ...(await loadSheetFor(data.sheet, data.engine, job.log, fetch, together)) };
}

const rows = <Data extends Packed>(data: Data) => ({
  ...data,
  log: fromColumns<JobEvent>(data.log),
  gauges: fromColumns<TrayGauge>(data.gauges),
  stock: fromColumns<StockItem>(data.stock),
  sheetAddress: addressOf(data.sheet)
});
