import type { JobEvent } from '$core/job/index.ts';
import { kept } from './kept.ts';
import { send } from './send.ts';
import type { Refused, Waiting } from './waiting.ts';

const LOCK = 'nemrik-sender';
const HEARD = 'nemrik-heard';
const TRIES = 3;
const RETRY_MS = 300;
const MOST_MS = 5000;

/** What one tab tells the others: what is no longer unsent, and what the server made of it. */
interface Gone {
  jobId: string;
  ids: string[];
  events: JobEvent[];
}
type Hearer = (events: JobEvent[]) => void;

/**
 * What was said on this device, in whatever job, and is not yet heard by the server. One tab of the browser sends at a
 * time, each thing in its turn, again and again while the server or its database is away. The ids made here let the server
 * store each once, so that even two senders would do no harm.
 */
export class Unsent {
  entries = $state.raw<Waiting[]>([]);
  /** the server did not answer the last time */
  away = $state(false);
  /** what it says is the matter with it, when it says something */
  trouble = $state<string | null>(null);
  #pages = 0;
  #said = 0;
  #sending = false;
  #more = false;
  #tries = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #channel: BroadcastChannel | null = null;
  /** said on this page: held here until it is heard, whatever becomes of the store */
  readonly #own = new Set<string>();
  readonly #failures = new Map<string, number>();
  readonly #hearers = new Map<string, Set<Hearer>>();

  /** Begins to send, in the browser only. Answers how to leave off. */
  start(): () => void {
    if (this.#pages++ === 0) this.#open();
    this.#look();
    void this.#send();
    let left = false;
    return () => {
      if (left) return;
      left = true;
      if (--this.#pages === 0) this.#close();
    };
  }

  /** Who follows a job is told what the server heard of it, from this tab or from another. */
  onHeard(jobId: string, hearer: Hearer): () => void {
    const all = this.#hearers.get(jobId) ?? new Set();
    this.#hearers.set(jobId, all.add(hearer));
    return () => void all.delete(hearer);
  }

  post(said: readonly Omit<Waiting, 'place'>[]): void {
    const placed = said.map((w) => ({ ...w, place: this.#said++ }));
    for (const w of placed) this.#own.add(w.input.id);
    kept.put(placed);
    this.entries = [...this.entries, ...placed];
    this.retryNow();
  }

  retryNow(): void {
    clearTimeout(this.#timer);
    void this.#send();
  }

  /** Lets go of something that was refused, on purpose, with all that was said together with it. */
  drop(w: Waiting): void {
    this.#gone(this.#together(w), []);
  }

  /** Tries something again that the server failed on. */
  again(w: Waiting): void {
    const tried = this.#together(w).map(({ refused: _, ...x }) => x);
    for (const x of tried) this.#failures.delete(x.input.id);
    this.#replace(tried);
    this.retryNow();
  }

  #together = (w: Waiting): Waiting[] =>
    w.group
      ? this.entries.filter((x) => x.group === w.group)
      : [this.entries.find((x) => x.input.id === w.input.id) ?? w];

  #open(): void {
    globalThis.addEventListener?.('storage', this.#changed);
    if (typeof BroadcastChannel === 'undefined') return;
    this.#channel = new BroadcastChannel(HEARD);
    this.#channel.onmessage = (m: MessageEvent<Gone>) => {
      const { jobId, events, ids } = m.data;
      if (events.length) this.#tell(jobId, events);
      this.#forget(this.entries.filter((w) => ids.includes(w.input.id)));
    };
  }

  #close(): void {
    clearTimeout(this.#timer);
    globalThis.removeEventListener?.('storage', this.#changed);
    this.#channel?.close();
    this.#channel = null;
  }

  /** Another tab said something, or had something heard. */
  #changed = (e: StorageEvent): void => {
    if (!kept.owns(e.key)) return;
    this.#look();
    void this.#send();
  };

  #look(): void {
    const stored = kept.all();
    if (!stored) return;
    const there = new Set(stored.map((w) => w.input.id));
    this.entries = [...stored, ...this.entries.filter((w) => this.#own.has(w.input.id) && !there.has(w.input.id))];
  }

  async #send(): Promise<void> {
    if (this.#sending) {
      this.#more = true;
      return;
    }
    this.#sending = true;
    try {
      do {
        this.#more = false;
        if (this.#pages > 0 && this.entries.some((w) => !w.refused)) await alone(() => this.#sendAll());
      } while (this.#more && this.#pages > 0);
    } finally {
      this.#sending = false;
    }
  }

  async #sendAll(): Promise<void> {
    // while this tab waited for its turn, another may have sent what waits here too
    this.#look();
    for (;;) {
      const first = this.entries.find((w) => !w.refused);
      if (!first || this.#pages === 0) return;
      const together = this.#together(first);
      const answer = await send(together);
      if ('away' in answer) {
        this.away = true;
        this.trouble = answer.away;
        return this.#later();
      }
      if ('failed' in answer && this.#failedAgain(first) < TRIES) return this.#later();
      this.away = false;
      this.trouble = null;
      this.#tries = 0;
      if ('heard' in answer) {
        this.#tell(first.jobId, answer.heard);
        this.#gone(together, answer.heard);
      } else this.#setAside(together, 'failed' in answer ? answer.failed : answer.refused);
    }
  }

  #failedAgain({ input }: Waiting): number {
    const n = (this.#failures.get(input.id) ?? 0) + 1;
    this.#failures.set(input.id, n);
    return n;
  }

  #later(): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#send(), Math.min(MOST_MS, RETRY_MS * 2 ** this.#tries++));
  }

  #tell(jobId: string, events: JobEvent[]): void {
    for (const hear of this.#hearers.get(jobId) ?? []) hear(events);
  }

  /** Lets go of things here and in every other tab: they were heard, or dropped on purpose. */
  #gone(gone: readonly Waiting[], events: JobEvent[]): void {
    this.#channel?.postMessage({ jobId: gone[0]!.jobId, events, ids: gone.map((w) => w.input.id) } satisfies Gone);
    this.#forget(gone);
  }

  #forget(gone: readonly Waiting[]): void {
    const ids = new Set(gone.map((w) => w.input.id));
    this.entries = this.entries.filter((w) => !ids.has(w.input.id));
    kept.drop(gone);
    for (const w of gone) {
      this.#own.delete(w.input.id);
      this.#failures.delete(w.input.id);
    }
  }

  #setAside(all: readonly Waiting[], refused: Refused): void {
    this.#replace(all.map((w) => ({ ...w, refused })));
  }

  #replace(changed: readonly Waiting[]): void {
    const by = new Map(changed.map((w) => [w.input.id, w]));
    this.entries = this.entries.map((w) => by.get(w.input.id) ?? w);
    kept.put(changed);
  }
}

/** Runs `work` while no other tab of this browser does; where tabs cannot agree, at once. */
async function alone(work: () => Promise<void>): Promise<void> {
  const locks = globalThis.navigator?.locks as LockManager | undefined;
  await (locks ? locks.request(LOCK, work) : work());
}

/** What waits in this browser. */
export const unsent = new Unsent();
