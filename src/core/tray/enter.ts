import { z } from 'zod';
import { readingParse } from '../calculations/reading/reading-parse.ts';
import { springRate } from '../calculations/spring/spring-rate.ts';
import { unitsOf, type Quantity, type Unit } from '../units/units.ts';
import { gaugeKinds, type TrayGauge } from './gauge-kinds.ts';
import type { Part, PartKind } from './part-kinds.ts';

/** What was typed into a form of the tray, by the names of its fields. */
export type Typed = Record<string, string>;

/** What a form of the tray says, understood; or the sentence that says what is wrong with it. */
export type Entered<T> = { ok: true; out: T } | { ok: false; message: string };

/** A kind of part as it goes into the tray, without the id that the tray gives it. */
export type NewPart = Omit<Part, 'id'> & {
  low: number;
  count: number;
  loads: { massG: number; lengthMm: number }[] | null;
};
/** Pieces that came (above 0) or went (below 0) outside a job, and why. */
export interface Move {
  item: string;
  change: number;
  reason: string;
}

class Wrong extends Error {}
const wrong = (message: string): never => {
  throw new Wrong(message);
};

const entering =
  <T>(understand: (typed: Typed) => T) =>
  (typed: Typed): Entered<T> => {
    try {
      return { ok: true, out: understand(typed) };
    } catch (e) {
      if (e instanceof Wrong) return { ok: false, message: e.message };
      throw e;
    }
  };

function checked<S extends z.ZodType>(schema: S, typed: Typed): z.output<S> {
  const parsed = schema.safeParse(typed);
  return parsed.success ? parsed.data : wrong(parsed.error.issues[0]!.message);
}

/** A figure with or without its unit, in the base unit of its quantity. */
function figure(what: string, text: string, quantity: Quantity, unit = ''): number {
  const meant = ((unitsOf[quantity] as readonly string[]).includes(unit) ? unit : unitsOf[quantity][0]) as Unit;
  const read = readingParse({ text, quantity, defaultUnit: meant });
  return read.ok ? read.out.value : wrong(`${what}: ${read.error.message}`);
}

const name = z.string().trim().min(1, 'Give it a name.').max(40, 'A name of at most 40 letters.');
const count = z.coerce
  .number('Say how many there are.')
  .int('Whole pieces only.')
  .min(0, 'Not fewer than none.')
  .max(999, 'At most 999 at once.');
const blank = {
  thicknessMm: null,
  uMm: null,
  rateNPerMm: null,
  uRate: null,
  preloadN: null,
  uPreload: null,
  deg: null,
  loads: null
};

const gaugeForm = z.object({
  name: z.string().trim().min(1, 'Give the gauge a name.').max(80),
  kind: z.enum(Object.keys(gaugeKinds) as [keyof typeof gaugeKinds], 'Choose what kind of gauge it is.'),
  resolution: z.string(),
  accuracy: z.string(),
  perRev: z.string().default(''),
  unit: z.string(),
  calibrated: z.union([z.literal(''), z.iso.date('Give the calibration day as a date.')]).default(''),
  scatter: z.string().default(''),
  repeats: z.string().default('')
});

/** A gauge: its step and accuracy as stated, one turn of its pointer, the day of its calibration. */
export const enterGauge = entering((typed): Omit<TrayGauge, 'id'> => {
  const g = checked(gaugeForm, typed);
  const { quantity } = gaugeKinds[g.kind];
  const q: Quantity = quantity === 'timing' ? 'angle' : quantity;
  const resolution = figure('Smallest step', g.resolution || '0', q, g.unit);
  const accuracy = figure('Accuracy', g.accuracy, q, g.unit);
  const perRevMm = g.perRev === '' ? null : figure('One turn of the pointer', g.perRev, q, g.unit);
  if (perRevMm !== null && perRevMm <= 0) wrong('One turn of the pointer must be a length above 0.');
  if (resolution < 0 || accuracy < 0) wrong('Step and accuracy cannot be below 0.');
  if (resolution === 0 && accuracy === 0)
    wrong('A gauge that is never wrong does not exist: give its smallest step or its accuracy.');
  const hand = handOf(g.scatter.trim(), g.repeats.trim(), (text) => figure('Scatter of one reading', text, q, g.unit));
  return { name: g.name, kind: g.kind, resolution, accuracy, perRevMm, calibratedOn: g.calibrated || null, ...hand };
});

