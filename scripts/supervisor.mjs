import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { journal } from './lib/journal.mjs';
import { backupsFolder, root } from './lib/paths.mjs';
import { addressFor, databaseOf, LOG } from './lib/serve.mjs';
import { sentence } from './lib/stop.mjs';

/**
 * Keeps server and database up: each is started again when it ends, sooner at first and later the more often it fails, and
 * the log says so. Started by ./nemrik start and demo, ended by ./nemrik stop or a signal.
 */
const [mode, background] = process.argv.slice(2);
const log = journal(LOG, background === 'background' ? null : process.stderr);
const db = databaseOf(mode);

const FIRST_MS = 250;
const MOST_MS = 30_000;
const STEADY_MS = 5000;
const LOOK_MS = 1000;
const GRACE_MS = 6000;

/** How long to wait before the next try: doubled with each failure, from the start again once it has stood for a while. */
function backOff() {
  let tries = 0;
  let since = 0;
  return {
    up: () => void (since = Date.now()),
    next: () => {
      if (since && Date.now() - since > STEADY_MS) tries = 0;
      since = 0;
      return Math.min(MOST_MS, FIRST_MS * 2 ** tries++);
    }
  };
}

let ending = false;
let child = null;
let again = null;
let urlInUse = null;
const ofServer = backOff();
const ofDatabase = backOff();

function startServer() {
  if (ending || child) return;
  again = null;
  urlInUse = db.appUrl();
  child = spawn(process.execPath, [join(root, 'server/index.mjs')], {
    cwd: root,
    env: {
      ...process.env,
      DATABASE_URL: urlInUse,
      NODE_ENV: 'production',
      NEMRIK_SUPERVISED: '1',
      NEMRIK_BACKUPS: backupsFolder()
    },
    stdio: ['ignore', 'pipe', 'pipe']
  });
  ofServer.up();
  child.stdout.on('data', (text) => log.write(text));
  child.stderr.on('data', (text) => log.write(text));
  child.on('exit', (code, signal) => {
    child = null;
    if (ending) return process.exit(0);
    const wait = ofServer.next();
    log.say(`the server ended (${signal ?? `code ${code}`}); it is started again in ${wait / 1000} s`);
    again = setTimeout(startServer, wait);
  });
}

/** A database of ours that is gone is started again; the server is led to where it is now. */
async function lookAfterDatabase() {
  for (;;) {
    await new Promise((r) => setTimeout(r, LOOK_MS));
    if (ending) return;
    try {
      if (db.own && !db.alive()) {
        log.say('the database is gone: it is started again');
        await db.start();
        ofDatabase.up();
        log.say('the database is up again');
      }
      if (child && db.appUrl() !== urlInUse) {
        log.say('the database is at another port now: the server is started anew for it');
        child.kill('SIGTERM');
      }
    } catch (e) {
      const wait = ofDatabase.next();
      log.say(`${sentence(e)} Tried again in ${wait / 1000} s.`);
      await new Promise((r) => setTimeout(r, wait));
    }
  }
}

function end() {
  if (ending) return;
  ending = true;
  clearTimeout(again);
  if (!child) process.exit(0);
  child.kill('SIGTERM');
  setTimeout(() => child?.kill('SIGKILL'), GRACE_MS);
}
for (const s of ['SIGTERM', 'SIGINT', 'SIGHUP']) process.on(s, end);

log.say(`${mode} at ${addressFor(process.env)}, process ${process.pid}`);
startServer();
await lookAfterDatabase();
