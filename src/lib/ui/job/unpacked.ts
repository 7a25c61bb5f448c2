import type { JobEvent } from '$core/job/index.ts';
import type { TrayGauge } from '$core/tray/gauge-kinds.ts';
import type { StockItem } from '$core/tray/part-kinds.ts';
import { fromColumns, type Columns } from '$lib/reader/columns.ts';
import { addressOf, loadSheet, type SheetRef } from './sheet.ts';

/** What the server sends of a job, with its run sheet fetched and its log and tray as rows again. */
export async function unpacked<Data extends { sheet: SheetRef; log: Columns; gauges: Columns; stock: Columns }>(
  data: Data,
  fetch: typeof globalThis.fetch
) {
  return {
    ...data,
    log: fromColumns<JobEvent>(data.log),
    gauges: fromColumns<TrayGauge>(data.gauges),
    stock: fromColumns<StockItem>(data.stock),
    sheetAddress: addressOf(data.sheet),
    ...(await loadSheet(data.sheet, fetch))
  };
}
