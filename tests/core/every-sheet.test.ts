import { describe, expect, it } from 'vitest';
import { settledFigures, words } from '$core/job/index.ts';
import { jobCard } from '$core/job/card.ts';
import { nextSlot } from '$core/job/next-slot.ts';
import { runSheets, stateOf } from '$core/sheets/index.ts';
import type { JobEvent } from '$core/job/index.ts';
import { doStep, FULL } from '../support/careful.ts';
import { engineWith, PlayedJob } from '../support/played.ts';

/**
 * Every run sheet worked from its first step to its last by somebody who does what it says, with all that is asked
 * answered yes, and again with it answered no. Nothing may lead into a corner from which no honest step leads out.
 */

describe('words that must fit what the hands do', () => {
  it.each(['plunger-lift', 'locked-offset', 'rotary-lock'])('%s speaks of injectors, not of plugs', (id) => {
    const sheet = runSheets.find((s) => s.id === id)!;
    expect(sheet.words.flags['plugs-out']).toMatchObject({ on: 'injectors out', off: 'injectors in', danger: false });
    const said = sheet.steps.map((s) => `${s.title} ${s.say} ${s.accept}`).join(' ');
    expect(said.replaceAll('plugs or injectors', '')).not.toMatch(/\b(spark )?plugs (out|in|back)\b/);
  });
  it('no step that turns the engine by power tells to keep the battery off', () => {
    const said = runSheets.flatMap((s) =>
      s.steps
        .filter((x) => x.acts.some((a) => a === 'cranks-by-power' || a === 'starts'))
        .flatMap((x) => x.hazards.map((h) => `${s.id} ${x.id}: ${h}`))
    );
    expect(said.length).toBeGreaterThan(20);
    expect(said.filter((x) => x.endsWith('inadvertent-start'))).toEqual([]);
  });
});

