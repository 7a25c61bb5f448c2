import type { z } from 'zod';
import type { cycleEvidenceInput, signKinds } from './schemas.ts';

export type SignKind = (typeof signKinds)[number];
export interface Sign {
  kind: SignKind;
  seen: boolean;
}
export interface Evidence {
  pCompression: number;
  state: 'compression' | 'exhaust' | 'unsure';
  contradictory: boolean;
}

/** How much more likely each sign is on the compression stroke than on the exhaust stroke: [when seen, when not]. */
export const likelihood: Record<SignKind, readonly [seen: number, notSeen: number]> = {
  airPushedOut: [15, 1 / 15],
  intakeJustClosed: [40, 1 / 4],
  bothValvesClosed: [60, 1 / 60],
  companionRocking: [60, 1 / 60],
  rotorAtNumberOne: [10, 1 / 10],
  gaugePressure: [40, 1 / 10],
  camMarksAgree: [30, 1 / 30]
};

/**
 * Is number one coming up on compression? Naive Bayes over the signs felt and seen, added as logarithms.
 * @returns the probability, the state (at 0.95 and 0.05), and whether two signs speak against each other
 * @example cycleEvidence({ evidence: [{ kind: 'airPushedOut', seen: true }], prior: 0.5 }).pCompression  // 0.9375
 */
export function cycleEvidence({ evidence, prior }: z.infer<typeof cycleEvidenceInput>): Evidence {
  let logOdds = Math.log(prior / (1 - prior));
  let forIt = false;
  let against = false;
  for (const sign of evidence) {
    const ratio = likelihood[sign.kind][sign.seen ? 0 : 1];
    logOdds += Math.log(ratio);
    if (ratio >= 5 - 1e-9) forIt = true;
    if (ratio <= 1 / 5 + 1e-9) against = true;
  }
  const pCompression = 1 / (1 + Math.exp(-logOdds));
  const state = pCompression >= 0.95 - 1e-9 ? 'compression' : pCompression <= 0.05 + 1e-9 ? 'exhaust' : 'unsure';
  return { pCompression, state, contradictory: forIt && against };
}

/** P(seen | compression) and P(seen | exhaust) that belong to a sign's two likelihood ratios. */
function chances(kind: SignKind): [number, number] {
  const [yes, no] = likelihood[kind];
  const exhaust = (1 - no) / (yes - no);
  return [yes * exhaust, exhaust];
}

const entropy = (p: number): number => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p));

/**
 * The sign that would settle the question best: the one after which the expected doubt (Shannon entropy of the
 * probability) is least, whichever way it turns out. null when none is left. Ties keep the order given.
 */
export function mostTelling(pCompression: number, left: readonly SignKind[]): SignKind | null {
  let best: SignKind | null = null;
  let least = Infinity;
  for (const kind of left) {
    const [c, e] = chances(kind);
    const seen = pCompression * c + (1 - pCompression) * e;
    const after =
      seen * entropy((pCompression * c) / seen) + (1 - seen) * entropy((pCompression * (1 - c)) / (1 - seen));
    if (after < least - 1e-12) {
      least = after;
      best = kind;
    }
  }
  return best;
}
