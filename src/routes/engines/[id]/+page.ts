import { loadFields } from '$lib/ui/engine/fields.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data, fetch }) => ({
  ...data,
  fields: await loadFields(data.fieldsHash, fetch)
});
