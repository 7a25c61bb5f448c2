import { randomUUID } from 'node:crypto';
import { request, type Agent } from 'node:http';
import { Agent as KeepAlive } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { chances } from '../../study/chances.ts';
import { LONG, Served } from './served.ts';

/** Requests that nobody means well, made by chance from a seed: each gets an answer in time, and none of them is a 500. */
const HOW_MANY = LONG ? 34_000 : 2500;
const AT_ONCE = 12;
const SEED = Number(process.env.SEED ?? 20261126);
const served = new Served();
const job = randomUUID();
let agent: Agent;
beforeAll(async () => {
  await served.start();
  await served.ask(`INSERT INTO person (id, name) VALUES ('ida', 'Ida')`);
  await served.ask(`INSERT INTO engine (id, name) VALUES ('pump', 'Pump')`);
  await served.ask(`INSERT INTO job (id, engine_id, sheet, opened_by) VALUES ($1, 'pump', 'fit-from-scratch', 'ida')`, [
    job
  ]);
  agent = new KeepAlive({ keepAlive: true, maxSockets: AT_ONCE });
}, 120_000);
afterAll(async () => {
  agent.destroy();
  await served.stop();
  served.wipe();
}, 60_000);

type Chance = ReturnType<typeof chances>;

const TEXTS = [
  '',
  ' ',
  'a',
  'NaN',
  '-0',
  '1e400',
  '1e308',
  '99999999999999999999',
  'null',
  '[]',
  '\\',
  "' OR 1=1 --",
  '"; DROP TABLE event; --',
  '\u0000',
  'a\u0000b',
  '\ud800',
  '\udc00x',
  '\u001b[2J',
  '\u202e',
  '𝟙𝟚',
  '٣٤',
  '💥'.repeat(40),
  '../../../etc/passwd',
  '%00',
  '%ff',
  '%E0%A4%A',
  '<script>alert(1)</script>',
  '${7*7}',
  '{{7*7}}',
  '__proto__',
  'constructor',
  'x'.repeat(300),
  'y'.repeat(9000),
  '2026-02-31',
  '9999999-01-01',
  '-1',
  '0x10',
  '1,5',
  '342.5°',
  '12b',
  '2 rev 0.37',
  '\n',
  '\r\nset-cookie: a=b',
  '\u0085',
  '\uFFFF',
  'é'.normalize('NFD')
];
const VALUES = (c: Chance): unknown =>
  c.of<() => unknown>([
    () => c.of(TEXTS),
    () => c.of([0, -0, 1e308, -1e308, 2 ** 53, 1.5, -1, 5e-324]),
    () => c.of([null, true, false]),
    () => [],
    () => Array.from({ length: 40 }, () => c.of(TEXTS)),
    () => ({ [c.of(TEXTS)]: c.of(TEXTS) }),
    () => JSON.parse('['.repeat(200) + ']'.repeat(200)) as unknown
  ])();

const PATHS = (c: Chance): string =>
  c.of<() => string>([
    () =>
      c.of([
        '/',
        '/engines',
        '/engines/new',
        '/engines/pump',
        '/jobs/new',
        '/tray',
        '/curves',
        '/curves/pump',
        '/scales',
        '/scales.svg',
        '/scales.pdf'
      ]),
    () =>
      `/jobs/${c.of([job, 'x', '%00', randomUUID(), ...TEXTS.map(encodeURIComponentSafe)])}${c.of(['', '/card', '/card.pdf'])}`,
    () => `/api/jobs/${c.of([job, '1', randomUUID(), '%00'])}/${c.of(['events', 'engine', 'nothing'])}`,
    () => `/api/calc/${c.of(['piston.at', 'tdc.fit', 'curve.match', 'reading.parse', 'nothing', '__proto__', '%00'])}`,
    () =>
      `/api/${c.of(['stock', 'prefs', 'person', 'workshop', 'openapi.json', 'health', 'health/ready', 'fields/x', 'sheets/x/y', 'engines/pump', 'engines/pump/values', ''])}`,
    () => `/engines/${encodeURIComponentSafe(c.of(TEXTS))}`,
    () => `/bay/${encodeURIComponentSafe(c.of(TEXTS))}`,
    () => `/${encodeURIComponentSafe(c.of(TEXTS))}`,
    () =>
      c.of([
        '/%',
        '/%zz',
        '/..%2f..%2f',
        '//evil.example/',
        '/_app/immutable/nothing.js',
        '/_app/../../package.json',
        `/${'a'.repeat(7000)}`
      ])
  ])();

function encodeURIComponentSafe(text: string): string {
  return encodeURIComponent(text.isWellFormed() ? text : text.toWellFormed());
}

