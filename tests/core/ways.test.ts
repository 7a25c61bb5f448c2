import { describe, expect, it } from 'vitest';
import { crankTarget, planTo } from '$core/domains/crank/words.ts';
import { cycleDegOf } from '$core/engine/engine.ts';
import { settledFigures, words, type JobEvent } from '$core/job/index.ts';
import type { JobState } from '$core/job/domain.ts';
import { runSheets, stateOf } from '$core/sheets/index.ts';
import { doStep, FULL } from '../support/careful.ts';
import { engineWith, mm, PlayedJob } from '../support/played.ts';

/** Every way of a school changes the plan, what is done or used at a step, what is wanted or read, or what is forbidden. */
const offered = [...new Set(runSheets.flatMap((s) => s.steps.flatMap((x) => x.schools)))].sort();

const played = new Map<string, PlayedJob>();
/** A job of that sheet worked as far as a careful hand comes without choosing a way. */
function careful(sheetId: string): PlayedJob {
  const known = played.get(sheetId);
  if (known) return known;
  const job = new PlayedJob(engineWith(FULL), sheetId);
  try {
    for (const step of job.sheet.steps) if (job.view(step.id).state !== 'done') doStep(job, step, true);
  } catch {
    // an engine made for all sheets at once is refused at some step of a few: so far is enough
  }
  played.set(sheetId, job);
  return job;
}

const json = (v: unknown): string =>
  JSON.stringify(v, (_, x: unknown) => (x instanceof Map || x instanceof Set ? [...x] : x)) ?? '';

/** What a technician is told and shown of a job, without the name of the way itself. */
function told(job: PlayedJob, state: JobState): string {
  const steps = state.steps.map((v) => [
    v.step.id,
    v.state,
    v.step.say,
    v.step.accept,
    v.step.tools,
    v.step.minutes,
    words.headline(state, job.engine, v, mm)
  ]);
  const plans = state.steps.map((v) => {
    const target = crankTarget(state, v.step, cycleDegOf(job.engine));
    // as if the crank had been turned past it
    const from = target && { ...state.work.crank, crankDeg: target.deg + 20, lastMove: 'forward' as const };
    return target && from ? planTo(target, state, job.engine, 'front', from) : null;
  });
  const works = state.domains.flatMap((d) => Object.keys(d.works)).map((k) => json(state.work[k]));
  const rules = state.raised.map((r) => r.id);
  return json([steps, plans, works, rules, [...state.flags].sort(), settledFigures(state), state.reference]);
}

const choosing = (job: PlayedJob, school: string, option: string, share: number) => {
  const rest = job.log.filter((e) => !(e.kind === 'choose' && e.school === school));
  const choice = { ...job.log[0]!, kind: 'choose', school, option, id: 'way', seq: 0 } as JobEvent;
  return told(job, stateOf(job.sheet, job.engine, [choice, ...rest.slice(0, Math.round(share * rest.length))]));
};

describe('every way of a school changes something', () => {
  it.each(offered)('%s', (school) => {
    const sheets = runSheets.filter((s) => s.steps.some((x) => x.schools.includes(school)));
    const options = sheets[0]!.words.schools[school]!.options.map((o) => o.id);
    expect(options.length).toBeGreaterThan(1);
    const pairs = new Set(options.flatMap((a, k) => options.slice(k + 1).map((b) => `${a} and ${b}`)));
    for (const sheet of sheets) {
      const job = careful(sheet.id);
      for (const share of [0, 1, 0.5]) {
        if (pairs.size === 0) return;
        const by = new Map(options.map((o) => [o, choosing(job, school, o, share)]));
        for (const pair of pairs) {
          const [a, b] = pair.split(' and ') as [string, string];
          if (by.get(a) !== by.get(b)) pairs.delete(pair);
        }
      }
    }
    expect([...pairs]).toEqual([]);
  });
});

describe('a way that cranks by power', () => {
  it('is refused while the bar is on the crank, and comes after the tools are off', () => {
    const job = new PlayedJob(engineWith(FULL), 'fit-from-scratch');
    for (const step of job.sheet.steps) {
      if (step.id === 'off') break;
      if (job.view(step.id).state !== 'done') doStep(job, step, true);
    }
    job.say({ kind: 'choose', school: 'prime', option: 'starter' });
    expect(job.view('prime').state).toBe('open');
    const refused = job.tryTo({ kind: 'done', step: 'prime' });
    expect(!refused.ok && refused.error.message).toContain('Never operate the starter with the bar on the crank');
    const ids = job.sheet.steps.map((s) => s.id);
    expect(ids.indexOf('prime')).toBeGreaterThan(ids.indexOf('sweep'));
    for (const id of ['off', 'sweep', 'prime']) doStep(job, job.view(id).step, true);
    expect(job.state.flags.has('oil-primed')).toBe(true);
  });
});
