import type { Domain } from '../job/domain.ts';
import type { Vocabulary, WordsOf } from '../job/vocabulary.ts';

/**
 * The trades, in the order of the work: the one place that knows them all. What a screen works out comes with `domain`;
 * what is written down comes with the manifest beside it, which a screen never fetches: here it gives its types alone.
 * Types of works, fields, flags, figures and surfaces follow from here.
 */
export const trades = {
  engine: () => import('./engine/domain.ts'),
  crank: () => import('./crank/domain.ts'),
  tdcfit: () => import('./tdcfit/domain.ts'),
  distributor: () => import('./distributor/domain.ts'),
  walk: () => import('./walk/domain.ts'),
  timing: () => import('./timing/domain.ts'),
  stack: () => import('./stack/domain.ts'),
  tooth: () => import('./tooth/domain.ts'),
  rings: () => import('./rings/domain.ts'),
  gears: () => import('./gears/domain.ts'),
  cap: () => import('./cap/domain.ts'),
  curves: () => import('./curves/domain.ts'),
  recurve: () => import('./recurve/domain.ts'),
  pump: () => import('./pump/domain.ts'),
  elements: () => import('./elements/domain.ts'),
  bleeding: () => import('./bleeding/domain.ts'),
  magneto: () => import('./magneto/domain.ts'),
  flywheel: () => import('./flywheel/domain.ts'),
  received: () => import('./received/domain.ts')
};

interface Manifests {
  engine: typeof import('./engine/manifest.ts');
  crank: typeof import('./crank/manifest.ts');
  tdcfit: typeof import('./tdcfit/manifest.ts');
  distributor: typeof import('./distributor/manifest.ts');
  walk: typeof import('./walk/manifest.ts');
  timing: typeof import('./timing/manifest.ts');
  stack: typeof import('./stack/manifest.ts');
  tooth: typeof import('./tooth/manifest.ts');
  rings: typeof import('./rings/manifest.ts');
  gears: typeof import('./gears/manifest.ts');
  cap: typeof import('./cap/manifest.ts');
  curves: typeof import('./curves/manifest.ts');
  recurve: typeof import('./recurve/manifest.ts');
  pump: typeof import('./pump/manifest.ts');
  elements: typeof import('./elements/manifest.ts');
  bleeding: typeof import('./bleeding/manifest.ts');
  magneto: typeof import('./magneto/manifest.ts');
  flywheel: typeof import('./flywheel/manifest.ts');
  received: typeof import('./received/manifest.ts');
}

type Trades = typeof trades;
export type TradeName = keyof Trades;

type ManifestOf<N extends TradeName> = Manifests[N]['manifest'];
type EachWords = { [N in TradeName]: WordsOf<ManifestOf<N>> }[TradeName];
/** The words of all trades together. */
export type AllWords = { [K in keyof Vocabulary]: EachWords[K] };
export type FieldName = AllWords['field'];
export type FlagId = AllWords['flag'];
export type Surface = AllWords['surface'];
export type SchoolId = AllWords['school'];
export type FigureKey = AllWords['figure'];

/* eslint-disable @typescript-eslint/no-explicit-any -- a domain's shape is read off here */
type DomainOf<N extends TradeName> = Awaited<ReturnType<Trades[N]>>['domain'];
type WorksOf<D> = D extends Domain<infer W, any> ? W : never;
type Every<U> = (U extends unknown ? (x: U) => void : never) extends (x: infer I) => void ? I : never;
/** Everything that a job works out, by name. */
export type Works = Every<{ [N in TradeName]: WorksOf<DomainOf<N>> }[TradeName]>;

/** The named trades' workings; a screen asks for those of its run sheet. A name that is none of ours is passed over. */
export async function loadDomains(names: readonly string[]): Promise<Domain[]> {
  const known = names.filter((n): n is TradeName => Object.hasOwn(trades, n));
  return Promise.all(known.map(async (n) => (await trades[n]()).domain));
}
