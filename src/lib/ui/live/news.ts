const FIRST_MS = 500;
const MOST_MS = 10_000;

/**
 * Something to be fetched when it is known to be out of date. One fetch at a time; what becomes wanted meanwhile is fetched
 * once more afterwards; one that failed is tried again until it succeeds, and at once when the network is back.
 */
export class News {
  #wanted = false;
  #running: Promise<void> | null = null;
  #tries = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #closed = false;

  /** `fetchIt` answers whether it succeeded */
  constructor(private readonly fetchIt: () => Promise<boolean>) {}

  want(): Promise<void> {
    this.#wanted = true;
    clearTimeout(this.#timer);
    this.#running ??= this.#run().finally(() => (this.#running = null));
    return this.#running;
  }

  /** Tries now what waits to be tried again. */
  retry = (): void => {
    if (this.#wanted) void this.want();
  };

  close(): void {
    this.#closed = true;
    clearTimeout(this.#timer);
  }
  open(): void {
    this.#closed = false;
  }

  async #run(): Promise<void> {
    while (this.#wanted) {
      this.#wanted = false;
      if (await this.fetchIt().catch(() => false)) {
        this.#tries = 0;
        continue;
      }
      this.#wanted = true;
      if (!this.#closed) this.#timer = setTimeout(this.retry, Math.min(MOST_MS, FIRST_MS * 2 ** this.#tries++));
      return;
    }
  }
}
