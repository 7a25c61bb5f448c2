import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { defaultPrefs } from '$lib/reader/prefs.ts';
import { HeavyWork } from '$lib/server/calc/heavy.ts';
import { cardPdf } from '$lib/server/export/card-pdf.ts';
import type { CardData } from '$lib/server/jobs/card-data.ts';
import { onThread, paper } from '$lib/server/papers/papers.ts';

const folder = mkdtempSync(join(tmpdir(), 'nemrik-papers-'));
const script = join(folder, 'papers.mjs');
// stands for the thread: answers with its environment, refuses, or breaks
writeFileSync(
  script,
  `import { parentPort } from 'node:worker_threads';
   parentPort.on('message', ({ input }) => {
     if (input.job === 'dies') throw new Error('out of paper');
     parentPort.postMessage(
       input.job === 'none'
         ? { ok: false, error: { status: 404, code: 'not-found', message: 'There is no such job.', path: '' } }
         : { ok: true, out: { bytes: new TextEncoder().encode(process.env.NEMRIK_CONNECTIONS), name: 'a.pdf' } }
     );
   });`
);
afterAll(() => rmSync(folder, { recursive: true }));
const words = { several: 'papers', less: 'Look at the screen.' };
const work = () =>
  new HeavyWork(script, { workers: 1, all: 4, perCaller: 2, ms: 2000, words }, { NEMRIK_CONNECTIONS: '2' });
const card = (job: string) => ({ paper: 'card', job, prefs: defaultPrefs }) as const;

describe('papers', () => {
  it('come from a thread with few connections of its own', async () => {
    const w = work();
    const made = await onThread(w, card('some'), 'a');
    expect(new TextDecoder().decode(made.bytes)).toBe('2');
    await w.close();
  });
  it('are refused as they would be without a thread, and one that breaks breaks nothing else', async () => {
    const w = work();
    await expect(onThread(w, card('none'), 'a')).rejects.toMatchObject({ status: 404, code: 'not-found' });
    await expect(onThread(w, card('dies'), 'a')).rejects.toThrow('out of paper');
    await expect(onThread(w, card('some'), 'a')).resolves.toMatchObject({ name: 'a.pdf' });
    await w.close();
  });
  it('are few at a time for one caller, and say so in their own words', async () => {
    const w = work();
    const all = await Promise.allSettled([1, 2, 3].map(() => onThread(w, card('some'), 'a')));
    expect(all.filter((x) => x.status === 'rejected').map((x) => x.reason.message)).toEqual([
      '2 papers of yours are at work already: wait for one of them, then ask again.'
    ]);
    await w.close();
  });
  it('are made where there is no thread as well', async () => {
    const query = 'kind=tape&diameter=164&step=1&from=0&to=40&runs=cw';
    const made = await paper({ paper: 'scale', query }, 'a');
    expect(
      Buffer.from(await made.arrayBuffer())
        .subarray(0, 5)
        .toString()
    ).toBe('%PDF-');
    await expect(paper({ paper: 'scale', query: 'kind=tape' }, 'a')).rejects.toMatchObject({ status: 422 });
  });
  it('of a long log print the last of it, however long it is', async () => {
    const pages = async (n: number) => {
      const reading = {
        text: '1',
        value: 1,
        quantity: 'length',
        at: '2026-01-01T08:00:00Z',
        by: { id: 'a', name: 'A' }
      };
      const readings = Array.from({ length: n }, () => ({ label: 'lift', reading, replaced: '' }));
      const data = {
        job: { id: 'j', openedAt: '2026-01-01T08:00:00Z', openedBy: 'A' },
        sheet: { id: 's', title: 'A sheet' },
        engine: { id: 'e', name: 'E', summary: '' },
        card: {
          done: 0,
          total: 1,
          limits: [],
          results: [],
          parts: [],
          schools: [],
          open: [],
          photos: [],
          said: [],
          steps: [],
          readings
        },
        curve: null,
        closed: false
      } as unknown as CardData;
      return Buffer.from(await cardPdf(data, defaultPrefs))
        .toString('latin1')
        .match(/\/Type \/Page\b/g)!.length;
    };
    const long = await pages(3000);
    expect(long).toBeGreaterThan(20);
    expect(await pages(9000)).toBeLessThanOrEqual(long + 1);
  });
});
