import { eventStream } from '$lib/server/live/hub.ts';

/** Tells the floor that something has changed. */
export const GET = () => eventStream((told) => (told === 'resync' ? { resync: true } : told));
