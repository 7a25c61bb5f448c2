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
  camMarksAgree: [30, 1 / 30],
  pinInCamGear: [40, 1 / 10]
};

/**
 * Signs that share a cause: what makes one of them wrong makes all of them wrong together. The wrong valve of number one, and
 * its valves and marks speak of the other stroke; the wrong companion, and its valves do; a drive that was disturbed, and the
 * rotor says nothing.
 */
export const witnesses = {
  own: ['intakeJustClosed', 'bothValvesClosed', 'camMarksAgree'],
  companion: ['companionRocking'],
  rotor: ['rotorAtNumberOne']
} as const satisfies Record<string, readonly SignKind[]>;
const shared: readonly (readonly SignKind[])[] = Object.values(witnesses);
/** How often each is wrong altogether: our own assumption, named on screen. */
export const WRONG = { own: 0.04, companion: 0.04, bothValves: 0.02, rotor: 0.05 };

/**
 * Is number one coming up on compression? Bayes over the signs felt and seen. Signs that share a cause are one witness,
 * X = 0.96·Πp + 0.04·Πq, p the chance of a sign on this stroke and q on the other. Number one's valves and the companion's are
 * two, which in 2 % are wrong together: L = 0.98·A·B + 0.02·A'·B'. One look at valves stays unsure, two that agree decide. The
 * rotor is a witness of its own, the others count each by itself.
 * @returns the probability, the state (at 0.95 and 0.05), and whether two signs speak against each other
 * @example cycleEvidence({ evidence: [{ kind: 'airPushedOut', seen: true }], prior: 0.5 }).pCompression  // 0.9375
 */
export function cycleEvidence({ evidence, prior }: z.infer<typeof cycleEvidenceInput>): Evidence {
  const ratios = evidence.map((s) => likelihood[s.kind][s.seen ? 0 : 1]);
  const alone = evidence.filter((s) => !shared.some((w) => w.includes(s.kind)));
  let odds = (prior / (1 - prior)) * alone.reduce((l, s) => l * likelihood[s.kind][s.seen ? 0 : 1], 1);
  const of = (w: readonly SignKind[]) => evidence.filter((e) => w.includes(e.kind));
  const own = chancesOf(of(witnesses.own), WRONG.own);
  const companion = chancesOf(of(witnesses.companion), WRONG.companion);
  const rotor = chancesOf(of(witnesses.rotor), WRONG.rotor);
  const together = (here: 0 | 1, there: 0 | 1) =>
    (1 - WRONG.bothValves) * own[here] * companion[here] + WRONG.bothValves * own[there] * companion[there];
  odds *= (together(0, 1) / together(1, 0)) * (rotor[0] / rotor[1]);
  const pCompression = odds / (1 + odds);
  const state = pCompression >= 0.95 - 1e-9 ? 'compression' : pCompression <= 0.05 + 1e-9 ? 'exhaust' : 'unsure';
  const contradictory = ratios.some((r) => r >= 5 - 1e-9) && ratios.some((r) => r <= 1 / 5 + 1e-9);
  return { pCompression, state, contradictory };
}

/** The chances of signs that are right or wrong together, on compression and on exhaust. */
function chancesOf(signs: readonly Sign[], wrong: number): [compression: number, exhaust: number] {
  let [compression, exhaust] = [1, 1];
  for (const { kind, seen } of signs) {
    const [c, e] = chances(kind);
    compression *= seen ? c : 1 - c;
    exhaust *= seen ? e : 1 - e;
  }
  return [(1 - wrong) * compression + wrong * exhaust, (1 - wrong) * exhaust + wrong * compression];
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
  shared.some((w) => w.includes(kind) && given.some((g) => g !== kind && w.includes(g)));
