import { ADDRESS, type Told } from './told.ts';

/**
 * Follows what changes at the server while this tab is seen, by one line for all tabs of the browser where it can share one.
 * When it begins, and when it is seen again, it hears that anything may have changed. Answers how to leave off.
 */
export function follow(tell: (told: Told) => void): () => void {
  const hear = (data: string) => {
    const told = understood(data);
    if (told) tell(told);
  };
  const line = typeof SharedWorker === 'undefined' ? own(hear) : shared(hear);
  let open = false;
  const look = (leaving = false) => {
    const now = !leaving && document.visibilityState === 'visible';
    if (now === open) return;
    open = now;
    line(open);
  };
  const change = () => look();
  const leave = () => look(true);
  document.addEventListener('visibilitychange', change);
  addEventListener('pagehide', leave);
  addEventListener('pageshow', change);
  look();
  return () => {
    look(true);
    document.removeEventListener('visibilitychange', change);
    removeEventListener('pagehide', leave);
    removeEventListener('pageshow', change);
  };
}

type Line = (open: boolean) => void;

function shared(hear: (data: string) => void): Line {
  const worker = new SharedWorker(new URL('./live.worker.ts', import.meta.url), {
    type: 'module',
    name: 'nemrik-live'
  });
  worker.port.onmessage = (m: MessageEvent<string>) => hear(m.data);
  return (open) => worker.port.postMessage(open ? 'seen' : 'hidden');
}

function own(hear: (data: string) => void): Line {
  let source: EventSource | null = null;
  return (open) => {
    source?.close();
    source = open ? new EventSource(ADDRESS) : null;
    if (source) source.onmessage = (m) => hear(m.data as string);
  };
}

function understood(data: string): Told | null {
  try {
    return JSON.parse(data) as Told;
  } catch {
    return { resync: true };
  }
}
