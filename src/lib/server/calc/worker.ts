import { parentPort } from 'node:worker_threads';
import { runCalc } from '$core/index.ts';

/** A calculation off the thread that answers requests. */
parentPort!.on('message', ({ name, input }: { name: string; input: unknown }) => {
  parentPort!.postMessage(runCalc(name, input));
});
