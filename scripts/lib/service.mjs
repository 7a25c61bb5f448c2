import { chmodSync, mkdirSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { say } from './stop.mjs';

/** What of the surroundings a service has to be told: it begins with none of them. */
const PASSED = [
  ...['PORT', 'HOST', 'ORIGIN', 'NEMRIK_HOSTS', 'NEMRIK_CONNECTIONS'],
  ...['NEMRIK_DATA', 'XDG_DATA_HOME', 'DATABASE_URL', 'MIGRATE_URL', 'PG_BIN']
];

/**
 * Writes the units that keep Nemrik up over a reboot and back it up every night. For root as a service of the machine, for
 * anybody else as one of their own; a folder given is used instead.
 */
export function writeService(folder) {
  const isRoot = process.getuid() === 0;
  const to = folder ?? (isRoot ? '/etc/systemd/system' : join(homedir(), '.config/systemd/user'));
  mkdirSync(to, { recursive: true });
  const door = join(root, 'nemrik');
  const env = [
    ['PATH', process.env.PATH],
    ...PASSED.filter((k) => process.env[k] !== undefined).map((k) => [k, process.env[k]])
  ]
    .map(([k, v]) => `${k}="${v.replaceAll('\\', '\\\\').replaceAll('"', '\\"')}"\n`)
    .join('');
  // an environment stands in every unit for all to ask; a file is read by the service manager alone
  const secrets = join(to, 'nemrik.env');
  const units = {
    'nemrik.service': `[Unit]
Description=Nemrik, the bench companion of a timing technician
After=network.target

[Service]
Type=simple
WorkingDirectory=${root}
EnvironmentFile=${secrets}
NoNewPrivileges=true
ExecStart=${door} start
ExecStopPost=${door} stop
Restart=always
RestartSec=5
TimeoutStopSec=30

[Install]
WantedBy=${isRoot ? 'multi-user.target' : 'default.target'}
`,
    'nemrik-backup.service': `[Unit]
Description=Backup of Nemrik's workshop
After=nemrik.service

[Service]
Type=oneshot
WorkingDirectory=${root}
EnvironmentFile=${secrets}
NoNewPrivileges=true
ExecStart=${door} backup --nightly
`,
    'nemrik-backup.timer': `[Unit]
Description=Backup of Nemrik's workshop, every night

[Timer]
OnCalendar=*-*-* 02:30
Persistent=true

[Install]
WantedBy=timers.target
`
  };
  writeFileSync(secrets, env, { mode: 0o600 });
  // one that stood there before keeps its rights when it is written anew
  chmodSync(secrets, 0o600);
  for (const [name, text] of Object.entries(units)) writeFileSync(join(to, name), text, { mode: 0o600 });
  const ctl = isRoot ? 'systemctl' : 'systemctl --user';
  say(`Written: ${Object.keys(units).join(', ')} in ${to}.`);
  say(`To begin with them: ${ctl} daemon-reload && ${ctl} enable --now nemrik.service nemrik-backup.timer`);
  if (!isRoot) say('To have them run while nobody is logged in: loginctl enable-linger');
}
