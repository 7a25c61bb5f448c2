import type { Component } from 'svelte';
import type { Surface } from '$core/job/run-sheet.ts';

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
  close: () => import('./CloseSurface.svelte'),
  stack: () => import('./StackSurface.svelte'),
  patch: () => import('./PatchSurface.svelte'),
  gears: () => import('./GearsSurface.svelte'),
  tooth: () => import('./ToothSurface.svelte'),
  drop: () => import('./DropSurface.svelte'),
  fault: () => import('./ToothSurface.svelte'),
  shaft: () => import('./ShaftSurface.svelte'),
  rings: () => import('./RingsSurface.svelte'),
  witness: () => import('./WitnessSurface.svelte'),
  wires: () => import('./WiresSurface.svelte'),
  tip: () => import('./TipSurface.svelte'),
  gap: () => import('./GapSurface.svelte'),
  bias: () => import('./BiasSurface.svelte'),
  sweep: () => import('./SweepSurface.svelte'),
  lobes: () => import('./LobesSurface.svelte'),
  vacuum: () => import('./VacuumSurface.svelte'),
  targets: () => import('./TargetsSurface.svelte'),
  recurve: () => import('./RecurveSurface.svelte')
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

/** Fetches what the other steps of a run sheet show, so that no step has to wait for its drawing, or for a network that is gone. */
export async function loadTheRest(surfaces: Iterable<Surface>): Promise<void> {
  for (const s of new Set(surfaces)) await loadSurface(s).catch(() => {});
}
