import type { TipWork, WiresWork } from './cap-work.ts';
import type { LeadMap } from './lead-map.ts';

export interface CapWorks {
  wires: WiresWork;
  leadMap: LeadMap;
  tip: TipWork;
}
