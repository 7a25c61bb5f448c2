import { cardPdf } from '../export/card-pdf.ts';
import { drawScale, mustReadScale, scalePdf } from '../export/scale.ts';
import { cardData } from '../jobs/card-data.ts';
import type { Prefs } from '$lib/reader/prefs.ts';

/** A paper as it is asked for: plain values, which another thread can be told. */
export type Asked =
  | { paper: 'card'; job: string; prefs: Prefs }
  /** the query of the address, as it was sent */
  | { paper: 'scale'; query: string };

export interface Paper {
  bytes: Uint8Array<ArrayBuffer>;
  name: string;
}

/** Makes a paper, with what it shows looked up here: whoever calls it waits for nothing but the finished bytes. */
export async function makePaper(asked: Asked): Promise<Paper> {
  if (asked.paper === 'card') {
    const data = await cardData(asked.job, asked.prefs);
    return { bytes: await cardPdf(data, asked.prefs), name: `card-${data.engine.id}.pdf` };
  }
  const q = mustReadScale(new URLSearchParams(asked.query));
  return { bytes: await scalePdf(drawScale(q)), name: `${q.kind}-${q.diameter}mm.pdf` };
}
