import { curveEngines } from '$lib/server/jobs/curve-page.ts';
import { orError } from '$lib/server/load.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ engines: await orError(curveEngines()) });
