import { json, type RequestEvent } from '@sveltejs/kit';
import type { z } from 'zod';
import { asRefusal, ourFault, Refusal } from './errors.ts';
import { log } from './log.ts';
import { LARGEST_PHOTO, type Photo } from './repositories/photos.ts';
import { mustBeClean, mustBeShallow } from './text.ts';

const MAX_BODY = 256 * 1024;

/** The JSON body of a request, checked against a schema. Bad JSON, a body too large and a bad value each say so. */
export async function readBody<S extends z.ZodType>(
  event: RequestEvent,
  schema: S,
  max = MAX_BODY
): Promise<z.output<S>> {
  return understood(await readJson(event.request, max), schema);
}

/** A value as a schema understands it; a refusal names the place of the first thing that is wrong. */
export function understood<S extends z.ZodType>(value: unknown, schema: S): z.output<S> {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  const issue = parsed.error.issues[0]!;
  const path = issue.path.join('.');
  throw new Refusal(422, 'bad-input', `${path ? `${path}: ` : ''}${issue.message}.`, path);
}

/** Reads JSON of at most `max` bytes. */
export async function readJson(request: Request, max = MAX_BODY): Promise<unknown> {
  if (Number(request.headers.get('content-length') ?? 0) > max) throw tooLarge(max);
  let text: string;
  try {
    text = await request.text();
  } catch (e) {
    if ((e as { status?: number }).status === 413) throw tooLarge(max);
    throw new Refusal(400, 'cut-short', 'The request was cut short: send it once more.');
  }
  if (text.length > max) throw tooLarge(max);
  mustBeShallow(text);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (e) {
    throw Object.assign(new Refusal(422, 'bad-input', 'The body is not JSON.'), { cause: e });
  }
  mustBeClean(value);
  return value;
}

/** The first bytes of what is kept, whatever a request calls itself. */
const BEGINS = { 'image/jpeg': [0xff, 0xd8, 0xff], 'image/png': [0x89, 0x50, 0x4e, 0x47] } as const;

/** Reads a photograph from the body of a request: JPEG or PNG by its own first bytes, of at most 2 MB. */
export async function readPhoto(request: Request): Promise<Photo> {
  if (Number(request.headers.get('content-length') ?? 0) > LARGEST_PHOTO) throw tooLarge(LARGEST_PHOTO);
  let bytes: Buffer;
  try {
    bytes = Buffer.from(await request.arrayBuffer());
  } catch (e) {
    if ((e as { status?: number }).status === 413) throw tooLarge(LARGEST_PHOTO);
    throw new Refusal(400, 'cut-short', 'The photograph was cut short: send it once more.');
  }
  if (bytes.length > LARGEST_PHOTO) throw tooLarge(LARGEST_PHOTO);
  const kinds = Object.keys(BEGINS) as (keyof typeof BEGINS)[];
  const kind = kinds.find((k) => BEGINS[k].every((b, i) => bytes[i] === b));
  if (!kind) throw new Refusal(415, 'no-photograph', 'This is no photograph in JPEG or PNG.');
  return { kind, bytes };
}

const tooLarge = (max: number) =>
  new Refusal(413, 'too-large', `The body is larger than ${Math.round(max / 1024)} kB.`);

/** A refusal as the answer of an API route: the same shape as the core's. */
export function refused(e: unknown): Response {
  const r = asRefusal(e);
  if (r) return answer(r);
  log.error('a request failed', e);
  return answer(ourFault());
}

/** A refusal as JSON; one that mends by itself says when to ask again. */
export const answer = (r: Refusal): Response =>
  json(
    { ok: false, error: { code: r.code, message: r.message, path: r.path, ...r.details } },
    { status: r.status, headers: r.status === 503 ? { 'retry-after': '1' } : {} }
  );

/** Wraps an API handler so that refusals become answers. */
export const api =
  <E extends RequestEvent>(handle: (event: E) => Promise<Response>) =>
  async (event: E): Promise<Response> => {
    try {
      return await handle(event);
    } catch (e) {
      return refused(e);
    }
  };
