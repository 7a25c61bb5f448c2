import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { cluster, free } from '../../scripts/lib/cluster.mjs';
import { ensureDatabase, migrate } from '../../scripts/lib/database.mjs';
import { letIn } from '../../scripts/lib/roles.mjs';

export const root = fileURLToPath(new URL('../..', import.meta.url));
/** In full it takes minutes; in the ordinary run a part of it stands for all. */
export const LONG = process.env.RELIABILITY === 'long';
export const pause = (ms: number) => new Promise((r) => setTimeout(r, ms));

/** A whole workshop served as ./nemrik start serves it, with data, port and log of its own. */
export class Served {
  readonly log: string;
  url = '';
  #supervisor: ChildProcess | null = null;
  #db;

  constructor(readonly folder = mkdtempSync(join(tmpdir(), 'nemrik-served-'))) {
    // the database has a user of its own, who must get in
    chmodSync(folder, 0o755);
    process.env.NEMRIK_DATA = folder;
    this.log = join(folder, 'server.log');
    this.#db = cluster('pg', { durable: true });
  }

  async start(): Promise<void> {
    await this.#db.start();
    await ensureDatabase(this.#db.url('postgres'), 'nemrik');
    await migrate(this.#db.url('nemrik'));
    await letIn(this.#db.url('nemrik'), 'nemrik_app', this.#db.appPassword());
    let port = 28000 + (process.pid % 1500);
    while ((await free(port)) !== true) port += 3;
    this.url = `http://127.0.0.1:${port}`;
    const { DATABASE_URL: _, MIGRATE_URL: __, ...env } = process.env;
    this.#supervisor = spawn(process.execPath, [join(root, 'scripts/supervisor.mjs'), 'start', 'background'], {
      cwd: root,
      env: { ...env, PORT: String(port), HOST: '127.0.0.1', NEMRIK_DATA: this.folder, NEMRIK_LOG: this.log },
      stdio: 'ignore'
    });
    await this.answers();
  }

  async answers(path = '/api/health/ready', ms = 30_000): Promise<void> {
    for (const until = Date.now() + ms; Date.now() < until; await pause(100))
      if (
        await fetch(this.url + path).then(
          (r) => r.ok,
          () => false
        )
      )
        return;
    throw new Error(`${path} did not answer within ${ms / 1000} s`);
  }

  async ask<T extends pg.QueryResultRow>(sql: string, values: unknown[] = []): Promise<T[]> {
    const c = new pg.Client({ connectionString: this.#db.url('nemrik') });
    c.on('error', () => {});
    await c.connect();
    try {
      return (await c.query<T>(sql, values)).rows;
    } finally {
      await c.end().catch(() => {});
    }
  }

  get supervisorPid(): number {
    return this.#supervisor!.pid!;
  }
  get serverPid(): number | null {
    const children = readFileSync(`/proc/${this.supervisorPid}/task/${this.supervisorPid}/children`, 'utf8');
    const pids = children.trim().split(' ').filter(Boolean).map(Number);
    return pids.find((p) => commandOf(p).includes('server/index.mjs')) ?? null;
  }
  get postmasterPid(): number {
    return Number(readFileSync(join(this.folder, 'pg/data/postmaster.pid'), 'utf8').split('\n')[0]);
  }

  stopDatabase(): void {
    this.#db.stop();
  }

  /** Ends everything; answers how long the server took to go. */
  async stop(): Promise<number> {
    const from = performance.now();
    const s = this.#supervisor;
    if (s && s.exitCode === null) {
      const gone = new Promise((r) => s.on('exit', r));
      s.kill('SIGTERM');
      await gone;
    }
    const took = performance.now() - from;
    this.#db.stop();
    return took;
  }

  wipe(): void {
    this.#db.wipe();
    rmSync(this.folder, { recursive: true, force: true });
    delete process.env.NEMRIK_DATA;
  }
}

function commandOf(pid: number): string {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8');
  } catch {
    return '';
  }
}
