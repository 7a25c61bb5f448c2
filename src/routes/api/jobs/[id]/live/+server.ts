import { eventStream } from '$lib/server/live/hub.ts';
import type { RequestHandler } from './$types';

/** Tells a screen that its job has newer events, that an engine's sheet has changed, or the tray. */
export const GET: RequestHandler = ({ params, url }) => {
  const engine = url.searchParams.get('engine');
  return eventStream((told) => {
    if (told === 'resync') return { resync: true };
    if (told.job === params.id) return { seq: told.seq };
    if (told.stock) return { stock: true };
    return engine !== null && told.engine === engine ? { engine } : null;
  });
};
