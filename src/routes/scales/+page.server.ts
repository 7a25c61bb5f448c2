import { drawScale, readScale } from '$lib/server/export/scale.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url }) => {
  const asked = url.searchParams.has('diameter') ? url.searchParams : new URLSearchParams({ diameter: '164' });
  const read = readScale(asked);
  return read.ok
    ? { query: read.query, drawing: drawScale(read.query), problem: null }
    : { query: Object.fromEntries(asked) as Record<string, string>, drawing: null, problem: read.message };
};
