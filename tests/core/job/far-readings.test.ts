import { describe, expect, it } from 'vitest';
import { curveMatch } from '$core/calculations/curve/curve-match.ts';
import { settledFigures, words, type JobEvent } from '$core/job/index.ts';
import { matchInput, predict } from '$core/domains/recurve/recurve-work.ts';
import { possible } from '$core/job/possible.ts';
import { runSheets } from '$core/sheets/index.ts';
import { unitsOf, type Quantity } from '$core/units/units.ts';
import { CURVE, stock, sweep } from '../../support/curve-jobs.ts';
import { DRIVE } from '../../support/drive-jobs.ts';
import { engineWith, mm, PlayedJob } from '../../support/played.ts';

/** Figures from a slip of the finger: refused where no engine gives them, else they may spoil an answer but never a job. */
const quantities = Object.keys(unitsOf) as Quantity[];

describe('a figure that no engine gives', () => {
  it.each(quantities)('of %s is refused, what an odd engine might give is not', (quantity) => {
    const refused = possible(quantity, 999_999_999);
    expect(refused).toMatchObject({ ok: false, error: { code: 'out-of-range' } });
    expect(possible(quantity, -999_999_999).ok).toBe(false);
    expect(possible(quantity, Number.NaN).ok).toBe(false);
    expect(possible(quantity, 90).ok).toBe(true);
    if (!refused.ok) expect(refused.error.message).toMatch(/^No engine gives that: more than [\d]+.*\. Look at/);
  });
  it('is refused as a reading and as an amendment, and the log stays as it was', () => {
    const job = new PlayedJob(engineWith(CURVE), 'recurve');
    sweep(job, 'baseline', [[600, 9]]);
    const last = job.state.readings.at(-1)!;
    const far = { ...job.figure('baseline', 'sweep-deg', '999999999b'), gauge: null };
    expect(job.tryTo({ kind: 'reading', step: 'baseline', slot: 'sweep-deg', ...far })).toMatchObject({ ok: false });
    const amend = { kind: 'amend', replaces: last.id, basis: last.basis, reason: 'misread' } as const;
    expect(job.tryTo({ ...amend, ...far })).toMatchObject({ ok: false, error: { code: 'out-of-range' } });
    expect(job.tryTo({ ...amend, ...job.figure('baseline', 'sweep-deg', '9.5b') }).ok).toBe(true);
    expect(job.log).toHaveLength(2);
  });
});

describe.each(runSheets.map((s) => s.id))('%s', (sheetId) => {
  it.each(['180', '0', '0.000001'])('is worked out in time with %s at every reading of every step', (text) => {
    const job = new PlayedJob(engineWith({ ...DRIVE, ...CURVE }), sheetId);
    for (const step of job.sheet.steps)
      for (const slot of step.slots)
        // three times: rows and pairs are filled, and means have something to scatter
        for (let k = 0; k < 3; k++) {
          const typed =
            slot.quantity === 'timing'
              ? `${text}b`
              : slot.quantity === 'count'
                ? text.split('.')[0]!
                : slot.quantity === 'pitch'
                  ? '1'
                  : text;
          job.read(step.id, slot.slot, typed);
        }
    const { state } = job;
    for (const v of state.steps) expect(words.headline(state, job.engine, v, mm).length).toBeGreaterThan(0);
    for (const f of settledFigures(state)) expect(Number.isFinite(f.value)).toBe(true);
  });
});

describe('a curve read far beyond any engine, in a log that has it', () => {
  it.each([170, 400, 99_999, 999_999_999])('with %s degrees is predicted from in time, or not at all', (deg) => {
    const job = new PlayedJob(engineWith(CURVE), 'recurve');
    sweep(job, 'baseline', [
      [600, 9],
      [1000, 9],
      [1500, 15],
      [2000, 22],
      [2500, 28],
      [3000, 100],
      [3500, 100]
    ]);
    // as an older log may hold it, from before such a figure was refused
    job.log.splice(
      0,
      job.log.length,
      ...job.log.map((e): JobEvent => (e.kind === 'reading' && e.value === 100 ? { ...e, value: deg } : e))
    );
    const { sweeps, recurve } = job.state.work;
    const spring = { rateNPerMm: 1.2, preloadN: 2 };
    const curve = predict(sweeps[0]!, recurve, [spring, spring], 30);
    const input = matchInput(recurve, sweeps[0]!.baseline, stock);
    const found = input && curveMatch(input);
    if (deg > 180) {
      expect(sweeps[0]!.baseline).toBeNull();
      expect([curve, found]).toEqual([null, null]);
    } else {
      expect(curve?.ok).toBe(true);
      expect(found?.ok).toBe(true);
    }
    expect(sweeps[0]!.compare!.state).toBe('out');
  });
});
