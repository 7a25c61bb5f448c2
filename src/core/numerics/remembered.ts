/**
 * A slow function of plain data that answers at once where it was asked the same before: its last `most` answers are kept,
 * by what was asked. Its answers must not be changed by whoever gets them.
 */
export function remembered<A, B>(slow: (asked: A) => B, most = 32): (asked: A) => B {
  const kept = new Map<string, B>();
  return (asked) => {
    const key = JSON.stringify(asked);
    const had = kept.get(key);
    const answer = had === undefined ? slow(asked) : had;
    // what was asked last goes to the end; the one that was not asked for longest makes room
    kept.delete(key);
    kept.set(key, answer);
    if (kept.size > most) kept.delete(kept.keys().next().value!);
    return answer;
  };
}
