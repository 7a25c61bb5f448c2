import { fieldsBody, forever } from '$lib/server/contents.ts';
import { notFound } from '$lib/server/errors.ts';
import { refused } from '$lib/server/http.ts';
import type { RequestHandler } from './$types';

/** The values a data sheet may hold, by their content. */
export const GET: RequestHandler = ({ params }) =>
  params.hash === fieldsBody.hash ? forever(fieldsBody.body) : refused(notFound('list of values'));
