import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import type { Result } from '$core/index.ts';
import { Refusal, unavailable } from '../errors.ts';

/** What one process does of heavy work at a time, for all callers and for one, and how long one piece may take. */
export interface Limits {
  workers: number;
  /** waiting and running */
  all: number;
  perCaller: number;
  ms: number;
  /** what a piece is called to its caller, and how to ask for less */
  words: { several: string; less: string };
}
const LIMITS: Limits = {
  workers: Math.max(1, availableParallelism() - 1),
  all: 24,
  perCaller: 3,
  ms: 10_000,
  words: { several: 'long calculations', less: 'Ask for less at once: fewer parts, points or readings.' }
};

interface Piece {
  name: string;
  input: unknown;
  done: (answer: Result<unknown>) => void;
  failed: (e: unknown) => void;
}

/**
 * Calculations that would hold every other request up, on threads of their own. A caller has few of them at a time; one
 * that takes too long is ended with its thread.
 */
export class HeavyWork {
  readonly #queue: Piece[] = [];
  readonly #idle: Worker[] = [];
  readonly #callers = new Map<string, number>();
  #running = 0;

  constructor(
    private readonly script: string | URL,
    private readonly limits: Limits = LIMITS,
    /** set for its threads beside what this process has */
    private readonly env: Readonly<Record<string, string>> = {}
  ) {}

  async run(name: string, input: unknown, caller: string): Promise<Result<unknown>> {
    const mine = this.#callers.get(caller) ?? 0;
    if (mine >= this.limits.perCaller)
      throw new Refusal(
        429,
        'too-many-at-once',
        `${mine} ${this.limits.words.several} of yours are at work already: wait for one of them, then ask again.`
      );
    if (this.#queue.length + this.#running >= this.limits.all)
      throw unavailable(new Error(`${this.limits.words.several} wait`), 'busy');
    this.#callers.set(caller, mine + 1);
    try {
      return await new Promise<Result<unknown>>((done, failed) => {
        this.#queue.push({ name, input, done, failed });
        this.#next();
      });
    } finally {
      const left = this.#callers.get(caller)! - 1;
      if (left) this.#callers.set(caller, left);
      else this.#callers.delete(caller);
    }
  }

  /** Ends the threads. */
  async close(): Promise<void> {
    await Promise.all(this.#idle.splice(0).map((w) => w.terminate()));
  }

  #next(): void {
    if (this.#queue.length === 0 || this.#running >= this.limits.workers) return;
    const piece = this.#queue.shift()!;
    this.#running++;
    // one that breaks while it is idle breaks nothing: the next piece finds it gone
    const worker =
      this.#idle.pop() ?? new Worker(this.script, { env: { ...process.env, ...this.env } }).on('error', () => {});
    worker.ref();
    const over = (settle: () => void, keep: boolean) => {
      clearTimeout(limit);
      worker.off('message', answered).off('error', broke).off('exit', gone);
      worker.unref();
      if (keep) this.#idle.push(worker);
      else void worker.terminate();
      this.#running--;
      settle();
      this.#next();
    };
    const limit = setTimeout(() => over(() => piece.failed(tooLong(this.limits)), false), this.limits.ms);
    const answered = (answer: Result<unknown>) => over(() => piece.done(answer), true);
    const broke = (e: unknown) => over(() => piece.failed(e), false);
    const gone = () => broke(new Error('a calculation thread ended'));
    worker.on('message', answered).on('error', broke).on('exit', gone);
    try {
      worker.postMessage({ name: piece.name, input: piece.input });
    } catch (e) {
      // what cannot be copied to another thread is its caller's fault, and nobody else waits for it
      over(() => piece.failed(e), true);
    }
  }
}

const tooLong = ({ ms, words }: Limits) =>
  new Refusal(422, 'too-long', `This would take longer than ${ms / 1000} s. ${words.less}`);
