import { fail, type ActionFailure } from '@sveltejs/kit';
import { z } from 'zod';
import { readingParse } from '$core/calculations/reading/reading-parse.ts';
import { springRate } from '$core/calculations/spring/spring-rate.ts';
import { unitsOf, type Quantity, type Unit } from '$core/units/units.ts';
import { gaugeKinds } from '$core/tray/gauge-kinds.ts';
import { mustAct } from '$lib/server/auth/who.ts';
import { Refusal, violated } from '$lib/server/errors.ts';
import { orError } from '$lib/server/load.ts';
import { addGauge, gauges } from '$lib/server/repositories/gauges.ts';
import { slug } from '$lib/server/repositories/slug.ts';
import { addStock, moveStock, stock } from '$lib/server/repositories/stock.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const [tray, parts] = await Promise.all([orError(gauges()), orError(stock())]);
  return { gauges: tray, stock: parts };
};

type Sent = Record<string, string>;
type Form = 'gauge' | 'part' | 'spring' | 'stop' | 'move';

/** A refusal of a form: the sentence, which form, and what was typed, so that nothing has to be typed again. */
class Wrong extends Error {
  constructor(
    message: string,
    readonly status = 422
  ) {
    super(message);
  }
}

/** One form of the page: reads it, does it, and turns what can go wrong into a sentence beside it. */
const action =
  (form: Form, act: (sent: Sent, by: { id: string; name: string }) => Promise<string>) =>
  async ({
    request,
    locals
  }: {
    request: Request;
    locals: App.Locals;
  }): Promise<ActionFailure<{ form: Form; message: string; sent: Sent }> | { form: Form; added: string }> => {
    const sent = Object.fromEntries(await request.formData()) as Sent;
    try {
      return { form, added: await act(sent, mustAct(locals)) };
    } catch (e) {
      if (e instanceof Wrong || e instanceof Refusal) return fail(e.status, { form, message: e.message, sent });
      if (violated(e)) return fail(409, { form, message: 'There is something of that name already.', sent });
      throw e;
    }
  };

function checked<S extends z.ZodType>(schema: S, sent: Sent): z.output<S> {
  const parsed = schema.safeParse(sent);
  if (!parsed.success) throw new Wrong(parsed.error.issues[0]!.message);
  return parsed.data;
}

function figure(what: string, text: string, quantity: Quantity, unit = ''): number {
  const meant = ((unitsOf[quantity] as readonly string[]).includes(unit) ? unit : unitsOf[quantity][0]) as Unit;
  const read = readingParse({ text, quantity, defaultUnit: meant });
  if (!read.ok) throw new Wrong(`${what}: ${read.error.message}`);
  return read.out.value;
}

const name = z.string().trim().min(1, 'Give it a name.').max(40, 'A name of at most 40 letters.');
const count = z.coerce
  .number('Say how many there are.')
  .int('Whole pieces only.')
  .min(0, 'Not fewer than none.')
  .max(999, 'At most 999 at once.');

const gaugeForm = z.object({
  name: z.string().trim().min(1, 'Give the gauge a name.').max(80),
  kind: z.enum(Object.keys(gaugeKinds) as [keyof typeof gaugeKinds], 'Choose what kind of gauge it is.'),
  resolution: z.string(),
  accuracy: z.string(),
  perRev: z.string().default(''),
  unit: z.string(),
  calibrated: z.union([z.literal(''), z.iso.date('Give the calibration day as a date.')]).default('')
});

async function putGauge(sent: Sent): Promise<string> {
  const g = checked(gaugeForm, sent);
  const { quantity } = gaugeKinds[g.kind];
  const q: Quantity = quantity === 'timing' ? 'angle' : quantity;
  const resolution = figure('Smallest step', g.resolution || '0', q, g.unit);
  const accuracy = figure('Accuracy', g.accuracy, q, g.unit);
  const perRev = g.perRev === '' ? null : figure('One turn of the pointer', g.perRev, q, g.unit);
  if (perRev !== null && perRev <= 0) throw new Wrong('One turn of the pointer must be a length above 0.');
  if (resolution < 0 || accuracy < 0) throw new Wrong('Step and accuracy cannot be below 0.');
  if (resolution === 0 && accuracy === 0)
    throw new Wrong('A gauge that is never wrong does not exist: give its smallest step or its accuracy.');
  const id = slug(g.name);
  if ((await gauges()).some((t) => t.id === id)) throw new Wrong(`There is a ${g.name} in the tray already.`, 409);
  await addGauge({
    id,
    name: g.name,
    kind: g.kind,
    resolution,
    accuracy,
    perRevMm: perRev,
    calibratedOn: g.calibrated || null
  });
  return g.name;
}

