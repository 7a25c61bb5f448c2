import { timeZone } from './repositories/workshop.ts';

const FOR_MS = 3000;
const own = Intl.DateTimeFormat().resolvedOptions().timeZone;
let kept: { zone: string; until: number } | null = null;

/**
 * The workshop's time zone; until somebody chooses it, that of the machine. Every page asks, it hardly ever changes, and
 * without the database a page is still shown: then by what was last known.
 */
export async function zoneNow(): Promise<string> {
  if (kept && kept.until > performance.now()) return kept.zone;
  const zone = await timeZone().catch(() => kept?.zone ?? null);
  kept = { zone: zone ?? own, until: performance.now() + FOR_MS };
  return kept.zone;
}

export const forgetZone = (): void => void (kept = null);
