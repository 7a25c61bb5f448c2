import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { type SheetValue } from '$core/engine/engine.ts';
import { dataSheetFields, parseSheetValue, sheetConflicts } from '$core/sheets/data-sheet.ts';
import { mustAct } from '$lib/server/auth/who.ts';
import { Refusal } from '$lib/server/errors.ts';
import { readForm } from '$lib/server/forms.ts';
import { addEngine } from '$lib/server/repositories/engines.ts';
import { fieldsBody } from '$lib/server/contents.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ fieldsHash: fieldsBody.hash });

const form = z.object({
  name: z.string().trim().min(1, 'Give the engine a name.').max(80, 'The name is too long.'),
  summary: z.string().trim().max(200, 'The description is too long.').default(''),
  source: z.string().trim().max(200).default('')
});

type Sent = Record<string, string>;

export const actions: Actions = {
  default: async ({ request, locals }) => {
    let sent: Sent = {};
    const refuse = (message: string, path = '', status = 422) => fail(status, { message, path, sent });
    try {
      sent = await readForm(request);
    } catch (e) {
      if (e instanceof Refusal) return refuse(e.message, e.path, e.status);
      throw e;
    }
    const parsed = form.safeParse(sent);
    if (!parsed.success) return refuse(parsed.error.issues[0]!.message, String(parsed.error.issues[0]!.path[0] ?? ''));
    const values: SheetValue[] = [];
    for (const f of dataSheetFields) {
      const given = (sent[`v.${f.name}`] ?? '').trim();
      if (given === '') continue;
      if (parsed.data.source === '')
        return refuse('Say where the values come from: a number is usable only with its source.', 'source');
      const unit = sent[`u.${f.name}`] ?? null;
      const read = parseSheetValue(f.name, given, unit);
      if (!read.ok) return refuse(read.error.message, f.name);
      values.push({ name: f.name, given, unit, value: read.out, source: parsed.data.source });
    }
    const whole = { id: '', name: '', summary: '', values: Object.fromEntries(values.map((v) => [v.name, v])) };
    const clash = sheetConflicts(whole)[0];
    if (clash) return refuse(clash.message, clash.names[0]);
    let id: string;
    try {
      id = await addEngine(parsed.data.name, parsed.data.summary, values, mustAct(locals, sent['by']));
    } catch (e) {
      if (e instanceof Refusal) return refuse(e.message, e.path, e.status);
      throw e;
    }
    redirect(303, `/engines/${id}`);
  }
};
