import type { EventInput } from '$core/job/event-input.ts';
import type { JobEvent } from '$core/job/index.ts';
import { unsent as ofBrowser, type Unsent } from '../unsent/unsent.svelte.ts';
import type { Said } from './said.ts';
import type { Waiting } from '../unsent/waiting.ts';
import { newId } from './new-id.ts';

/** What of this browser's unsent things belongs to one job. */
export class Outbox {
  #leave: (() => void)[] = [];

  constructor(
    private readonly jobId: string,
    private readonly heard: (events: JobEvent[]) => void,
    private readonly unsent: Unsent = ofBrowser
  ) {}

  readonly #mine = $derived.by(() => this.unsent.entries.filter((w) => w.jobId === this.jobId));
  readonly waiting = $derived.by(() => this.#mine.filter((w) => !w.refused));
  /** what the server would not take, with its reason; what was typed stands here until somebody drops it */
  readonly setAside = $derived.by(() => this.#mine.filter((w) => w.refused));

  /** the server did not answer the last time, and what it says is the matter, when it says something */
  get away(): boolean {
    return this.unsent.away;
  }
  get trouble(): string | null {
    return this.unsent.trouble;
  }

  wake(): void {
    if (this.#leave.length) return;
    this.#leave = [this.unsent.onHeard(this.jobId, this.heard), this.unsent.start()];
  }

  sleep(): void {
    for (const leave of this.#leave) leave();
    this.#leave = [];
  }

  post(input: EventInput, shown: JobEvent): void {
    this.unsent.post([{ jobId: this.jobId, input, shown }]);
  }

  /** Several that are written together, or not at all. */
  postTogether(said: readonly Said[]): void {
    const group = newId();
    this.unsent.post(said.map((s) => ({ jobId: this.jobId, ...s, group })));
  }

  retryNow = (): void => this.unsent.retryNow();
  drop = (w: Waiting): void => this.unsent.drop(w);
  again = (w: Waiting): void => this.unsent.again(w);
}
