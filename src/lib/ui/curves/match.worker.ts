import { curveMatch } from '$core/calculations/curve/curve-match.ts';
import type { MatchInput } from '$core/domains/recurve/recurve-work.ts';

/** The search over the tray, off the interface's thread. Tells its share every few hundredths of a second. */
const TELL_MS = 40;

self.onmessage = (m: MessageEvent<{ id: number; input: MatchInput }>) => {
  const { id, input } = m.data;
  let told = performance.now();
  const answer = curveMatch(input, (share) => {
    const now = performance.now();
    if (now - told > TELL_MS) {
      told = now;
      self.postMessage({ id, share });
    }
    return true;
  });
  self.postMessage({ id, answer });
};
