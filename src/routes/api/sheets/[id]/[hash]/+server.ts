import { forever, sheetBody } from '$lib/server/contents.ts';
import { notFound } from '$lib/server/errors.ts';
import { refused } from '$lib/server/http.ts';
import type { RequestHandler } from './$types';

/** A run sheet by its content: an address of another version is none. */
export const GET: RequestHandler = ({ params }) => {
  const kept = sheetBody(params.id);
  return kept?.hash === params.hash ? forever(kept.body) : refused(notFound('run sheet'));
};