/** How much one reading scatters, with the repeats it was found from; neither: the workshop's assumption for its kind stands. */
function handOf(scatter: string, repeats: string, read: (text: string) => number) {
  if (scatter === '' && repeats === '') return { scatter: null, scatterDof: null };
  if (scatter === '') wrong('Say how much one reading scatters, or leave its repeats out too.');
  const found = read(scatter);
  if (found < 0) wrong('A scatter cannot be below 0.');
  const n = Number(repeats);
  if (!Number.isInteger(n) || n < 2 || n > 1000)
    wrong('Say from how many repeats the scatter was found: a whole number from 2 to 1,000.');
  return { scatter: found, scatterDof: n - 1 };
}

const partForm = z.object({
  name,
  kind: z.enum(['packing', 'shim', 'ring', 'gasket'] satisfies PartKind[], 'Choose what it is.'),
  thickness: z.string(),
  u: z.string().default(''),
  unit: z.string(),
  count
});

/** A packing, shim, ring or gasket by its thickness; what is typed as \u00b1 is two standard uncertainties. */
export const enterPart = entering((typed): NewPart => {
  const p = checked(partForm, typed);
  const thicknessMm = figure('Thickness', p.thickness, 'length', p.unit);
  if (thicknessMm <= 0 || thicknessMm >= 100) wrong('A thickness lies above 0 and below 100 mm.');
  const half = p.u.trim() === '' ? 0 : figure('Known to \u00b1', p.u, 'length', p.unit);
  if (half < 0) wrong('Known to \u00b1 cannot be below 0.');
  return { ...blank, name: p.name, kind: p.kind, thicknessMm, uMm: half / 2, low: 1, count: p.count };
});

const springForm = z.object({ name, installed: z.string(), unit: z.string(), count });

/** A spring by the weights hung on it: rate and preload follow from lengths, never from a colour or a name. */
export const enterSpring = entering((typed): NewPart => {
  const s = checked(springForm, typed);
  const loads = Object.keys(typed)
    .filter((k) => k.startsWith('mass-') && (typed[k] ?? '').trim() !== '')
    .map((k) => ({
      massG: figure('Weight', typed[k]!, 'mass'),
      lengthMm: figure(`Length under ${typed[k]} g`, typed[k.replace('mass', 'length')] ?? '', 'length', s.unit)
    }));
  const rated = springRate({
    loads,
    installedLengthMm: figure('Length at rest in the unit', s.installed, 'length', s.unit)
  });
  if (!rated.ok) return wrong(rated.error.message);
  const { rateNPerMm, uRate, installedForceN, uInstalledForceN } = rated.out;
  if (rateNPerMm <= 0) wrong('The spring gets shorter under more weight: are two lengths swapped?');
  const preloadN = installedForceN!;
  return {
    ...blank,
    name: s.name,
    kind: 'spring',
    rateNPerMm,
    uRate,
    preloadN,
    uPreload: uInstalledForceN ?? null,
    low: 1,
    loads,
    count: s.count
  };
});

const stopForm = z.object({ name, deg: z.string(), scale: z.enum(['crank', 'distributor']), count });

/** A stop by the advance that it allows, kept in degrees of the crank. */
export const enterStop = entering((typed): NewPart => {
  const s = checked(stopForm, typed);
  const deg = figure('Advance it allows', s.deg, 'angle') * (s.scale === 'distributor' ? 2 : 1);
  if (deg <= 0 || deg >= 90) wrong('A stop allows more than 0 and less than 90 degrees of the crank.');
  return { ...blank, name: s.name, kind: 'stop', deg, low: 0, count: s.count };
});

const moveForm = z.object({
  item: z.string().min(1),
  change: z.coerce.number('How many in (or out, with a minus)?').int('Whole pieces only.').min(-999).max(999),
  reason: z.string().trim().min(1, 'Say why, in a word or two.').max(200)
});

export const enterMove = entering((typed): Move => {
  const m = checked(moveForm, typed);
  if (m.change === 0) wrong('None came and none went: there is nothing to note.');
  return m;
});
