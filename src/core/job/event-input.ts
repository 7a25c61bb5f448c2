import { z } from 'zod';
import { signKinds } from '../calculations/cycle/schemas.ts';
import { partKinds } from '../tray/part-kinds.ts';
import { unitsOf, type Quantity } from '../units/units.ts';

const id = z.uuid();
const short = z.string().min(1).max(60);
const text = z.string().trim().min(1, 'say why in a few words').max(500);
const quantity = z.enum(Object.keys(unitsOf) as [Quantity, ...Quantity[]]);

/**
 * What a screen sends to be written in the log. A figure is sent as typed, with the unit meant when none was typed;
 * the server reads it with the same grammar, so a value cannot differ from its text.
 */
const typed = {
  text: z.string().min(1).max(200),
  defaultUnit: z.string().max(10),
  gaugeId: short.nullable()
};

export const eventInput = z.discriminatedUnion('kind', [
  z.strictObject({ id, kind: z.literal('reading'), step: short, slot: short, quantity, ...typed }),
  z.strictObject({ id, kind: z.literal('amend'), replaces: id, basis: id, reason: text, ...typed }),
  z.strictObject({ id, kind: z.literal('done'), step: short }),
  z.strictObject({ id, kind: z.literal('skip'), step: short, reason: text }),
  z.strictObject({ id, kind: z.literal('reopen'), step: short, reason: text.optional() }),
  z.strictObject({ id, kind: z.literal('choose'), school: short, option: short }),
  z.strictObject({ id, kind: z.literal('sign'), sign: z.enum(signKinds), seen: z.boolean().nullable() }),
  z.strictObject({ id, kind: z.literal('fact'), fact: short, value: z.boolean() }),
  z.strictObject({ id, kind: z.literal('say'), flag: short, on: z.boolean(), seen: text.optional() }),
  z.strictObject({ id, kind: z.literal('happened'), rule: short, note: text.optional() }),
  z.strictObject({ id, kind: z.literal('lift') }),
  z.strictObject({
    id,
    kind: z.literal('crank'),
    crankDeg: z.number().min(-720).max(1440).nullable(),
    move: z.enum(['forward', 'backward', 'unknown'])
  }),
  z.strictObject({
    id,
    kind: z.literal('went'),
    reading: id,
    travelDeg: z.number().min(-1440).max(1440).nullable()
  }),
  z.strictObject({ id, kind: z.literal('turned'), step: short, reading: id.optional(), is: z.boolean() }),
  // parts are named by their place in the tray; what they measure is the tray's to say, not the screen's
  z.strictObject({ id, kind: z.literal('take'), step: short, part: z.enum(partKinds), items: z.array(short).max(12) }),
  z.strictObject({
    id,
    kind: z.literal('target'),
    step: short,
    points: z
      .array(z.strictObject({ rpm: z.number().min(0).max(20000), deg: z.number().min(-60).max(90) }))
      .min(1)
      .max(40)
      .refine((p) => p.every((x, k) => k === 0 || x.rpm > p[k - 1]!.rpm), 'the speeds of a target must rise')
  }),
  z
    .strictObject({
      id,
      kind: z.literal('override'),
      step: short,
      flags: z.array(short),
      rules: z.array(short).max(20).optional(),
      open: z.string().min(1).max(2000).optional(),
      reason: text
    })
    .refine((o) => o.flags.length > 0 || (o.rules?.length ?? 0) > 0 || o.open !== undefined, 'say what is overruled'),
  z.strictObject({ id, kind: z.literal('remark'), text, step: short.optional() }),
  z.strictObject({ id, kind: z.literal('photo'), photo: id, text: z.string().trim().max(200), step: short }),
  z.strictObject({ id, kind: z.literal('undo'), undoes: id })
]);

export type EventInput = z.infer<typeof eventInput>;
