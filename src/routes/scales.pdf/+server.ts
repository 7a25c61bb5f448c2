import { api } from '$lib/server/http.ts';
import { paper } from '$lib/server/papers/papers.ts';
import type { RequestEvent } from './$types';

export const GET = api(({ url, getClientAddress }: RequestEvent) =>
  paper({ paper: 'scale', query: url.searchParams.toString() }, getClientAddress())
);
