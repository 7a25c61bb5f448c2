import type { Waiting } from './waiting.ts';

const PREFIX = 'nemrik-unsent-';
const keyOf = (w: Waiting) => `${PREFIX}${w.jobId}:${w.input.id}`;

/**
 * What waits on this device, one entry an event: of two tabs each writes and takes away only what it said or what was
 * heard, so neither can overwrite the other's. Where there is no store, the page alone holds it.
 */
export const kept = {
  /** Whether a key of the store is one of ours. */
  owns: (key: string | null): boolean => key?.startsWith(PREFIX) ?? true,

  /** All that is kept, in the order in which it was said; null where there is no store. */
  all(): Waiting[] | null {
    try {
      fromBefore();
      const found = keys()
        .filter((k) => k.includes(':'))
        .map(read)
        .filter((w) => w !== null);
      return found.sort(
        (a, b) => (a.shown.at < b.shown.at ? -1 : a.shown.at > b.shown.at ? 1 : 0) || (a.place ?? 0) - (b.place ?? 0)
      );
    } catch {
      return null;
    }
  },

  /** Answers whether it is kept: private windows have no store, and a full one takes nothing. */
  put(w: Waiting): boolean {
    try {
      localStorage.setItem(keyOf(w), JSON.stringify(w));
      return true;
    } catch {
      return false;
    }
  },

  drop(w: Waiting): void {
    try {
      localStorage.removeItem(keyOf(w));
    } catch {
      /* there was none */
    }
  }
};

function keys(): string[] {
  const found: string[] = [];
  for (let k = 0; k < localStorage.length; k++) {
    const key = localStorage.key(k)!;
    if (key.startsWith(PREFIX)) found.push(key);
  }
  return found;
}

/** An entry that cannot be read is none; it stays where it is, for whoever can. */
function read(key: string): Waiting | null {
  try {
    const w = JSON.parse(localStorage.getItem(key) ?? 'null') as Waiting | null;
    if (typeof w?.input?.id !== 'string' || typeof w.shown?.at !== 'string') return null;
    // earlier versions had the job in the key alone
    return { ...w, jobId: w.jobId ?? key.slice(PREFIX.length, key.indexOf(':')) };
  } catch {
    return null;
  }
}

/** What the first version kept in one entry for a whole job. */
function fromBefore(): void {
  for (const key of keys().filter((k) => !k.includes(':'))) {
    let list: unknown;
    try {
      list = JSON.parse(localStorage.getItem(key) ?? 'null');
    } catch {
      continue;
    }
    // what cannot be read stays where it is
    if (!Array.isArray(list)) continue;
    for (const w of list as Waiting[]) kept.put({ ...w, jobId: key.slice(PREFIX.length) });
    localStorage.removeItem(key);
  }
}
