import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { type SheetValue } from '$core/engine/engine.ts';
import { parseSheetValue, sheetConflicts } from '$core/sheets/data-sheet.ts';
import { mustAct, shownBy } from '$lib/server/auth/who.ts';
import { Refusal } from '$lib/server/errors.ts';
import { api, readBody } from '$lib/server/http.ts';
import { engineById, enterValues } from '$lib/server/repositories/engines.ts';
import type { RequestEvent } from './$types';

const body = z.strictObject({
  values: z
    .array(
      z.strictObject({
        name: z.string().max(40),
        given: z.string().trim().min(1, 'type a value').max(200),
        unit: z.string().max(10).nullable(),
        source: z.string().trim().min(1, 'say where the value comes from').max(200)
      })
    )
    .min(1)
    .max(60)
});

/** Enters values on an engine's data sheet: all of them, or none when one cannot be used. */
export const POST = api(async (event: RequestEvent) => {
  const by = mustAct(event.locals, shownBy(event.request));
  const { values } = await readBody(event, body);
  const engine = await engineById(event.params.id);
  const entered: SheetValue[] = values.map((v) => {
    const read = parseSheetValue(v.name, v.given, v.unit);
    if (!read.ok) throw new Refusal(422, read.error.code, read.error.message, read.error.path);
    return { ...v, value: read.out };
  });
  const after = { ...engine, values: { ...engine.values, ...Object.fromEntries(entered.map((v) => [v.name, v])) } };
  const names = new Set(entered.map((v) => v.name));
  const clash = sheetConflicts(after).find((c) => c.names.some((n) => names.has(n)));
  if (clash)
    throw new Refusal(
      422,
      'sheet-conflict',
      clash.message,
      clash.names.find((n) => names.has(n))
    );
  await enterValues(engine.id, entered, by);
  return json({ ok: true, out: await engineById(engine.id) });
});
