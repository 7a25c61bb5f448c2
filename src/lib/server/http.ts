import { json, type RequestEvent } from '@sveltejs/kit';
import type { z } from 'zod';
import { isAway, Refusal, unavailable } from './errors.ts';

const MAX_BODY = 256 * 1024;

/** The JSON body of a request, checked against a schema. Bad JSON, a body too large and a bad value each say so. */
export async function readBody<S extends z.ZodType>(
  event: RequestEvent,
  schema: S,
  max = MAX_BODY
): Promise<z.output<S>> {
  const value = await readJson(event.request, max);
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
    throw e;
  }
  if (text.length > max) throw tooLarge(max);
  try {
    return JSON.parse(text);
  } catch (e) {
    if (e instanceof SyntaxError) throw new Refusal(422, 'bad-input', 'The body is not JSON.');
    throw e;
  }
}

const tooLarge = (max: number) =>
  new Refusal(413, 'too-large', `The body is larger than ${Math.round(max / 1024)} kB.`);

/** A refusal as the answer of an API route: the same shape as the core's. */
export function refused(e: unknown): Response {
  const r = e instanceof Refusal ? e : isAway(e) ? unavailable(e) : null;
  if (!r) throw e;
  return json(
    { ok: false, error: { code: r.code, message: r.message, path: r.path, ...r.details } },
    { status: r.status }
  );
}

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