const QUERIES = (c: Chance): string =>
  c.often(0.6)
    ? ''
    : `?${c.of(['page', 'find', 'who', 'after', 'kind', 'diameter', 'from', 'to', 'step', 'engine', '/gauge', '/nothing', 'x-sveltekit-invalidated'])}=${encodeURIComponentSafe(c.of(TEXTS))}`;

interface Sent {
  method: string;
  path: string;
  headers: Record<string, string>;
  body: string | Buffer | null;
}

function hostile(c: Chance): Sent {
  const method = c.of(['GET', 'GET', 'GET', 'POST', 'POST', 'POST', 'PUT', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS']);
  const headers: Record<string, string> = {};
  if (c.often(0.8)) headers['cookie'] = `nemrik-person=${c.often(0.7) ? 'ida' : encodeURIComponentSafe(c.of(TEXTS))}`;
  if (c.often(0.2))
    headers['cookie'] =
      `${headers['cookie'] ?? ''}; nemrik-prefs=${encodeURIComponentSafe(JSON.stringify(VALUES(c)))}; nemrik-people=${encodeURIComponentSafe(c.of(TEXTS))}`;
  if (c.often(0.1)) headers['origin'] = c.of([served.url, 'http://evil.example', 'null', 'x']);
  if (c.often(0.1)) headers['accept'] = c.of(['application/json', 'text/html', '*/*', 'x']);
  if (c.often(0.05)) headers['host'] = c.of(['evil.example', '', 'x y', '[::1', '127.0.0.1:0']);
  if (c.often(0.05)) headers['x-nemrik-protocol'] = c.of(['https', 'javascript', 'a:b']);
  if (c.often(0.05)) headers['range'] = 'bytes=0-5,9-1';
  if (c.often(0.05)) headers['if-none-match'] = '"x"';
  const path = PATHS(c) + QUERIES(c);
  const body = method === 'GET' || method === 'HEAD' ? null : bodyOf(c, headers);
  // without it what follows would be read as the next request
  if (body !== null) headers['content-length'] = String(Buffer.byteLength(body));
  return { method, path, headers, body };
}

function bodyOf(c: Chance, headers: Record<string, string>): string | Buffer {
  return c.of<() => string | Buffer>([
    () => {
      headers['content-type'] = 'application/json';
      const event = {
        id: c.often(0.5) ? randomUUID() : c.of(TEXTS),
        kind: c.of(['reading', 'remark', 'done', 'undo', 'take', 'target', 'crank', 'amend', 'fact', 'x'])
      };
      const more = [
        'text',
        'step',
        'slot',
        'quantity',
        'defaultUnit',
        'gaugeId',
        'undoes',
        'items',
        'points',
        'crankDeg',
        'by',
        'reason',
        'part'
      ];
      for (const k of more) if (c.often(0.4)) Object.assign(event, { [k]: VALUES(c) });
      return JSON.stringify(c.often(0.15) ? { events: [event, event] } : event);
    },
    () => {
      headers['content-type'] = 'application/json';
      return c.of([
        '',
        '{',
        '[]',
        'null',
        '"x"',
        '{"a":1e999}',
        '{"__proto__":{"x":1}}',
        '\u0000',
        '['.repeat(60_000),
        JSON.stringify({ name: c.of(TEXTS) }),
        JSON.stringify({ values: [{ name: 'strokeMm', given: c.of(TEXTS), unit: c.of(TEXTS), source: c.of(TEXTS) }] })
      ]);
    },
    () => {
      headers['content-type'] = 'application/x-www-form-urlencoded';
      headers['origin'] = served.url;
      const form = new URLSearchParams();
      for (const k of [
        'name',
        'source',
        'summary',
        'v.strokeMm',
        'engine',
        'sheet',
        'promised',
        'kind',
        'resolution',
        'accuracy',
        'count',
        'thickness',
        'rate',
        'change',
        'item',
        'reason'
      ])
        if (c.often(0.6)) form.set(k, encodable(c.of(TEXTS)));
      return form.toString();
    },
    () => {
      headers['content-type'] = c.of([
        'multipart/form-data; boundary=x',
        'multipart/form-data',
        'multipart/form-data; boundary='
      ]);
      headers['origin'] = served.url;
      return c.of([
        '--x\r\n',
        '--x\r\ncontent-disposition: form-data; name="name"\r\n\r\nAnn\r\n--x--\r\n',
        '--x\r\ncontent-disposition: form-data; name="name"; filename="a"\r\n\r\nAnn\r\n--x--\r\n',
        '--y--',
        ''
      ]);
    },
    () => {
      headers['content-type'] = c.of([
        'text/plain',
        'application/xml',
        'image/png',
        'x',
        'application/json; charset=utf-7'
      ]);
      return c.of(['x', Buffer.from([0xff, 0xfe, 0, 1]), 'y'.repeat(1_200_000)]);
    }
  ])();
}
const encodable = (t: string) => (t.isWellFormed() ? t : t.toWellFormed());

interface Got {
  status: number;
  ms: number;
  headers: Record<string, string | string[] | undefined>;
  text: string;
}
function send(s: Sent): Promise<Got> {
  const from = performance.now();
  const to = new URL(served.url);
  return new Promise((done, failed) => {
    const r = request(
      {
        host: to.hostname,
        port: to.port,
        method: s.method,
        path: s.path.replace(/[^\x21-\x7e]/g, ''),
        headers: s.headers,
        agent,
        timeout: 6000,
        setHost: !('host' in s.headers)
      },
      (res) => {
        let text = '';
        res.on('data', (d: Buffer) => (text = (text + d.toString('latin1')).slice(0, 400)));
        res.on('end', () =>
          done({ status: res.statusCode!, ms: performance.now() - from, headers: res.headers, text })
        );
        res.on('error', failed);
      }
    );
    r.on('timeout', () => r.destroy(new Error('hangs')));
    r.on('error', failed);
    r.end(s.body ?? undefined);
  });
}

describe('requests that nobody means well', () => {
  it(
    `${HOW_MANY} of them: every one is answered in time, none with 500, every answer guarded`,
    { timeout: 40 * 60_000 },
    async () => {
      const c = chances(SEED);
      const server = served.serverPid;
      const statuses = new Map<number, number>();
      const wrong: unknown[] = [];
      let left = HOW_MANY;
      let longest = 0;
      const one = async () => {
        while (left-- > 0) {
          const s = hostile(c);
          try {
            const got = await send(s);
            statuses.set(got.status, (statuses.get(got.status) ?? 0) + 1);
            longest = Math.max(longest, got.ms);
            const api =
              s.path.startsWith('/api/') && got.status >= 400 && s.method !== 'HEAD' && !('host' in s.headers);
            const asJson =
              !api ||
              String(got.headers['content-type']).startsWith('application/json') ||
              got.status === 400 ||
              got.status === 431;
            const guarded = got.headers['x-content-type-options'] === 'nosniff';
            if (got.status >= 500 || got.ms > 5000 || !guarded || !asJson)
              wrong.push({ ...s, body: String(s.body).slice(0, 200), got });
          } catch (e) {
            // a line that is cut because of what stood on it is an answer too; one that hangs is not
            const code = (e as NodeJS.ErrnoException).code;
            if (code !== 'EPIPE' && code !== 'ECONNRESET')
              wrong.push({ ...s, body: String(s.body).slice(0, 200), failed: String(e) });
          }
        }
      };
      await Promise.all(Array.from({ length: AT_ONCE }, one));
      console.log(
        `${HOW_MANY} hostile requests (seed ${SEED}): longest ${longest.toFixed(0)} ms; ${[...statuses]
          .sort(([a], [b]) => a - b)
          .map(([s, n]) => `${s}: ${n}`)
          .join(', ')}`
      );
      expect(wrong.slice(0, 5)).toEqual([]);
      expect(served.serverPid).toBe(server);
      await served.answers('/engines');
    }
  );

  it('text that cannot be kept is refused in every field, by name', async () => {
    const post = async (path: string, body: unknown) => {
      const r = await fetch(served.url + path, {
        method: 'POST',
        headers: { 'content-type': 'application/json', cookie: 'nemrik-person=ida' },
        body: JSON.stringify(body)
      });
      return { status: r.status, ...((await r.json()) as { error: { code: string; path: string } }) };
    };
    for (const text of ['a\u0000', '\ud800', '\u0007'])
      for (const [path, body, at] of [
        [`/api/jobs/${job}/events`, { id: randomUUID(), kind: 'remark', text }, 'text'],
        ['/api/person', { name: text }, 'name'],
        [
          '/api/engines/pump/values',
          { values: [{ name: 'strokeMm', given: '92', unit: null, source: text }] },
          'values.0.source'
        ]
      ] as const)
        expect(await post(path, body)).toMatchObject({ status: 422, error: { code: 'bad-text', path: at } });
  });

  it('a body that is refused unread does not hold the line', async () => {
    const r = await fetch(`${served.url}/api/jobs/${job}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: 'nemrik-person=ida', origin: 'http://evil.example' },
      body: 'x'.repeat(900_000)
    });
    expect(r.status).toBe(403);
    await r.text();
    await served.answers('/api/health', 2000);
  });
});
