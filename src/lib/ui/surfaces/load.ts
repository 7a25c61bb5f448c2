import type { Component } from 'svelte';
import { nameIn } from './name-in.ts';
import type { PanelProps, SchoolProps, SurfacePart } from './props.ts';

// a surface is the file of its name in the folder of its trade: nothing else has to know it. What every job has is listed
// here, the others in a list that comes beside their trades, so that a job does not carry the names of all
const files = import.meta.glob<{ default: SurfacePart }>('./{crank,engine,walk}/*.surface.svelte');
/** Trades whose surfaces are listed here, or that have none. */
const COMMON = ['engine', 'crank', 'distributor', 'tdcfit', 'walk'];
const parts = new Map(Object.entries(files).map(([path, load]) => [nameIn(path), load]));
const others = (): Promise<ReadonlyMap<string, () => Promise<{ default: SurfacePart }>>> =>
  import('./others.ts').then((m) => m.others);

/** Begins to fetch the list of surfaces that these trades have, where it is not here: to be asked for together with them. */
export function surfacesAhead(trades: readonly string[]): void {
  if (trades.some((t) => !COMMON.includes(t))) others().catch(() => {});
}

/** The names of all surfaces that can be drawn. */
export const drawn = async (): Promise<string[]> => [...parts.keys(), ...(await others()).keys()];

// a school that is weighed up by more than words has a file of its own, under its name
const weighed = import.meta.glob<{ default: Component<SchoolProps> }>('./*/*.school.svelte');
const schools = new Map(Object.entries(weighed).map(([path, load]) => [nameIn(path), load]));
/** How a school is weighed up, where words alone do not do it. */
export const weighSchool = (id: string) => schools.get(id);

// the instrument that stands beside the work, where that is not the crank's dial
const panels = import.meta.glob<{ default: Component<PanelProps> }>('./*/*.panel.svelte');
const panelOfTrade = new Map(Object.entries(panels).map(([path, load]) => [nameIn(path), load]));
/** The instrument of a trade that stands beside the work. */
export const panelOf = (trade: string) => panelOfTrade.get(trade);

const loaded = new Map<string, SurfacePart>();

/** The surface when it is here already, so that a step shown before shows at once. */
export const surfaceHere = (surface: string): SurfacePart | undefined => loaded.get(surface);

/** Fetches a step's surface: a job view carries only what its steps have shown. */
export async function loadSurface(surface: string): Promise<SurfacePart> {
  const here = loaded.get(surface);
  if (here) return here;
  const load = parts.get(surface) ?? (await others()).get(surface);
  if (!load) throw new Error(`No surface is called ${surface}.`);
  const part = (await load()).default;
  loaded.set(surface, part);
  return part;
}

/** Fetches what the other steps of a run sheet show, so that no step has to wait for its drawing, or for a network that is gone. */
export async function loadTheRest(surfaces: Iterable<string>): Promise<void> {
  for (const s of new Set(surfaces)) await loadSurface(s).catch(() => {});
}
