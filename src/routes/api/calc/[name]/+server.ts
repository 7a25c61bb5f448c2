import { json } from '@sveltejs/kit';
import { runCalc } from '$core/index.ts';
import { readJson, refused } from '$lib/server/http.ts';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ params, request }) => {
  let input: unknown;
  try {
    input = await readJson(request);
  } catch (e) {
    return refused(e);
  }
  const answer = runCalc(params.name, input);
  return json(answer, { status: answer.ok ? 200 : answer.error.code === 'unknown-calc' ? 404 : 422 });
};
