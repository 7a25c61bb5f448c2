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
 * Signs that share a cause: what makes one of them wrong makes all of them wrong together. A cam a turn out, or the wrong
 * cylinder's valves, and every valve sign speaks of the other stroke; a drive that was disturbed, and the rotor says nothing.
 */
export const witnesses: readonly (readonly SignKind[])[] = [
  ['intakeJustClosed', 'bothValvesClosed', 'companionRocking', 'camMarksAgree'],
  ['rotorAtNumberOne']
];
/** How often such a witness is wrong altogether: our own assumption. */
const WRONG = 0.05;

/**
 * Is number one coming up on compression? Bayes over the signs felt and seen. Those that share a cause are one witness,
 * L = 0.95·Πp + 0.05·Πq, p the chance of a sign on this stroke and q on the other: however many of them agree, they never
 * say more than nineteen to one. The others count each by itself.
 * @returns the probability, the state (at 0.95 and 0.05), and whether two signs speak against each other
 * @example cycleEvidence({ evidence: [{ kind: 'airPushedOut', seen: true }], prior: 0.5 }).pCompression  // 0.9375
 */
export function cycleEvidence({ evidence, prior }: z.infer<typeof cycleEvidenceInput>): Evidence {
  const ratios = evidence.map((s) => likelihood[s.kind][s.seen ? 0 : 1]);
  const alone = evidence.filter((s) => !witnesses.some((w) => w.includes(s.kind)));
  let odds = (prior / (1 - prior)) * alone.reduce((l, s) => l * likelihood[s.kind][s.seen ? 0 : 1], 1);
  for (const w of witnesses) odds *= oneWitness(evidence.filter((s) => w.includes(s.kind)));
  const pCompression = odds / (1 + odds);
  const state = pCompression >= 0.95 - 1e-9 ? 'compression' : pCompression <= 0.05 + 1e-9 ? 'exhaust' : 'unsure';
  const contradictory = ratios.some((r) => r >= 5 - 1e-9) && ratios.some((r) => r <= 1 / 5 + 1e-9);
  return { pCompression, state, contradictory };
}

/** The likelihood ratio of signs that are right or wrong together. */
function oneWitness(signs: readonly Sign[]): number {
  let [compression, exhaust] = [1, 1];
  for (const { kind, seen } of signs) {
    const [c, e] = chances(kind);
    compression *= seen ? c : 1 - c;
    exhaust *= seen ? e : 1 - e;
  }
  return ((1 - WRONG) * compression + WRONG * exhaust) / ((1 - WRONG) * exhaust + WRONG * compression);
}

/** P(seen | compression) and P(seen | exhaust) that belong to a sign's two likelihood ratios. */
function chances(kind: SignKind): [number, number] {
  const [yes, no] = likelihood[kind];
  const exhaust = (1 - no) / (yes - no);
  return [yes * exhaust, exhaust];
}

const entropy = (p: number): number => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p));

/**
 * The sign that would settle the question best beside those given: the one after which the expected doubt (Shannon entropy of
 * the probability) is least, whichever way it turns out. A further sign of a witness already heard adds little, so one that is
 * independent of those given comes first. null when none is left. Ties keep the order given.
 */
export function mostTelling(evidence: readonly Sign[], left: readonly SignKind[], prior = 0.5): SignKind | null {
  const now = cycleEvidence({ evidence: [...evidence], prior }).pCompression;
  const after = (kind: SignKind, seen: boolean) =>
    cycleEvidence({ evidence: [...evidence, { kind, seen }], prior }).pCompression;
  let best: SignKind | null = null;
  let least = Infinity;
  for (const kind of left) {
    const [yes, no] = [after(kind, true), after(kind, false)];
    // the two outcomes average to what is known now: that gives the chance of each
    const seen = Math.abs(yes - no) < 1e-15 ? 0.5 : (now - no) / (yes - no);
    const doubt = seen * entropy(yes) + (1 - seen) * entropy(no);
    if (doubt < least - 1e-12) {
      least = doubt;
      best = kind;
    }
  }
  return best;
}

/** Whether a sign shares its cause with one of those given. */
export const sharesCause = (kind: SignKind, given: readonly SignKind[]): boolean =>
  witnesses.some((w) => w.includes(kind) && given.some((g) => g !== kind && w.includes(g)));
