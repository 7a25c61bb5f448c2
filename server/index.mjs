import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';
import { allowedHosts, nameIn, originsIn, protocolOf, refusal } from './hosts.mjs';

/**
 * The server: the built application behind one door. Here stands what holds for every answer, files and errors included:
 * which names are answered to, the headers that guard a page, what becomes of a body nobody read, and a quick end.
 */
const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'x-frame-options': 'DENY',
  // pages bring a stricter one of their own
  'content-security-policy': "default-src 'self'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'",
  'cache-control': 'private, no-cache'
};
// a photograph is the largest thing that is sent; what is text is limited where it is read
const LARGEST = 2048 * 1024;
/** Slow lines are looked for each second: by itself Node looks every half minute, and cuts them that much later. */
const LINES = {
  headersTimeout: 10_000,
  requestTimeout: 30_000,
  keepAliveTimeout: 5000,
  connectionsCheckingInterval: 1000
};
const GRACE_MS = 3000;
const DRAIN_MS = 2000;

const env = process.env;
const host = env.HOST || '127.0.0.1';
const port = Number(env.PORT ?? 4170);
const origins = originsIn(env.ORIGIN);
const names = allowedHosts({ ...env, HOST: host });
// the application takes its origin from each request: it may be reached under several names
delete env.ORIGIN;
env.PROTOCOL_HEADER = 'x-nemrik-protocol';
env.BODY_SIZE_LIMIT = String(LARGEST);
env.NEMRIK_CALC_WORKER ??= fileURLToPath(new URL('../build/threads/calc.js', import.meta.url));
env.NEMRIK_PAPER_WORKER ??= fileURLToPath(new URL('../build/threads/papers.js', import.meta.url));
const { handler } = await import('../build/handler.js');

let ending = false;

const server = createServer(LINES, (req, res) => {
  for (const [k, v] of Object.entries(HEADERS)) res.setHeader(k, v);
  if (ending) res.setHeader('connection', 'close');
  res.on('finish', () => drained(req));
  if (!names.has(nameIn(req.headers.host))) return say(res, 421, 'foreign-host', refusal(req.headers.host));
  if (Number(req.headers['content-length'] ?? 0) > LARGEST)
    return say(res, 413, 'too-large', `A request may bring ${LARGEST / 1024} kB, this one brings more.`);
  req.headers['x-nemrik-protocol'] = protocolOf(req.headers.host, origins);
  handler(req, res, () => say(res, 404, 'not-found', 'There is nothing at this address.'));
});

function say(res, status, code, message) {
  res.writeHead(status, { 'content-type': 'application/json' });
  res.end(JSON.stringify({ ok: false, error: { code, message, path: '' } }));
}

/** What was not read of a request is let run off for a moment, so that the answer is heard; then the line is cut. */
function drained(req) {
  if (req.complete) return;
  req.resume();
  setTimeout(() => req.complete || req.socket.destroy(), DRAIN_MS).unref();
}

server.on('clientError', (e, socket) => {
  // the rest of a request that was answered already
  if (e.code === 'HPE_CLOSED_CONNECTION') return socket.destroy();
  const [status, text] =
    e.code === 'HPE_HEADER_OVERFLOW'
      ? ['431 Request Header Fields Too Large', 'The address or the headers are too long.']
      : e.code === 'ERR_HTTP_REQUEST_TIMEOUT'
        ? ['408 Request Timeout', 'The request did not arrive in time.']
        : ['400 Bad Request', 'This is no request that can be read.'];
  if (!socket.writable) return socket.destroy();
  // an answer to HEAD has no body, and of what could not be read one only knows how it begins
  const body = /^(GET|POST) /.test(e.rawPacket?.toString('latin1', 0, 5) ?? '') ? text : '';
  socket.end(
    `HTTP/1.1 ${status}\r\nconnection: close\r\ncontent-type: text/plain; charset=utf-8\r\nx-content-type-options: nosniff\r\n` +
      `content-length: ${Buffer.byteLength(body)}\r\n\r\n${body}`
  );
});

function end(signal) {
  if (ending) return;
  ending = true;
  server.close(() => finish(signal));
  server.closeIdleConnections();
  // writers that keep their lines busy are told to close with each answer; what is left then is cut
  setTimeout(() => server.closeAllConnections(), GRACE_MS).unref();
}

function finish(signal) {
  process.emit('sveltekit:shutdown', signal);
  setTimeout(() => process.exit(0), 500);
}

for (const s of ['SIGTERM', 'SIGINT']) process.on(s, () => end(s));
// a promise nobody waits for, or an error thrown in a timer, a stream or a listener, is noted and ends nothing: every request
// writes in a transaction of its own, so that none is left half done
for (const s of ['unhandledRejection', 'uncaughtException'])
  process.on(s, (e) => {
    // where, and not what: a message may quote what was written
    const where = String(e?.stack ?? '')
      .split('\n')
      .filter((l) => /^\s+at /.test(l));
    console.error(
      [`${new Date().toISOString()} error an unexpected failure, ${e?.name} ${e?.code ?? ''}`, ...where].join('\n')
    );
  });

// whoever looks after this server is gone: it would be in the way of the next one
const parent = process.ppid;
if (env.NEMRIK_SUPERVISED) setInterval(() => process.ppid === parent || end('SIGTERM'), 1000).unref();

server.on('error', (e) => {
  console.error(new Date().toISOString(), `error the server cannot listen at ${host}:${port}: ${e.message}`);
  process.exit(1);
});
server.listen(port, host, () => console.log(new Date().toISOString(), `info listening at ${host}:${port}`));
