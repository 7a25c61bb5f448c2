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
