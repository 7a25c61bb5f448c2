import { describe, expect, it } from 'vitest';
import { notSettled } from '$core/job/index.ts';
import { runSheets } from '$core/sheets/index.ts';
import { engineWith, PlayedJob, SHEET } from '../../support/played.ts';

/** An answer that says stop is one: the step is not settled by it. */
const all = runSheets.flatMap((sheet) =>
  sheet.steps.flatMap((step) =>
    step.choices.filter((c) => !c.proves).flatMap((c) => c.options.map((o) => ({ sheet, step, c, o })))
  )
);
const holding = all.filter(({ o }) => o.holds !== undefined);

describe('an answer', () => {
  it('that tells to stop holds its step', () => {
    const silent = all.filter(({ o }) => /\bstop[,:]/.test(o.label) && o.holds === undefined);
    expect(silent.map(({ sheet, step, o }) => `${sheet.id} ${step.id}: ${o.label}`)).toEqual([]);
    expect(holding.length).toBeGreaterThan(4);
  });
  it.each(holding.map((h) => [`${h.sheet.id}, ${h.step.title}, ${h.o.label}`, h] as const))(
    '%s: says why, lets go once another is given',
    (_, { sheet, step, c, o }) => {
      const job = new PlayedJob(engineWith(SHEET), sheet.id);
      const open = () =>
        notSettled(
          job.state,
          job.state.steps.find((v) => v.step.id === step.id)!
        );
      job.look(step.id);
      expect(open()).toBeNull();
      job.say({ kind: 'choose', school: c.id, option: o.id });
      expect(open()).toBe(o.holds);
      const other = c.options.find((x) => x.holds === undefined)!;
      job.say({ kind: 'choose', school: c.id, option: other.id });
      expect(open()).toBeNull();
    }
  );
  it('is gone on from with a reason, and no other way', () => {
    const job = new PlayedJob(engineWith(SHEET), 'regear');
    const step = job.sheet.steps.find((s) => s.id === 'trial')!;
    job.say({ kind: 'say', flag: 'gear-off', on: true, seen: 'on the bench' });
    job.say({ kind: 'choose', school: 'gear-slides', option: 'tight' });
    const refused = job.tryTo({ kind: 'done', step: step.id });
    expect(refused).toMatchObject({ ok: false, error: { code: 'not-proved' } });
    expect(refused.ok ? '' : refused.error.message).toContain('never force it on');
    const { holds } = step.choices
      .filter((c) => !c.proves)
      .flatMap((c) => c.options)
      .find((o) => o.id === 'tight')!;
    job.say({ kind: 'override', step: step.id, flags: [], open: holds!, reason: 'reamed after this, see the remark' });
    expect(job.tryTo({ kind: 'done', step: step.id }).ok).toBe(true);
  });
});
