import type { Waiting } from './waiting.ts';

const PREFIX = 'nemrik-unsent-';
/** What was said together stands in one entry. */
const keyOf = (w: Waiting) => `${PREFIX}${w.jobId}:${w.group ?? w.input.id}`;
const byKey = (all: readonly Waiting[]): Map<string, Waiting[]> => {
  const by = new Map<string, Waiting[]>();
  for (const w of all) {
    const key = keyOf(w);
    const list = w.group ? by.get(key) : undefined;
    if (list) list.push(w);
    else by.set(key, [w]);
  }
  return by;
};

/**
 * What waits on this device, one entry for each thing said: of two tabs each writes and takes away only what it said or what was
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
        .flatMap(read);
      return found.sort(
        (a, b) => (a.shown.at < b.shown.at ? -1 : a.shown.at > b.shown.at ? 1 : 0) || (a.place ?? 0) - (b.place ?? 0)
      );
    } catch {
      return null;
    }
  },

  /** Of things said together all are given. Private windows have no store, and a full one takes nothing. */
  put(all: readonly Waiting[]): void {
    try {
      for (const [key, list] of byKey(all)) localStorage.setItem(key, JSON.stringify(list[0]!.group ? list : list[0]));
    } catch {
      /* the page alone holds it then */
    }
  },

  drop(all: readonly Waiting[]): void {
    try {
      for (const key of byKey(all).keys()) localStorage.removeItem(key);
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
function read(key: string): Waiting[] {
  try {
    const all = [JSON.parse(localStorage.getItem(key) ?? '[]') as Waiting | Waiting[]].flat();
    if (!all.every((w) => typeof w.input.id === 'string' && typeof w.shown.at === 'string')) return [];
    // earlier versions had the job in the key alone
    return all.map((w) => ({ ...w, jobId: w.jobId ?? key.slice(PREFIX.length, key.indexOf(':')) }));
  } catch {
    return [];
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
    kept.put((list as Waiting[]).map((w) => ({ ...w, jobId: key.slice(PREFIX.length) })));
    localStorage.removeItem(key);
  }
}
