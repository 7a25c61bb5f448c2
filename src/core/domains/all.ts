import type { Domain } from '../job/domain.ts';
import type { Manifest } from '../job/manifest.ts';
import { trades, type TradeName } from './list.ts';

const names = Object.keys(trades) as TradeName[];

/** Every trade whole, for servers, tests and the command line. */
export const domains: Domain[] = await Promise.all(names.map(async (n) => (await trades[n]()).domain));
/** A manifest stands beside its domain: the file of its name in the folder of its trade. */
export const manifests: Manifest[] = await Promise.all(
  names.map(async (n) => ((await import(`./${n}/manifest.ts`)) as { manifest: Manifest }).manifest)
);
