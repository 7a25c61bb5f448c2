import type { Component } from 'svelte';
import type { Surface } from '$core/sheets/types.ts';

// surfaces take what they need of { session, view, line, prefs, stepId, onamend }
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type SurfacePart = Component<any>;

const parts: Record<Surface, () => Promise<{ default: SurfacePart }>> = {
  plain: () => import('./Readings.svelte'),
  sheet: () => import('./SheetValues.svelte'),
  tdc: () => import('./Tdc.svelte'),
  mark: () => import('./Mark.svelte'),
  strokes: () => import('./Strokes.svelte'),
  plan: () => import('./Plan.svelte'),
  cap: () => import('./CapSurface.svelte'),
  timing: () => import('./Timing.svelte'),
  scale: () => import('./Scale.svelte'),
  close: () => import('./CloseSurface.svelte')
};

const loaded = new Map<Surface, SurfacePart>();

/** The surface when it is here already, so that a step shown before shows at once. */
export const surfaceHere = (surface: Surface): SurfacePart | undefined => loaded.get(surface);

/** Fetches a step's surface: a job view carries only what its steps have shown. */
export async function loadSurface(surface: Surface): Promise<SurfacePart> {
  const here = loaded.get(surface);
  if (here) return here;
  const part = (await parts[surface]()).default;
  loaded.set(surface, part);
  return part;
}

/** Fetches the rest when nothing else is to be done, so that no step has to wait for its drawing, or for a network that is gone. */
export async function loadTheRest(): Promise<void> {
  for (const s of Object.keys(parts) as Surface[]) await loadSurface(s).catch(() => {});
}
