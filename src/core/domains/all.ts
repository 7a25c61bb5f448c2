import type { Domain } from '../job/domain.ts';
import type { Manifest } from '../job/manifest.ts';
import { trades, type Trade } from './list.ts';

/** Every trade whole, for servers, tests and the command line. */
export const domains: Domain[] = await Promise.all(
  Object.values(trades).map(async (t: Trade) => (await t.domain()).domain)
);
export const manifests: Manifest[] = await Promise.all(
  Object.values(trades).map(async (t: Trade) => (await t.manifest()).manifest)
);
