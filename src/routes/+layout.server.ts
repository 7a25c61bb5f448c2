import { peopleNow } from '$lib/server/people-now.ts';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals }) => ({
  person: locals.person,
  prefs: locals.prefs,
  people: await peopleNow(!locals.person)
});
