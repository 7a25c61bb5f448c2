import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { readingParse } from '$core/measure/reading-parse.ts';
import { unitsOf, type Quantity, type Unit } from '$core/units/units.ts';
import { gaugeKinds } from '$core/sheets/gauge-kinds.ts';
import { mustAct } from '$lib/server/auth/who.ts';
import { Refusal, violated } from '$lib/server/errors.ts';
import { orError } from '$lib/server/load.ts';
import { addGauge, gauges } from '$lib/server/repositories/gauges.ts';
import { slug } from '$lib/server/repositories/slug.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ gauges: await orError(gauges()) });

const form = z.object({
  name: z.string().trim().min(1, 'Give the gauge a name.').max(80),
  kind: z.enum(Object.keys(gaugeKinds) as [keyof typeof gaugeKinds], 'Choose what kind of gauge it is.'),
  resolution: z.string(),
  accuracy: z.string(),
  perRev: z.string().default(''),
  unit: z.string(),
  calibrated: z.union([z.literal(''), z.iso.date('Give the calibration day as a date.')]).default('')
});

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const sent = Object.fromEntries(await request.formData()) as Record<string, string>;
    const refuse = (message: string, status = 422) => fail(status, { message, sent });
    const parsed = form.safeParse(sent);
    if (!parsed.success) return refuse(parsed.error.issues[0]!.message);
    const g = parsed.data;
    const quantity: Quantity = gaugeKinds[g.kind].quantity;
    const unit = ((unitsOf[quantity] as readonly string[]).includes(g.unit) ? g.unit : unitsOf[quantity][0]) as Unit;
    const read = (text: string) =>
      readingParse({ text, quantity: quantity === 'timing' ? 'angle' : quantity, defaultUnit: unit });
    const resolution = read(g.resolution || '0');
    const accuracy = read(g.accuracy);
    if (!resolution.ok) return refuse(`Smallest step: ${resolution.error.message}`);
    if (!accuracy.ok) return refuse(`Accuracy: ${accuracy.error.message}`);
    const perRev = g.perRev === '' ? null : read(g.perRev);
    if (perRev && (!perRev.ok || perRev.out.value <= 0))
      return refuse('One turn of the pointer must be a length above 0.');
    if (resolution.out.value < 0 || accuracy.out.value < 0) return refuse('Step and accuracy cannot be below 0.');
    if (resolution.out.value === 0 && accuracy.out.value === 0)
      return refuse('A gauge that is never wrong does not exist: give its smallest step or its accuracy.');
    try {
      mustAct(locals);
      const tray = await gauges();
      const id = slug(g.name);
      if (tray.some((t) => t.id === id)) return refuse(`There is a ${g.name} in the tray already.`, 409);
      await addGauge({
        id,
        name: g.name,
        kind: g.kind,
        resolution: resolution.out.value,
        accuracy: accuracy.out.value,
        perRevMm: perRev?.ok ? perRev.out.value : null,
        calibratedOn: g.calibrated || null
      });
    } catch (e) {
      if (e instanceof Refusal) return refuse(e.message, e.status);
      if (violated(e)) return refuse('There is a gauge of that name already.', 409);
      throw e;
    }
    return { added: g.name };
  }
};
