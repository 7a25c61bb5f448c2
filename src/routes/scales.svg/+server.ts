import { refused } from '$lib/server/http.ts';
import { drawScale, mustReadScale, scaleSvg } from '$lib/server/export/scale.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ url }) => {
  try {
    return new Response(scaleSvg(drawScale(mustReadScale(url.searchParams))), {
      headers: { 'content-type': 'image/svg+xml' }
    });
  } catch (e) {
    return refused(e);
  }
};
