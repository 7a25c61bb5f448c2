import type { JobEvent } from '$core/job/index.ts';
import type { EventInput } from '$core/job/event-input.ts';

export interface Refused {
  code: string;
  message: string;
}

export interface Waiting {
  input: EventInput;
  /** the event as this screen shows it until the server's comes back */
  shown: JobEvent;
}

/**
 * What was said on this screen and is not yet heard by the server. Sent one after the other, again and again while
 * the server or its database is away, kept over a reload. The id made here lets the server store each once.
 */
export class Outbox {
  waiting = $state.raw<Waiting[]>([]);
  /** the server did not answer the last time */
  away = $state(false);
  #sending = false;
  #tries = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #awake = false;

  constructor(
    private readonly url: string,
    private readonly storageKey: string,
    private readonly heard: (e: JobEvent) => void,
    private readonly refused: (r: Refused) => void
  ) {}

  wake(): void {
    this.#awake = true;
    try {
      const kept = JSON.parse(localStorage.getItem(this.storageKey) ?? '[]') as Waiting[];
      const here = new Set(this.waiting.map((w) => w.input.id));
      this.waiting = [...kept.filter((k) => !here.has(k.input.id)), ...this.waiting];
    } catch {
      // an unreadable store is as good as an empty one
    }
    void this.#send();
  }

  sleep(): void {
    this.#awake = false;
    clearTimeout(this.#timer);
  }

  post(input: EventInput, shown: JobEvent): void {
    this.#set([...this.waiting, { input, shown }]);
    clearTimeout(this.#timer);
    void this.#send();
  }

  retryNow(): void {
    clearTimeout(this.#timer);
    void this.#send();
  }

  #set(waiting: Waiting[]): void {
    this.waiting = waiting;
    try {
      if (waiting.length === 0) localStorage.removeItem(this.storageKey);
      else localStorage.setItem(this.storageKey, JSON.stringify(waiting));
    } catch {
      // private windows have no store; the page still holds what waits
    }
  }

  async #send(): Promise<void> {
    if (this.#sending || !this.#awake) return;
    this.#sending = true;
    try {
      while (this.waiting.length > 0 && this.#awake) {
        const first = this.waiting[0]!;
        const answer = await post(this.url, first.input);
        if (answer === 'away') {
          this.away = true;
          this.#timer = setTimeout(() => void this.#send(), Math.min(5000, 300 * 2 ** this.#tries++));
          return;
        }
        this.away = false;
        this.#tries = 0;
        if ('event' in answer) this.heard(answer.event);
        else this.refused(answer.refused);
        this.#set(this.waiting.filter((w) => w !== first && w.input.id !== first.input.id));
      }
    } finally {
      this.#sending = false;
    }
  }
}

async function post(url: string, input: EventInput): Promise<'away' | { event: JobEvent } | { refused: Refused }> {
  let r: Response;
  try {
    r = await fetch(url, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(input),
      signal: AbortSignal.timeout(10_000)
    });
  } catch {
    return 'away';
  }
  // anything but an answer of the application itself may mend: a gateway, a restart, the database
  if (r.status >= 500 || r.status === 408 || r.status === 429) return 'away';
  const body = (await r.json().catch(() => null)) as { ok: boolean; out?: JobEvent; error?: Refused } | null;
  if (!body) return 'away';
  return body.ok ? { event: body.out! } : { refused: { code: body.error!.code, message: body.error!.message } };
}
