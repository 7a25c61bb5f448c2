import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pause, root } from './served.ts';

const MANAGER = '/lib/systemd/systemd';
const APART = ['--mount', '--pid', '--fork', '--uts', '--ipc', '--cgroup', '--net'];
/** What must not run in it: it would empty the folder for temporary files, or start a database that is not ours. */
const LEFT_OUT = ['systemd-tmpfiles-setup.service', 'systemd-tmpfiles-clean.timer', 'postgresql.service'];

/** The disk of this machine with a layer of its own over it, so that nothing of what it does stays; then its first process. */
const BOOT = `set -e
mount --make-rprivate /
M="$1/root"
mount -t overlay overlay -o "lowerdir=/,upperdir=$1/upper,workdir=$1/work" "$M"
[ -e "$M$2/nemrik" ] || { mkdir -p "$M$2"; mount --bind "$2" "$M$2"; }
mount -t proc proc "$M/proc"
mount --rbind /sys "$M/sys"
mount -t cgroup2 none "$M/sys/fs/cgroup"
mount --rbind /dev "$M/dev"
mount -t tmpfs run "$M/run"
cd "$M"
exec chroot . /usr/bin/env -i container=bench PATH=/usr/sbin:/usr/bin:/sbin:/bin ${MANAGER} --system --show-status=no --unit=multi-user.target`;

/**
 * A machine within this one: its own processes, network and service manager over a copy of this disk that is thrown away.
 * It boots as a machine does, so that what is said of a reboot can be tried. It takes root and a service manager.
 */
export class Machine {
  static possible(): boolean {
    return process.getuid?.() === 0 && existsSync(MANAGER) && spawnSync('unshare', [...APART, 'true']).status === 0;
  }
  readonly folder = mkdtempSync(join(tmpdir(), 'nemrik-machine-'));
  #first: ChildProcess | null = null;
  #pid = 0;

  constructor() {
    const units = join(this.folder, 'upper/etc/systemd/system');
    for (const f of [units, join(this.folder, 'work'), join(this.folder, 'root')]) mkdirSync(f, { recursive: true });
    for (const unit of LEFT_OUT) symlinkSync('/dev/null', join(units, unit));
  }

  async boot(): Promise<void> {
    this.#first = spawn('unshare', [...APART, 'bash', '-c', BOOT, 'boot', this.folder, root.replace(/\/$/, '')], {
      stdio: 'ignore'
    });
    const { pid } = this.#first;
    for (const until = Date.now() + 30_000; Date.now() < until; await pause(100)) {
      if (this.#first.exitCode !== null) break;
      this.#pid = Number(readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim());
      if (this.#pid && /running|degraded/.test(this.run('systemctl', 'is-system-running').out)) return;
    }
    throw new Error('the machine did not come up');
  }

  /** Runs a command within it. */
  run(...command: string[]): { status: number | null; out: string } {
    const into = ['-t', String(this.#pid), '-m', '-p', '-u', '-i', '-n', '-C', '-r', '-w'];
    const r = spawnSync('nsenter', [...into, ...command], { encoding: 'utf8', timeout: 60_000 });
    return { status: r.status, out: `${r.stdout}${r.stderr}` };
  }

  /** Goes down as it is asked to. */
  async down(): Promise<void> {
    this.run('systemctl', 'poweroff');
    await this.#gone();
  }
  /** Goes down as if its power were cut: every process at once. */
  async cut(): Promise<void> {
    process.kill(this.#pid, 'SIGKILL');
    await this.#gone();
  }
  async #gone(): Promise<void> {
    const first = this.#first;
    for (const until = Date.now() + 40_000; Date.now() < until; await pause(100))
      if (!first || first.exitCode !== null || first.signalCode !== null) {
        this.#first = null;
        return;
      }
    throw new Error('the machine did not go down');
  }
  async end(): Promise<void> {
    if (this.#first) await this.cut();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
