import { orError } from '$lib/server/load.ts';
import { engines } from '$lib/server/repositories/engines.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({
  engines: (await orError(engines())).map((e) => ({
    id: e.id,
    name: e.name,
    summary: e.summary,
    values: Object.keys(e.values).length
  }))
});
