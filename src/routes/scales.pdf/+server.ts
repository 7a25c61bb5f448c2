import { refused } from '$lib/server/http.ts';
import { pdfResponse } from '$lib/server/export/paper.ts';
import { drawScale, mustReadScale, scalePdf } from '$lib/server/export/scale.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ url }) => {
  try {
    const q = mustReadScale(url.searchParams);
    return pdfResponse(await scalePdf(drawScale(q)), `${q.kind}-${q.diameter}mm.pdf`);
  } catch (e) {
    return refused(e);
  }
};
