import type { EventInput } from '$core/job/event-input.ts';
import type { JobEvent } from '$core/job/index.ts';

/** One thing said: as it is sent, and as it is shown until the server has answered. */
export interface Said {
  input: EventInput;
  shown: JobEvent;
}
