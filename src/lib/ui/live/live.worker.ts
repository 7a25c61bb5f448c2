import { ADDRESS } from './told.ts';

/**
 * One line to the server for all tabs of a browser: it gives a page six connections in all. Open while a tab is seen.
 */
const seen = new Set<MessagePort>();
let line: EventSource | null = null;

function open(): void {
  line = new EventSource(ADDRESS);
  line.onmessage = (m) => {
    for (const tab of seen) tab.postMessage(m.data);
  };
}

(globalThis as unknown as { onconnect: (e: MessageEvent) => void }).onconnect = (e) => {
  const tab = e.ports[0]!;
  tab.onmessage = (m: MessageEvent<'seen' | 'hidden'>) => {
    if (m.data === 'seen') seen.add(tab);
    else seen.delete(tab);
    if (m.data === 'seen' && line) tab.postMessage('{"resync":true}');
    else if (seen.size > 0 && !line) open();
    else if (seen.size === 0) {
      line?.close();
      line = null;
    }
  };
  tab.start();
};
