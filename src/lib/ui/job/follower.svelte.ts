/** Follows a value that may change with every frame, at most once in so many milliseconds; nothing (null) is followed at once. */
export class Follower {
  #value = $state<number | null>(null);
  #latest: number | null = null;
  #resting: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly everyMs: number) {}

  get value(): number | null {
    return this.#value;
  }

  follow(latest: number | null): void {
    this.#latest = latest;
    if (latest === null || this.#resting === undefined) this.#catchUp();
  }
  #catchUp(): void {
    clearTimeout(this.#resting);
    this.#resting = undefined;
    if (this.#value === this.#latest) return;
    this.#value = this.#latest;
    if (this.#latest !== null) this.#resting = setTimeout(() => this.#catchUp(), this.everyMs);
  }
}
