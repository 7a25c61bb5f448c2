import { json } from '@sveltejs/kit';
import { api } from '$lib/server/http.ts';
import { databaseAnswers } from '$lib/server/repositories/workshop.ts';

/** The database answers: pages and writing work. */
export const GET = api(async () => {
  await databaseAnswers();
  return json({ ok: true });
});
