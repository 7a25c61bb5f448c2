import type { Domain } from '../job/domain.ts';
import type { Manifest } from '../job/manifest.ts';
import type { Vocabulary, WordsOf } from '../job/vocabulary.ts';

/**
 * The trades, in the order of the work: the one place that knows them all. What a screen works out comes with `domain`,
 * what is written down with `manifest`; each is fetched only by who needs it. Types of works, fields, flags, figures and
 * surfaces follow from here.
 */
export const trades = {
  engine: { domain: () => import('./engine/domain.ts'), manifest: () => import('./engine/manifest.ts') },
  crank: { domain: () => import('./crank/domain.ts'), manifest: () => import('./crank/manifest.ts') },
  distributor: { domain: () => import('./distributor/domain.ts'), manifest: () => import('./distributor/manifest.ts') },
  timing: { domain: () => import('./timing/domain.ts'), manifest: () => import('./timing/manifest.ts') },
  stack: { domain: () => import('./stack/domain.ts'), manifest: () => import('./stack/manifest.ts') },
  tooth: { domain: () => import('./tooth/domain.ts'), manifest: () => import('./tooth/manifest.ts') },
  rings: { domain: () => import('./rings/domain.ts'), manifest: () => import('./rings/manifest.ts') },
  gears: { domain: () => import('./gears/domain.ts'), manifest: () => import('./gears/manifest.ts') },
  cap: { domain: () => import('./cap/domain.ts'), manifest: () => import('./cap/manifest.ts') },
  curves: { domain: () => import('./curves/domain.ts'), manifest: () => import('./curves/manifest.ts') },
  pump: { domain: () => import('./pump/domain.ts'), manifest: () => import('./pump/manifest.ts') },
  elements: { domain: () => import('./elements/domain.ts'), manifest: () => import('./elements/manifest.ts') },
  bleeding: { domain: () => import('./bleeding/domain.ts'), manifest: () => import('./bleeding/manifest.ts') },
  magneto: { domain: () => import('./magneto/domain.ts'), manifest: () => import('./magneto/manifest.ts') },
  flywheel: { domain: () => import('./flywheel/domain.ts'), manifest: () => import('./flywheel/manifest.ts') },
  received: { domain: () => import('./received/domain.ts'), manifest: () => import('./received/manifest.ts') }
} satisfies Record<string, Trade>;

export interface Trade {
  domain: () => Promise<{ domain: Domain }>;
  manifest: () => Promise<{ manifest: Manifest }>;
}

type Trades = typeof trades;
export type TradeName = keyof Trades;

type ManifestOf<N extends TradeName> = Awaited<ReturnType<Trades[N]['manifest']>>['manifest'];
type EachWords = { [N in TradeName]: WordsOf<ManifestOf<N>> }[TradeName];
/** The words of all trades together. */
export type AllWords = { [K in keyof Vocabulary]: EachWords[K] };
export type FieldName = AllWords['field'];
export type FlagId = AllWords['flag'];
export type Surface = AllWords['surface'];
export type SchoolId = AllWords['school'];
export type FigureKey = AllWords['figure'];

/* eslint-disable @typescript-eslint/no-explicit-any -- a domain's shape is read off here */
type DomainOf<N extends TradeName> = Awaited<ReturnType<Trades[N]['domain']>>['domain'];
type WorksOf<D> = D extends Domain<infer W, any> ? W : never;
type Every<U> = (U extends unknown ? (x: U) => void : never) extends (x: infer I) => void ? I : never;
/** Everything that a job works out, by name. */
export type Works = Every<{ [N in TradeName]: WorksOf<DomainOf<N>> }[TradeName]>;

/** The named trades' workings; a screen asks for those of its run sheet. A name that is none of ours is passed over. */
export async function loadDomains(names: readonly string[]): Promise<Domain[]> {
  const known = names.filter((n): n is TradeName => Object.hasOwn(trades, n));
  return Promise.all(known.map(async (n) => (await trades[n].domain()).domain));
}