describe.each(runSheets.map((s) => [s.id, s] as const))('%s', (id, sheet) => {
  const VALUES = id === 'two-stroke' ? { ...FULL, cycle: 'two-stroke' } : FULL;
  it.each([
    ['yes', true],
    ['no', false]
  ])('is worked to its end with everything answered %s', (_, yes) => {
    const job = new PlayedJob(engineWith({ ...VALUES, vacuumUnit: yes ? 'fitted' : 'none' }), id);
    for (const step of sheet.steps) {
      expect(job.current, `before ${step.id}`).toBe(
        // a step that a question has just made unneeded is passed over
        job.state.steps.find((s) => s.state !== 'done' && s.state !== 'not-needed')?.step.id
      );
      doStep(job, step, yes);
    }
    const { state } = job;
    expect(state.closed).toBe(true);
    expect(state.current).toBeNull();
    expect(state.progress.done).toBe(state.progress.total);
    // no danger is left on a closed job, but what is out of the engine on purpose
    const left = state.interlocks.filter((r) => r.harm === 'person' && r.id !== 'IL.20').map((r) => r.id);
    expect(left).toEqual([]);
  });

  const played = () => {
    const job = new PlayedJob(engineWith(VALUES), id);
    for (const step of sheet.steps) doStep(job, step, true);
    return job;
  };
  const opened = () => {
    const job = played();
    job.say({ kind: 'reopen', step: sheet.steps.at(-1)!.id, reason: 'a figure was misread' });
    return job;
  };
  const len: words.LengthText = (mm, d = 2) => `${mm.toFixed(d)} mm`;

  it('is a job at every length of its log: what is current has words, and a card can be printed', () => {
    const { log, engine } = played();
    for (let n = 0; n <= log.length; n += 3) {
      const state = stateOf(sheet, engine, log.slice(0, n));
      const v = state.steps[state.current ?? state.steps.length - 1]!;
      expect(words.headline(state, engine, v, len).length, `after ${n} events`).toBeGreaterThan(5);
      expect(jobCard(state, engine, len).total).toBeGreaterThan(4);
      for (const f of settledFigures(state)) expect(Number.isFinite(f.value), f.key).toBe(true);
    }
  });

  it('undone from its end to its beginning is a job not begun', () => {
    const job = played();
    const begun = new PlayedJob(job.engine, id).state;
    // past admission, which lets nobody undo what keeps people whole
    for (const e of [...job.log].reverse())
      job.log.push({
        ...job.log[0]!,
        kind: 'undo',
        undoes: e.id,
        id: `undo-${e.id}`,
        seq: job.log.length + 1
      } as JobEvent);
    const { state } = job;
    expect(state.steps.map((v) => v.state)).toEqual(begun.steps.map((v) => v.state));
    expect([...state.flags].sort()).toEqual([...begun.flags].sort());
    expect(state.work.crank).toEqual(begun.work.crank);
    expect(state.interlocks.map((r) => r.id)).toEqual(begun.interlocks.map((r) => r.id));
    expect(settledFigures(state)).toEqual([]);
    expect(state.readings).toEqual([]);
  });

  it('stands an amendment of any one reading: it is worked out again, and taken back it is as before', () => {
    const job = opened();
    const figures = () => settledFigures(job.state).map((f) => [f.key, f.value]);
    const before = figures();
    for (const r of job.state.readings.filter((_, k) => k % 4 === 0)) {
      const now = job.state.readings.find((x) => x.id === r.id)!;
      const value = r.value === 0 ? 1 : r.value * 1.01;
      const figure = { text: String(value), value, resolution: r.resolution, unit: r.unit, gauge: r.gauge };
      const e = job.say({ kind: 'amend', replaces: r.id, basis: now.basis, reason: 'misread', ...figure });
      expect(job.state.readings.find((x) => x.id === r.id)!.value).toBe(value);
      for (const v of job.state.steps) words.headline(job.state, job.engine, v, len);
      job.say({ kind: 'undo', undoes: e.id });
    }
    expect(figures()).toEqual(before);
  });

  it('never says in, out or too close to call without the limits that say so, also where a figure is far off', () => {
    const job = opened();
    const bare = () =>
      job.state.steps
        .map((v) => words.headline(job.state, job.engine, v, len))
        .filter((said) => /: (in|out)\b|too close to call/i.test(said) && !/limits|may be/.test(said))
        .concat(
          jobCard(job.state, job.engine, len)
            .results.filter(
              (r) =>
                !['', 'not judged'].includes(r.verdict) !== /\d|data sheet at each|tenth of the tooth/.test(r.limits)
            )
            .map((r) => `on the card: ${r.label} ${r.verdict} ${r.limits}`)
        );
    expect(bare()).toEqual([]);
    for (const r of job.state.readings.filter((_, k) => k % 3 === 0)) {
      const now = job.state.readings.find((x) => x.id === r.id)!;
      const value = r.value + (r.value < 1 ? 0.3 : 3);
      const figure = { text: String(value), value, resolution: r.resolution, unit: r.unit, gauge: r.gauge };
      const body = { kind: 'amend' as const, replaces: r.id, basis: now.basis, reason: 'misread', ...figure };
      if (!job.tryTo(body).ok) continue;
      const e = job.say(body);
      expect(bare(), `${r.slot} ${value}`).toEqual([]);
      job.say({ kind: 'undo', undoes: e.id });
    }
  });

  it('has a sentence, a next figure and a card at every step, also with nothing read and nothing on the data sheet', () => {
    for (const values of [VALUES, {}]) {
      const job = new PlayedJob(engineWith(values), id);
      for (const v of job.state.steps) {
        expect(words.headline(job.state, job.engine, v, len).length).toBeGreaterThan(5);
        const aim = nextSlot(job.state, v.step);
        expect(aim === null || v.step.slots.includes(aim.slot)).toBe(true);
      }
      expect(jobCard(job.state, job.engine, len).total).toBeGreaterThan(4);
      expect(settledFigures(job.state)).toEqual([]);
    }
  });

  it('says of every step why, how it is accepted or what skipping costs, and how long it takes', () => {
    const thin = sheet.steps.filter(
      (s) => s.why.length < 10 || (s.accept === '' && s.ifSkipped === '') || s.minutes < 1
    );
    expect(thin.map((s) => s.id)).toEqual([]);
  });

  it('never lets a reason overrule what can hurt someone or break something', () => {
    const job = new PlayedJob(engineWith(VALUES), id);
    for (const s of sheet.steps)
      for (const f of [...s.needs, ...s.mustBeOff].filter((f) => sheet.words.flags[f]!.hard))
        expect(job.tryTo({ kind: 'override', step: s.id, flags: [f], reason: 'in a hurry' }).ok).toBe(false);
  });
});
