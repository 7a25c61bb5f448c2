import { parentPort } from 'node:worker_threads';
import { asRefusal, ourFault } from '../errors.ts';
import { log } from '../log.ts';
import { makePaper, type Asked } from './make.ts';

/** Papers off the thread that answers requests, with a connection of their own to the database. */
parentPort!.on('message', ({ input }: { input: Asked }) => {
  makePaper(input).then(
    (out) => parentPort!.postMessage({ ok: true, out }, [out.bytes.buffer]),
    (e: unknown) => {
      const r = asRefusal(e);
      if (!r) log.error('a paper could not be made', e);
      const { status, code, message, path } = r ?? ourFault();
      parentPort!.postMessage({ ok: false, error: { status, code, message, path } });
    }
  );
});
