import type { EventInput } from '$core/job/event-input.ts';
import type { JobEvent } from '$core/job/index.ts';

export interface Refused {
  code: string;
  message: string;
}

/** Something that was said on this device and that the server has not taken yet. */
export interface Waiting {
  jobId: string;
  input: EventInput;
  /** the event as this screen shows it until the server's comes back; it is written under the name in it */
  shown: JobEvent;
  /** its place among what was said here in the same moment */
  place?: number;
  /** said together with others of this mark: written together, or not at all */
  group?: string;
  /** the server would not take it, and why: it is kept until it is mended or dropped on purpose */
  refused?: Refused;
}
