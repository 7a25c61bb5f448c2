import { json, type RequestEvent } from '@sveltejs/kit';
import { calculate } from '$lib/server/calc/calculate.ts';
import { api, readJson } from '$lib/server/http.ts';

export const POST = api(async (event: RequestEvent) => {
  const input = await readJson(event.request);
  const size = Number(event.request.headers.get('content-length') ?? Infinity);
  const answer = await calculate(event.params['name']!, input, size, event.getClientAddress());
  return json(answer, { status: answer.ok ? 200 : answer.error.code === 'unknown-calc' ? 404 : 422 });
});
