import type { z } from 'zod';
import { verdict, type Verdict } from '../verdict/verdict.ts';
import type { pickInput } from './schemas.ts';

export interface Pick {
  ids: string[];
  sumMm: number;
  resultMm: number;
  uMm: number;
  verdict: Verdict;
}

type Input = z.infer<typeof pickInput>;
/** A pick while it is being ranked; its verdict is worked out only when the ranking needs it. */
interface Candidate {
  indices: number[];
  sumMm: number;
  u2: number;
  p: number;
  off: number;
}

const KEEP = 5;

/**
 * Which packings or shims to take: every multiset of up to `maxPieces` from the tray, the empty one too, ordered by
 * the chance of being in limits (to 1e-6), then fewer pieces, nearer to the target, then ids as plain text.
 * Sense 1: a piece adds float; -1: it takes it up. The whole tray is walked: 40 pieces three at a time are
 * about 12 000 picks.
 */
export function stackPick(i: Input): { idealMm: number; picks: Pick[] } {
  const target = i.spec.targetMm ?? (i.spec.minMm! + i.spec.maxMm!) / 2;
  // in the order of their ids, so that walking gives sorted picks
  const tray = [...i.tray].sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
  const best: Candidate[] = [];
  const consider = (indices: readonly number[], sumMm: number, u2: number) => {
    const result = i.currentMm + i.sense * sumMm;
    const p = Math.round(verdict(result, Math.sqrt(u2), i.spec.minMm, i.spec.maxMm).pInSpec * 1e6);
    const off = Math.abs(result - target);
    const worst = best[KEEP - 1];
    if (worst && p < worst.p) return;
    const candidate = { indices: [...indices], sumMm, u2, p, off };
    const at = best.findIndex((b) => before(candidate, b, tray));
    best.splice(at < 0 ? best.length : at, 0, candidate);
    if (best.length > KEEP) best.pop();
  };
  const chosen: number[] = [];
  const walk = (from: number, sumMm: number, u2: number) => {
    consider(chosen, sumMm, u2);
    if (chosen.length === i.maxPieces) return;
    for (let k = from; k < tray.length; k++) {
      const piece = tray[k]!;
      const had = chosen.filter((c) => c === k).length;
      if (had >= piece.count) continue;
      chosen.push(k);
      // pieces of one size were measured once: their errors are one and the same, (k+1)² - k² more of it
      walk(k, sumMm + piece.thicknessMm, u2 + (2 * had + 1) * piece.uMm ** 2);
      chosen.pop();
    }
  };
  walk(0, 0, i.uMm ** 2);
  return {
    idealMm: i.sense * (target - i.currentMm),
    picks: best.map((b) => {
      const resultMm = i.currentMm + i.sense * b.sumMm;
      const uMm = Math.sqrt(b.u2);
      return {
        ids: b.indices.map((k) => tray[k]!.id),
        sumMm: b.sumMm,
        resultMm,
        uMm,
        verdict: verdict(resultMm, uMm, i.spec.minMm, i.spec.maxMm)
      };
    })
  };
}

function before(a: Candidate, b: Candidate, tray: Input['tray']): boolean {
  if (a.p !== b.p) return a.p > b.p;
  if (a.indices.length !== b.indices.length) return a.indices.length < b.indices.length;
  if (Math.abs(a.off - b.off) > 1e-9) return a.off < b.off;
  const text = (c: Candidate) => c.indices.map((k) => tray[k]!.id).join('\u0000');
  return text(a) < text(b);
}
