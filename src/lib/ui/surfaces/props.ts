import type { Component } from 'svelte';
import type { Reading } from '$core/job/replayed.ts';
import type { Prefs } from '$lib/reader/prefs.ts';
import type { ReadingLine } from '../job/line.svelte.ts';
import type { JobSession } from '../job/session.svelte.ts';
import type { JobView } from '../job/view.svelte.ts';

/** What the job view hands to a school that is weighed up. */
export type SchoolProps = Pick<SurfaceProps, 'session' | 'line'>;

/** What the job view hands to the surface of a step. */
export interface SurfaceProps {
  session: JobSession;
  view: JobView;
  line: ReadingLine;
  prefs: Prefs;
  stepId: string;
  /** opens the reading line on a reading that is to be amended */
  onamend: (r: Reading) => void;
}

export type SurfacePart = Component<SurfaceProps>;

/** What the job view hands to the instrument that stands beside the work. */
export type PanelProps = Pick<SurfaceProps, 'session' | 'prefs'> & {
  /** what the step in hand shows in the middle: it is not shown a second time beside it */
  surface: string;
};
