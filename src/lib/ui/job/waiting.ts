import type { EventInput } from '$core/job/event-input.ts';
import type { JobEvent } from '$core/job/index.ts';

export interface Refused {
  code: string;
  message: string;
}

export interface Waiting {
  input: EventInput;
  /** the event as this screen shows it until the server's comes back */
  shown: JobEvent;
  /** the server would not take it, and why: it is kept until it is mended or dropped on purpose */
  refused?: Refused;
}
