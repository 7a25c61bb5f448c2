import type { TipWork, WiresWork } from './cap-work.ts';

export interface CapWorks {
  wires: WiresWork;
  tip: TipWork;
}
