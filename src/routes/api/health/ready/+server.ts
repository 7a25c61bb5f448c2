import { json } from '@sveltejs/kit';
import { api } from '$lib/server/http.ts';
import { nightlyTrouble } from '$lib/server/backups.ts';
import { databaseAnswers } from '$lib/server/repositories/workshop.ts';

/** The database answers: pages and writing work. What is the matter with the backup of the night is said beside it. */
export const GET = api(async () => {
  await databaseAnswers();
  return json({ ok: true, backup: nightlyTrouble(new Date()) });
});
