import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Machine } from './machine.ts';
import { LONG, pause, root } from './served.ts';

/** The units that ./nemrik service writes, on a machine that is really started again; only the full run asks for it. */
const possible = LONG && Machine.possible();
if (LONG && !possible) console.log('no machine can be booted here: a reboot is not tried');

const AT = 'http://127.0.0.1:4170';
const SAY = `
const A = '${AT}', [hand, engine] = process.argv.slice(1);
const person = await (await fetch(A + '/api/person', { method: 'POST', headers: { 'content-type': 'application/json', origin: A }, body: JSON.stringify({ name: hand }) })).json();
const form = new FormData(); form.set('name', engine);
const r = await fetch(A + '/engines/new', { method: 'POST', headers: { origin: A, accept: 'application/json', cookie: 'nemrik-person=' + person.out.id }, body: form });
console.log(r.status, (await r.json()).type);`;
const READY = `for (let k = 0; k < 600; k++) { if (await fetch('${AT}/api/health/ready').then((r) => r.ok, () => false)) { console.log('ready'); break; } await new Promise((r) => setTimeout(r, 100)); }`;
const LOOK = `console.log(await (await fetch('${AT}/engines')).text());`;

describe.skipIf(!possible)('a machine that starts again', () => {
  const machine = possible ? new Machine() : null!;
  const js = (code: string, ...args: string[]) =>
    machine.run(process.execPath, '--input-type=module', '-e', code, ...args).out;
  const up = () => expect(js(READY)).toContain('ready');
  const enter = (hand: string, engine: string) => expect(js(SAY, hand, engine)).toContain('200 redirect');
  const active = (unit: string) => machine.run('systemctl', 'is-active', unit).out.trim();

  beforeAll(async () => {
    await machine.boot();
    const asked = `cd ${root} && NEMRIK_DATA=/var/lib/nemrik-of-the-bench ./nemrik service`;
    expect(machine.run('env', `PATH=${process.env.PATH}`, 'bash', '-c', asked).out).toContain('nemrik.service');
    machine.run('systemctl', 'daemon-reload');
    machine.run('systemctl', 'enable', '--now', 'nemrik.service', 'nemrik-backup.timer');
  }, 120_000);
  afterAll(() => machine.end(), 60_000);

  it('comes up by itself with all it had, asked to go or its power cut', { timeout: 240_000 }, async () => {
    up();
    enter('Ida', 'Engine one');
    await machine.down();
    await machine.boot();
    up();
    expect(active('nemrik')).toBe('active');
    expect(js(LOOK)).toContain('Engine one');
    // the power goes right after the answer
    enter('Otto', 'Engine two');
    await machine.cut();
    await machine.boot();
    up();
    expect(js(LOOK)).toContain('Engine two');
    expect(active('nemrik-backup.timer')).toBe('active');
  });
  it.each(['scripts/supervisor.mjs', 'server/index.mjs', 'bin/postgres -D', 'scripts/nemrik.mjs start'])(
    'comes up again when %s is killed under it',
    { timeout: 90_000 },
    async (process) => {
      up();
      expect(machine.run('pkill', '-9', '-f', process).status).toBe(0);
      await pause(1500);
      up();
      expect(js(LOOK)).toContain('Engine two');
    }
  );
  it('makes its nightly backup, read back and compared', { timeout: 90_000 }, () => {
    up();
    expect(machine.run('systemctl', 'start', 'nemrik-backup').status).toBe(0);
    expect(machine.run('journalctl', '-u', 'nemrik-backup', '--no-pager').out).toContain('read back and compared');
  });
  it('stops within seconds, and leaves nothing behind', { timeout: 60_000 }, () => {
    const began = Date.now();
    expect(machine.run('systemctl', 'stop', 'nemrik').status).toBe(0);
    expect(Date.now() - began).toBeLessThan(15_000);
    expect(machine.run('pgrep', '-f', 'nemrik-of-the-bench|supervisor.mjs').status).toBe(1);
  });
});
