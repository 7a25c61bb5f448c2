import { spawn } from 'node:child_process';
import { root } from './paths.mjs';

/** Runs a command to its end, its output passed through; answers its exit code. */
export function run(command, args, env = {}, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: options.quiet ? 'ignore' : 'inherit',
      env: { ...process.env, ...env }
    });
    child.on('error', reject);
    child.on('close', (code) => resolve(code ?? 1));
  });
}
