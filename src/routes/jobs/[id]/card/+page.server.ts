import { cardData } from '$lib/server/jobs/card-data.ts';
import { orError } from '$lib/server/load.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => orError(cardData(params.id, locals.prefs));
