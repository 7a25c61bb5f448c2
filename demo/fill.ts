import { engines, gauges, staff, parts, springs, stops } from './workshop.ts';
import { jobs } from './jobs.ts';
import { writeJob } from './write-job.ts';
import { type SheetValue } from '../src/core/engine/engine.ts';
import { parseSheetValue, sheetConflicts } from '../src/core/sheets/data-sheet.ts';
import { rebuild } from '../src/lib/server/jobs/derive.ts';
import { addEngine } from '../src/lib/server/repositories/engines.ts';
import { addGauge } from '../src/lib/server/repositories/gauges.ts';
import { addPerson } from '../src/lib/server/repositories/people.ts';
import { addStock } from '../src/lib/server/repositories/stock.ts';
import { slug } from '../src/lib/server/repositories/ids.ts';

const lead = { id: 'marit-oakes', name: 'Marit Oakes' };
const nothing = { rateNPerMm: null, uRate: null, preloadN: null, uPreload: null, deg: null, loads: null };
const part = { ...nothing, thicknessMm: null, uMm: null };

/** Fills an empty database with the demo workshop, through the same doors as a person at a screen. */
export async function fillDemo(): Promise<void> {
  for (const p of staff) await addPerson(p.name, p.role, slug(p.name));
  for (const g of gauges)
    await addGauge({
      ...g,
      id: slug(g.name),
      perRevMm: g.perRevMm ?? null,
      scatter: g.scatter ?? null,
      scatterDof: g.scatterDof ?? null
    });
  for (const e of engines) {
    const values: SheetValue[] = Object.entries(e.sheet).map(([name, [given, unit = null]]) => {
      const read = parseSheetValue(name, given, unit);
      if (!read.ok) throw new Error(`${e.name}: ${read.error.message}`);
      return { name, given, unit, value: read.out, source: e.source };
    });
    const clash = sheetConflicts({
      id: '',
      name: e.name,
      summary: '',
      values: Object.fromEntries(values.map((v) => [v.name, v]))
    })[0];
    if (clash) throw new Error(`${e.name}: ${clash.message}`);
    await addEngine(e.name, e.summary, values, lead, slug(e.name));
  }
  for (const { count, ...p } of parts) await addStock({ ...nothing, ...p, id: slug(p.name), low: 1 }, count, lead);
  for (const { count, ...s } of springs)
    await addStock(
      { ...part, ...s, id: slug(s.name), kind: 'spring', uRate: 0.02, uPreload: 0.04, low: 1 },
      count,
      lead
    );
  for (const s of stops) await addStock({ ...part, ...s, id: slug(s.name), kind: 'stop', low: 0 }, 1, lead);
  for (const j of jobs) await writeJob(j);
  await rebuild();
}
