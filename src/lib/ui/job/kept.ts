import type { Waiting } from './waiting.ts';

/**
 * What waits on this device, one entry an event: of two tabs of one job each writes and takes away only what it said or
 * what was heard, so neither can overwrite the other's. Where there is no store, the page alone holds it.
 */
export class Kept {
  constructor(private readonly name: string) {}

  all(): Waiting[] {
    try {
      this.#fromBefore();
      const found: Waiting[] = [];
      for (let k = 0; k < localStorage.length; k++) {
        const key = localStorage.key(k)!;
        if (!key.startsWith(`${this.name}:`)) continue;
        const one = read(key);
        if (one) found.push(one);
      }
      // in the order in which it was said
      return found.sort((a, b) => (a.shown.at < b.shown.at ? -1 : a.shown.at > b.shown.at ? 1 : 0));
    } catch {
      return [];
    }
  }

  put(w: Waiting): void {
    try {
      localStorage.setItem(this.#key(w), JSON.stringify(w));
    } catch {
      // private windows have no store, and a full one takes nothing: the page still holds what waits
    }
  }

  drop(w: Waiting): void {
    try {
      localStorage.removeItem(this.#key(w));
    } catch {
      /* there was none */
    }
  }

  /** What a version before this one kept in one entry for the whole job. */
  #fromBefore(): void {
    const before = localStorage.getItem(this.name);
    if (before === null) return;
    let list: unknown;
    try {
      list = JSON.parse(before);
    } catch {
      return;
    }
    // what cannot be read stays where it is
    if (!Array.isArray(list)) return;
    for (const w of list as Waiting[]) this.put(w);
    localStorage.removeItem(this.name);
  }

  #key = (w: Waiting) => `${this.name}:${w.input.id}`;
}

/** An entry that cannot be read is none; it stays where it is, for whoever can. */
function read(key: string): Waiting | null {
  try {
    const w = JSON.parse(localStorage.getItem(key) ?? 'null') as Waiting | null;
    return typeof w?.input?.id === 'string' && typeof w.shown?.at === 'string' ? w : null;
  } catch {
    return null;
  }
}
