import { appendFileSync, chmodSync, existsSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';

const LARGEST = 5 * 1024 * 1024;
const KEPT = 5;

/** A log file for its owner's eyes alone that begins anew when it is large; the last few are kept beside it. */
export function journal(file, echo = null) {
  if (!existsSync(file)) writeFileSync(file, '', { mode: 0o600 });
  chmodSync(file, 0o600);
  let size = statSync(file).size;

  function turn() {
    rmSync(`${file}.${KEPT}`, { force: true });
    for (let k = KEPT - 1; k >= 1; k--) if (existsSync(`${file}.${k}`)) renameSync(`${file}.${k}`, `${file}.${k + 1}`);
    renameSync(file, `${file}.1`);
    writeFileSync(file, '', { mode: 0o600 });
    size = 0;
  }

  function write(text) {
    echo?.write(text);
    try {
      if (size > LARGEST) turn();
      appendFileSync(file, text);
      size += Buffer.byteLength(text);
    } catch {
      // a full disk: what is supervised matters more than its log
    }
  }
  return { write, say: (what) => write(`${new Date().toISOString()} info ${what}\n`) };
}
