import { cardPdf } from '$lib/server/export/card-pdf.ts';
import { pdfResponse } from '$lib/server/export/paper.ts';
import { cardData } from '$lib/server/jobs/card-data.ts';
import { orError } from '$lib/server/load.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
  const data = await orError(cardData(params.id, locals.prefs));
  return pdfResponse(await cardPdf(data, locals.prefs), `card-${data.engine.id}.pdf`);
};
