import { describe, expect, it } from 'vitest';
import { admit, type EventBody, type JobEvent } from '$core/job/index.ts';
import { stateOf } from '$core/sheets/index.ts';
import { Checked } from '$lib/server/jobs/checked.ts';
import { doStep, FULL } from '../support/careful.ts';
import { engineWith, PlayedJob } from '../support/played.ts';

/** What both say of each event in turn: a refused one is left out and the rest goes on. */
function both(job: PlayedJob, bodies: readonly EventBody[]): { checked: (string | null)[]; alone: (string | null)[] } {
  const fresh: JobEvent[] = [];
  const check = new Checked(job.sheet);
  check.begin(job.engine, []);
  const out = { checked: [] as (string | null)[], alone: [] as (string | null)[] };
  for (const body of bodies) {
    const answer = admit(stateOf(job.sheet, job.engine, fresh), job.engine, fresh, body);
    out.alone.push(answer.ok ? null : answer.error.code);
    let refused: string | null = null;
    try {
      check.next(fresh, body);
    } catch (e) {
      refused = (e as { code: string }).code;
    }
    out.checked.push(refused);
    if (!answer.ok) continue;
    const seq = fresh.length + 1;
    fresh.push({ ...body, id: `e${seq}`, seq, at: '2026-01-01T08:00:00Z', by: { id: 'a', name: 'A' } } as JobEvent);
  }
  return out;
}

/** A log as it was said, without what the server gave it. */
const bodies = (job: PlayedJob): EventBody[] =>
  job.log.map(({ id: _i, seq: _s, at: _a, by: _b, ...body }) => body as EventBody);

describe('events that are checked together', () => {
  it.each(['static-timing', 'bleeding', 'bench-check', 'plunger-lift'])('%s: as they are one by one', (id) => {
    const job = new PlayedJob(engineWith(FULL), id);
    try {
      for (const step of job.sheet.steps) doStep(job, step, true);
    } catch {
      // as far as this engine comes
    }
    const all = bodies(job);
    expect(all.length).toBeGreaterThan(20);
    const said = both(job, all);
    expect(said.checked).toEqual(said.alone);
    // each reading three times, each step's Done before its readings, and all of it once more after the end
    const mixed = all.flatMap((b): EventBody[] =>
      b.kind === 'reading' ? [b, { ...b, slot: 'no-such-slot' } as EventBody, b] : [b]
    );
    const turned = [...mixed.filter((b) => b.kind === 'done'), ...mixed, ...all.slice(-40)];
    const again = both(job, turned);
    expect(again.checked).toEqual(again.alone);
    expect(again.alone.some((x) => x !== null)).toBe(true);
  });
  it('a figure that is a deed is asked of the state that the figures before it made', () => {
    const job = new PlayedJob(engineWith(FULL), 'bleeding');
    const idle = job.reading('idle', 'idle-diesel', '650');
    const said = both(job, [job.reading('idle', 'idle-diesel', '650'), idle]);
    expect(said.checked).toEqual(said.alone);
  });
});
