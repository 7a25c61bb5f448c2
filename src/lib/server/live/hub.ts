import pg from 'pg';
import { connection } from '../db/pool.ts';
import { log } from '../log.ts';

/** A change as the database tells it: a job's newest event, or an engine whose data sheet or jobs changed. */
export interface Change {
  job?: string;
  seq?: number;
  engine?: string;
  /** something came into the tray or left it */
  stock?: boolean;
}
export type Told = Change | 'resync';
type Listener = (told: Told) => void;

const listeners = new Set<Listener>();
let client: pg.Client | null = null;
let closing = false;

/**
 * One LISTEN connection a process, fanned out to its screens. After a lost connection everybody is told to resync:
 * what was notified in between is gone, and asking for everything newer than what one has is always right.
 */
export function subscribe(listener: Listener): () => void {
  listeners.add(listener);
  if (!client && !closing) void connect(0);
  return () => listeners.delete(listener);
}

/** A frozen line is noticed within 15 seconds. */
const WATCH = { everyMs: 10_000, answerMs: 5000 };

/** Ends a connection without waiting for the other side, which may be gone. */
function hangUp(c: pg.Client): void {
  (c as unknown as { connection?: { stream?: { destroy(): void } } }).connection?.stream?.destroy();
}

async function connect(tries: number): Promise<void> {
  const c = new pg.Client({ ...connection(), query_timeout: WATCH.answerMs });
  client = c;
  let lost = false;
  const again = () => {
    if (lost) return;
    lost = true;
    clearInterval(watch);
    hangUp(c);
    if (closing || client !== c) return;
    setTimeout(() => void connect(tries + 1), Math.min(5000, 100 * 2 ** Math.min(tries, 6))).unref();
  };
  // a wire that froze says nothing: it is asked, and hung up when it does not answer
  const watch = setInterval(() => c.query('SELECT 1').catch(again), WATCH.everyMs).unref();
  c.on('error', again);
  c.on('end', again);
  c.on('notification', (n) => tell(changeIn(n.payload)));
  try {
    await c.connect();
    await c.query('LISTEN changes');
    tries = 0;
    tell('resync');
  } catch {
    again();
  }
}

/** What a notification says; one that cannot be read means that anything may have changed. */
function changeIn(payload: string | undefined): Told {
  try {
    const change: unknown = JSON.parse(payload ?? '{}');
    if (typeof change === 'object' && change !== null) return change as Change;
  } catch {
    /* said below */
  }
  log.error('a notification that cannot be read: everybody is told to resync');
  return 'resync';
}

function tell(told: Told): void {
  for (const l of listeners) l(told);
}

const streams = new Set<() => void>();

/** A stream of server-sent events. `pick` says what of a change this screen is told, or null. */
export function eventStream(pick: (told: Told) => object | null): Response {
  let off = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const encode = new TextEncoder();
      const send = (text: string) => {
        // a reader that does not take its messages is dropped: it reconnects and resyncs
        if ((controller.desiredSize ?? 0) < -100) return off();
        controller.enqueue(encode.encode(text));
      };
      const stop = subscribe((told) => {
        const message = pick(told);
        if (message) send(`data: ${JSON.stringify(message)}\n\n`);
      });
      const beat = setInterval(() => send(': beat\n\n'), 20_000);
      off = () => {
        clearInterval(beat);
        stop();
        streams.delete(off);
        try {
          controller.close();
        } catch {
          /* the reader closed it first */
        }
      };
      streams.add(off);
      // what changed before this line was there is not told: whoever opens it looks for itself
      send('retry: 500\n\ndata: {"resync":true}\n\n');
    },
    cancel: () => off()
  });
  return new Response(body, {
    headers: {
      'content-type': 'text/event-stream',
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no'
    }
  });
}

/** Ends every stream and the listening connection, so that the process can end at once; for good, unless told otherwise. */
export function closeLive(forGood = true): void {
  closing = forGood;
  for (const off of [...streams]) off();
  const c = client;
  client = null;
  if (c) hangUp(c);
}
