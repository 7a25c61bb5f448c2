import { orError } from '$lib/server/load.ts';
import { paper } from '$lib/server/papers/papers.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals, getClientAddress }) =>
  orError(paper({ paper: 'card', job: params.id, prefs: locals.prefs }, getClientAddress()));
