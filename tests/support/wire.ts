import { connect, createServer, type AddressInfo, type Socket } from 'node:net';

/** A wire to a database that can be frozen: nothing goes either way, and nobody hangs up. */
export async function wireTo(
  databaseUrl: string
): Promise<{ url: string; freeze: (on: boolean) => void; close: () => void }> {
  const to = new URL(databaseUrl);
  const ends = new Set<Socket>();
  let frozen = false;
  const server = createServer((near) => {
    const far = connect(Number(to.port), to.hostname);
    for (const [from, into] of [
      [near, far],
      [far, near]
    ] as const) {
      ends.add(from);
      if (frozen) from.pause();
      from.on('data', (d) => into.write(d));
      from.on('error', () => into.destroy());
      from.on('close', () => {
        ends.delete(from);
        into.destroy();
      });
    }
  });
  await new Promise<void>((r) => server.listen(0, '127.0.0.1', r));
  const url = new URL(databaseUrl);
  url.port = String((server.address() as AddressInfo).port);
  return {
    url: url.href,
    freeze: (on) => {
      frozen = on;
      for (const e of ends)
        if (on) e.pause();
        else e.resume();
    },
    close: () => {
      for (const e of ends) e.destroy();
      server.close();
    }
  };
}
