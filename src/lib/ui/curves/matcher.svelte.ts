import type { MatchResult } from '$core/calculations/curve/curve-match.ts';
import type { CalcError, Result } from '$core/errors/result.ts';
import type { MatchInput } from '$core/domains/recurve/recurve-work.ts';

type Told = { id: number; share: number } | { id: number; answer: Result<MatchResult> };

/** A search still running when the target has moved on is given up after this. */
const PATIENCE_MS = 120;

/**
 * The search in its worker. Only the newest question counts: while one runs the next waits, and one that runs long is
 * ended for it. `cancel` ends the worker at once and keeps what was found before.
 */
export class Matcher {
  result = $state.raw<MatchResult | null>(null);
  error = $state.raw<CalcError | null>(null);
  /** share of the search done while it runs; null when none runs */
  share = $state<number | null>(null);
  cancelled = $state(false);
  #worker: Worker | null = null;
  #id = 0;
  #since = 0;
  #next: MatchInput | null = null;

  ask(input: MatchInput): void {
    this.cancelled = false;
    if (this.share !== null) {
      this.#next = input;
      if (performance.now() - this.#since > PATIENCE_MS) this.#restart();
      return;
    }
    this.#start(input);
  }

  cancel(): void {
    this.#next = null;
    this.cancelled = this.share !== null;
    this.#end();
  }

  close(): void {
    this.#next = null;
    this.#end();
  }

  #start(input: MatchInput): void {
    this.#worker ??= this.#open();
    this.share = 0;
    this.#since = performance.now();
    this.#worker.postMessage({ id: ++this.#id, input: $state.snapshot(input) });
  }

  #open(): Worker {
    const w = new Worker(new URL('./match.worker.ts', import.meta.url), { type: 'module' });
    w.onmessage = (m: MessageEvent<Told>) => {
      const told = m.data;
      if (told.id !== this.#id) return;
      if ('share' in told) this.share = told.share;
      else this.#answered(told.answer);
    };
    return w;
  }

  #answered(answer: Result<MatchResult>): void {
    this.share = null;
    this.result = answer.ok ? answer.out : null;
    this.error = answer.ok ? null : answer.error;
    const next = this.#next;
    this.#next = null;
    if (next) this.#start(next);
  }

  #restart(): void {
    const next = this.#next;
    this.#next = null;
    this.#end();
    if (next) this.#start(next);
  }

  #end(): void {
    this.#worker?.terminate();
    this.#worker = null;
    this.share = null;
  }
}
