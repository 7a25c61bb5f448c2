import { nameIn } from './name-in.ts';
import type { SurfacePart } from './props.ts';

const files = import.meta.glob<{ default: SurfacePart }>([
  './*/*.surface.svelte',
  '!./{crank,engine,walk}/*.surface.svelte'
]);
/** The surfaces of trades that not every job has. */
export const others = new Map(Object.entries(files).map(([path, load]) => [nameIn(path), load]));
