import { hostname, networkInterfaces } from 'node:os';

/** The name in a Host header, in lower case and without its port; null when it is none. */
export function nameIn(header) {
  const m = /^(\[[0-9a-f:.%]+\]|[a-z0-9._-]+)(?::\d{1,5})?$/i.exec(header ?? '');
  return m ? m[1].toLowerCase().replace(/\.$/, '') : null;
}

const bracketed = (address) => (address.includes(':') ? `[${address.split('%')[0]}]` : address);
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
const EVERYWHERE = ['0.0.0.0', '::'];

/** The origins in ORIGIN, parted by commas: where Nemrik is reached behind TLS or under another name. */
export function originsIn(text) {
  return (text ?? '')
    .split(',')
    .map((o) => o.trim())
    .filter(Boolean)
    .map((o) => {
      if (!URL.canParse(o) || !/^https?:$/.test(new URL(o).protocol))
        throw new Error(`ORIGIN is "${o}"; it must be an address such as https://nemrik.workshop.example`);
      return new URL(o);
    });
}

/**
 * The names under which this server answers: its own machine's for what it listens on, those of ORIGIN, and those in
 * NEMRIK_HOSTS. Any other Host header is refused: a page of a foreign name that points here would else act as one of ours.
 */
export function allowedHosts({ HOST = '127.0.0.1', ORIGIN = '', NEMRIK_HOSTS = '' }, machine = here()) {
  const names = new Set(LOOPBACK);
  if (!LOOPBACK.includes(bracketed(HOST.toLowerCase()))) {
    names.add(bracketed(HOST.toLowerCase()));
    names.add(machine.name).add(`${machine.name}.local`);
    if (EVERYWHERE.includes(HOST)) for (const a of machine.addresses) names.add(bracketed(a.toLowerCase()));
  }
  for (const o of originsIn(ORIGIN)) names.add(o.hostname);
  for (const h of NEMRIK_HOSTS.split(',')) {
    const name = nameIn(h.trim());
    if (name) names.add(name);
  }
  for (const nowhere of EVERYWHERE) names.delete(bracketed(nowhere));
  return names;
}

function here() {
  const addresses = Object.values(networkInterfaces()).flatMap((list) => (list ?? []).map((i) => i.address));
  return { name: hostname().toLowerCase(), addresses };
}

/** Whether a request came by http or by https: by https only where one of the origins says so. */
export function protocolOf(header, origins) {
  const host = (header ?? '').toLowerCase();
  return (
    origins.find((o) => o.host === host || (o.hostname === nameIn(host) && !o.port))?.protocol.slice(0, -1) ?? 'http'
  );
}

export const refusal = (header) =>
  `Nemrik does not answer to the name ${JSON.stringify(String(header ?? '').slice(0, 80))}. ` +
  'If it is a name of this machine, start Nemrik with NEMRIK_HOSTS set to it (several are parted by commas).';
