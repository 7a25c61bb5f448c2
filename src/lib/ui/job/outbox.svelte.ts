import type { JobEvent } from '$core/job/index.ts';
import type { EventInput } from '$core/job/event-input.ts';
import { Kept } from './kept.ts';
import type { Refused, Waiting } from './waiting.ts';

/**
 * What was said on this screen and is not yet heard by the server. Sent one after the other, again and again while
 * the server or its database is away, kept over a reload. The id made here lets the server store each once.
 */
export class Outbox {
  waiting = $state.raw<Waiting[]>([]);
  /** what the server would not take, with its reason; what was typed stands here until somebody drops it */
  setAside = $state.raw<Waiting[]>([]);
  /** the server did not answer the last time */
  away = $state(false);
  #sending = false;
  #tries = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #awake = false;
  readonly #kept: Kept;

  constructor(
    private readonly url: string,
    storageKey: string,
    private readonly heard: (e: JobEvent) => void
  ) {
    this.#kept = new Kept(storageKey);
  }

  wake(): void {
    this.#awake = true;
    const here = new Set([...this.waiting, ...this.setAside].map((w) => w.input.id));
    const kept = this.#kept.all().filter((w) => !here.has(w.input.id));
    this.waiting = [...kept.filter((w) => !w.refused), ...this.waiting];
    this.setAside = [...kept.filter((w) => w.refused), ...this.setAside];
    void this.#send();
  }

  sleep(): void {
    this.#awake = false;
    clearTimeout(this.#timer);
  }

  post(input: EventInput, shown: JobEvent): void {
    const one = { input, shown };
    this.waiting = [...this.waiting, one];
    this.#kept.put(one);
    clearTimeout(this.#timer);
    void this.#send();
  }

  retryNow(): void {
    clearTimeout(this.#timer);
    void this.#send();
  }

  /** Lets go of something that was refused, on purpose. */
  drop(w: Waiting): void {
    this.setAside = this.setAside.filter((x) => x.input.id !== w.input.id);
    this.#kept.drop(w);
  }

  #done(w: Waiting): void {
    this.waiting = this.waiting.filter((x) => x.input.id !== w.input.id);
    this.#kept.drop(w);
  }

  #refused(w: Waiting, refused: Refused): void {
    const one = { ...w, refused };
    this.waiting = this.waiting.filter((x) => x.input.id !== w.input.id);
    this.setAside = [...this.setAside, one];
    this.#kept.put(one);
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
        if ('event' in answer) {
          this.heard(answer.event);
          this.#done(first);
        } else this.#refused(first, answer.refused);
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
