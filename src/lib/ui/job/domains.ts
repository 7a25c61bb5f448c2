import type { Domain } from '$core/job/domain.ts';
import { register } from '$core/job/domain.ts';
import type { RunSheet, Surface } from '$core/job/run-sheet.ts';

const stack = async () => (await import('$core/domains/stack/domain.ts')).stackDomain;
const tooth = async () => (await import('$core/domains/tooth/domain.ts')).toothDomain;
const cap = async () => (await import('$core/domains/cap/domain.ts')).capDomain;
const curves = async () => (await import('$core/domains/curves/domain.ts')).curvesDomain;

const of: { [S in Surface]?: () => Promise<Domain> } = {
  stack,
  patch: stack,
  tooth,
  drop: tooth,
  shaft: tooth,
  fault: tooth,
  witness: tooth,
  wires: cap,
  tip: cap,
  gears: async () => (await import('$core/domains/gears/domain.ts')).gearsDomain,
  rings: async () => (await import('$core/domains/rings/domain.ts')).ringsDomain,
  gap: curves,
  bias: curves,
  sweep: curves,
  lobes: curves,
  vacuum: curves,
  targets: curves,
  recurve: curves
};

/** Fetches the workings of a run sheet's surfaces: a screen carries no others. To be awaited before its state is asked for. */
export async function loadDomains(sheet: RunSheet): Promise<void> {
  const wanted = new Set(sheet.steps.flatMap((s) => of[s.surface] ?? []));
  register(...(await Promise.all([...wanted].map((load) => load()))));
}