const none = {
  thicknessMm: null,
  uMm: null,
  rateNPerMm: null,
  uRate: null,
  preloadN: null,
  deg: null,
  loads: null
};

const partForm = z.object({
  name,
  kind: z.enum(['packing', 'shim', 'ring', 'gasket'], 'Choose what it is.'),
  thickness: z.string(),
  u: z.string().default(''),
  unit: z.string(),
  count
});

async function putPart(sent: Sent, by: { id: string; name: string }): Promise<string> {
  const p = checked(partForm, sent);
  const thicknessMm = figure('Thickness', p.thickness, 'length', p.unit);
  if (thicknessMm <= 0 || thicknessMm >= 100) throw new Wrong('A thickness lies above 0 and below 100 mm.');
  const half = p.u.trim() === '' ? 0 : figure('Known to \u00b1', p.u, 'length', p.unit);
  if (half < 0) throw new Wrong('Known to \u00b1 cannot be below 0.');
  // what is typed is \u00b1 two standard uncertainties, as everywhere on screen
  const item = { ...none, id: slug(p.name), name: p.name, kind: p.kind, thicknessMm, uMm: half / 2, low: 1 };
  await addStock(item, p.count, by);
  return p.name;
}

const springForm = z.object({ name, installed: z.string(), unit: z.string(), count });

/** A spring by the weights hung on it: rate and preload follow from lengths, never from a colour or a name. */
async function putSpring(sent: Sent, by: { id: string; name: string }): Promise<string> {
  const s = checked(springForm, sent);
  const loads = Object.keys(sent)
    .filter((k) => k.startsWith('mass-') && (sent[k] ?? '').trim() !== '')
    .map((k) => {
      const length = sent[k.replace('mass', 'length')] ?? '';
      return {
        massG: figure('Weight', sent[k]!, 'mass'),
        lengthMm: figure(`Length under ${sent[k]} g`, length, 'length', s.unit)
      };
    });
  const rated = springRate({
    loads,
    installedLengthMm: figure('Length at rest in the unit', s.installed, 'length', s.unit)
  });
  if (!rated.ok) throw new Wrong(rated.error.message);
  const { rateNPerMm, uRate, installedForceN } = rated.out;
  if (rateNPerMm <= 0) throw new Wrong('The spring gets shorter under more weight: are two lengths swapped?');
  await addStock(
    {
      ...none,
      id: slug(s.name),
      name: s.name,
      kind: 'spring',
      rateNPerMm,
      uRate,
      preloadN: installedForceN!,
      low: 1,
      loads
    },
    s.count,
    by
  );
  return s.name;
}

const stopForm = z.object({ name, deg: z.string(), scale: z.enum(['crank', 'distributor']), count });

async function putStop(sent: Sent, by: { id: string; name: string }): Promise<string> {
  const s = checked(stopForm, sent);
  const deg = figure('Advance it allows', s.deg, 'angle') * (s.scale === 'distributor' ? 2 : 1);
  if (deg <= 0 || deg >= 90) throw new Wrong('A stop allows more than 0 and less than 90 degrees of the crank.');
  await addStock({ ...none, id: slug(s.name), name: s.name, kind: 'stop', deg, low: 0 }, s.count, by);
  return s.name;
}

const moveForm = z.object({
  item: z.string().min(1),
  change: z.coerce.number('How many came or went?').int('Whole pieces only.').min(-999).max(999),
  reason: z.string().trim().min(1, 'Say why, in a word or two.').max(200)
});

async function putMove(sent: Sent, by: { id: string; name: string }): Promise<string> {
  const m = checked(moveForm, sent);
  if (m.change === 0) throw new Wrong('None came and none went: there is nothing to note.');
  await moveStock(m.item, m.change, m.reason, by);
  return 'Noted';
}

export const actions: Actions = {
  gauge: action('gauge', putGauge),
  part: action('part', putPart),
  spring: action('spring', putSpring),
  stop: action('stop', putStop),
  move: action('move', putMove)
};
