import { HeavyWork, type Limits } from '../calc/heavy.ts';
import { Refusal } from '../errors.ts';
import { makePaper, type Asked, type Paper } from './make.ts';

/** One paper at a time, so that a long one takes neither the other processors nor the database from those who work. */
const LIMITS: Limits = {
  workers: 1,
  all: 12,
  perCaller: 2,
  ms: 60_000,
  words: { several: 'papers', less: 'Look at it on the screen instead.' }
};

// the built server brings the script of the thread; where there is none, as in development, it is made here
const script = process.env.NEMRIK_PAPER_WORKER;
const threads = script ? new HeavyWork(script, LIMITS, { NEMRIK_CONNECTIONS: '2' }) : null;

/** A paper, made without holding anybody else up. */
export const paper = async (asked: Asked, caller: string): Promise<Response> =>
  pdfResponse(threads ? await onThread(threads, asked, caller) : await makePaper(asked));

/** A paper from a thread; what was refused there is refused here. */
export async function onThread(work: HeavyWork, asked: Asked, caller: string): Promise<Paper> {
  const answer = await work.run(asked.paper, asked, caller);
  if (answer.ok) return answer.out as Paper;
  const { status, code, message, path } = answer.error as unknown as Refusal;
  throw new Refusal(status, code, message, path);
}

function pdfResponse({ bytes, name }: Paper): Response {
  return new Response(bytes, {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}"` }
  });
}
