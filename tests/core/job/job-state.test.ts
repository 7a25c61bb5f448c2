import * as crankWords from '$core/domains/crank/words.ts';
import { describe, expect, it } from 'vitest';
import { notSettled, settledFigures, words } from '$core/job/index.ts';
import { stateOf } from '$core/sheets/index.ts';
import { jobCard } from '$core/job/card.ts';
import { engineWith, GAUGES, mm, PlayedJob, SHEET } from '../../support/played.ts';

describe('a job is its log', () => {
  it('gives the same state for the same log, and changes neither log nor sheet', () => {
    const job = new PlayedJob().toStroke();
    const before = JSON.stringify(job.log);
    const a = stateOf(job.sheet, job.engine, job.log);
    const b = stateOf(job.sheet, job.engine, structuredClone(job.log));
    expect(JSON.stringify(b)).toBe(JSON.stringify(a));
    expect(JSON.stringify(job.log)).toBe(before);
  });

  it('carries readings through to every answer with nothing retyped', () => {
    const job = new PlayedJob().toStroke();
    const s = job.state;
    expect(s.work.tdc.found!.tdcWheelDeg).toBeCloseTo(357.3333, 4);
    expect(s.work.mark!.errorDeg).toBeCloseTo(2.6667, 4);
    expect(s.work.evidence!.pCompression).toBeCloseTo(0.9942, 4);
    expect(s.work.crank.crankDeg).toBeCloseTo(374.1667, 4);
    expect(s.work.crank).toMatchObject({ strokeKnown: true, lastMove: 'forward' });
    const target = crankWords.crankTarget(s, { surface: 'plan' }, 720)!;
    const plan = crankWords.planTo(target, s, job.engine, 'rear')!;
    expect(plan.totalDeg).toBeCloseTo(338.8333, 4);
    expect(plan.steps[0]).toMatchObject({ move: 'forward', turn: 'ccw' });
    expect(crankWords.planText(plan, 'rear', target).at(-1)).toMatch(
      /to 7° before firing TDC, where the wheel shows 35\d\.\d°\.$/
    );
    job.done('ref');
    expect(job.state.work.crank.crankDeg).toBeCloseTo(713, 1);
    expect(job.state.work.crank.reading).toBe(job.state.readings.at(-1)!.id);
  });

  it('takes the mark’s error off a strobe reading and judges it with the doubt of both', () => {
    const job = new PlayedJob().toStroke();
    job.say({ kind: 'reading', step: 'strobe', slot: 'strobe', ...job.figure('strobe', 'strobe', '12.5b') });
    expect(job.state.work.timing.strobe!.latest).toMatchObject({ verdict: { state: 'out' }, move: { turn: 'ccw' } });
    expect(job.state.work.timing.strobe!.latest!.btdc).toBeCloseTo(9.8333, 4);
    job.read('strobe', 'strobe', '9.5b');
    expect(job.state.work.timing.strobe!.latest!.uDeg).toBeCloseTo(0.38521, 4);
    expect(job.state.work.timing.strobe!.latest!.verdict!.state).toBe('in');
  });

  it('does not judge a strobe reading when true TDC was never found', () => {
    const job = new PlayedJob();
    job.read('strobe', 'strobe', '7b');
    expect(job.state.work.timing.strobe!.latest!.verdict).toBeNull();
  });

  it('averages a repeat of one setting, but not a reading after the housing was turned', () => {
    const job = new PlayedJob().toTdc();
    job.read('strobe', 'strobe', '9b');
    job.read('strobe', 'strobe-again', '10b');
    expect(job.state.work.timing.strobe!.rows.map((r) => r.readBtdc)).toEqual([9.5]);
    job.read('strobe', 'strobe', '9.5b');
    expect(job.state.work.timing.strobe!.rows).toHaveLength(2);
  });
});

describe('readings are never edited', () => {
  it('amends with a reason, keeps what it replaced, and an undo brings the old figure back', () => {
    const job = new PlayedJob().toTdc();
    const first = job.state.readings.find((r) => r.text === '342.5')!;
    const amended = job.say(
      {
        kind: 'amend',
        replaces: first.id,
        basis: first.basis,
        reason: 'misread',
        ...job.figure('tdc', 'before', '343.5')
      },
      'Tobias Renn'
    );
    const now = job.state.readings.find((r) => r.id === first.id)!;
    expect(now).toMatchObject({ text: '343.5', by: { name: 'Tobias Renn' }, basis: amended.id });
    expect(now.replaced).toMatchObject([{ text: '342.5', by: { name: 'Ines Farrow' }, reason: 'misread' }]);
    const undo = job.say({ kind: 'undo', undoes: amended.id });
    const back = job.state.readings.find((r) => r.id === first.id)!;
    expect(back).toMatchObject({ text: '342.5', replaced: [], basis: undo.id });
  });

  it('keeps by which gauge it was thought to be read, where that is what was put right', () => {
    const job = new PlayedJob().toTdc();
    const { id, basis, ...first } = job.state.readings.find((r) => r.slot === 'depth')!;
    const fine = { ...GAUGES.dial!, id: 'fine', name: 'Dial, fine' };
    const { text, unit, value, resolution } = first;
    const figure = { text, unit, value, resolution, gauge: fine };
    job.say({ kind: 'amend', replaces: id, basis, reason: 'read with another gauge', ...figure });
    const line = jobCard(job.state, job.engine, mm).readings.find((r) => r.reading.id === id)!;
    expect(line.reading.gauge).toMatchObject({ name: 'Dial, fine' });
    expect(line.replaced).toBe(`${text} by Dial (read with another gauge)`);
  });

  it('undoes a reading as if it had never been, and cannot undo twice or undo an undo', () => {
    const job = new PlayedJob().toTdc();
    const last = job.log[job.log.length - 1]!;
    const undo = job.say({ kind: 'undo', undoes: last.id });
    expect(job.state.work.tdc.rows[2]).toMatchObject({ after: null, middleDeg: null });
    expect(job.tryTo({ kind: 'undo', undoes: last.id })).toMatchObject({ ok: false, error: { code: 'not-undoable' } });
    expect(job.tryTo({ kind: 'undo', undoes: undo.id })).toMatchObject({ ok: false });
  });
});

describe('swapped and impossible readings', () => {
  it('names a swapped pair and still uses the others', () => {
    const job = new PlayedJob().done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel');
    job.pairs('1.8', ['342.5', '11.5'], ['12.0', '343.5']);
    expect(job.state.work.tdc.rows[1]!.error).toMatchObject({ code: 'pair-swapped' });
    expect(job.state.work.tdc.rows[1]!.error!.message).toContain('pair 2');
    expect(job.state.work.tdc.pairs!.perPair).toHaveLength(1);
  });

  it('says that a depth beyond the stroke cannot be', () => {
    const job = new PlayedJob().done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel');
    job.pairs('180', ['342.5', '11.5']);
    expect(job.state.work.tdc.error).toMatchObject({ code: 'drop-out-of-range' });
    expect(job.state.work.tdc.found).toBeNull();
  });
});

describe('what must hold first', () => {
  it('holds a step whose needs are missing, and opens it by saying that they are met', () => {
    const job = new PlayedJob().done('intake');
    expect(job.view('plugs')).toMatchObject({ state: 'blocked', missing: ['battery-isolated'] });
    expect(job.tryTo({ kind: 'done', step: 'plugs' })).toMatchObject({ ok: false, error: { code: 'step-blocked' } });
    // what keeps hands whole is said with what was seen, and not ticked off
    expect(job.tryTo({ kind: 'say', flag: 'battery-isolated', on: true })).toMatchObject({
      ok: false,
      error: { code: 'say-what-was-seen' }
    });
    job.say({ kind: 'say', flag: 'battery-isolated', on: true, seen: 'lead hangs beside the battery' });
    expect(job.view('plugs').state).toBe('open');
  });

  it('never overrules what can hurt someone, but overrules the rest with a reason', () => {
    const job = new PlayedJob();
    expect(
      job.tryTo({ kind: 'override', step: 'plugs', flags: ['battery-isolated'], reason: 'in a hurry' })
    ).toMatchObject({ ok: false, error: { code: 'never-overrule' } });
    job.say({ kind: 'override', step: 'tower', flags: ['crank-at-reference'], reason: 'only a look' });
    expect(job.view('tower')).toMatchObject({ state: 'open', overruled: 'only a look' });
  });

  it('asks for readings and data-sheet values before a step counts as done', () => {
    const job = new PlayedJob().done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel');
    expect(job.tryTo({ kind: 'done', step: 'tdc' })).toMatchObject({ ok: false, error: { code: 'readings-missing' } });
    const { rotorDirection: _, ...less } = SHEET;
    const poor = new PlayedJob(engineWith(less));
    const answer = poor.tryTo({ kind: 'done', step: 'intake' });
    expect(answer).toMatchObject({ ok: false, error: { code: 'values-missing' } });
    expect(!answer.ok && answer.error.message).toContain('rotor runs, seen from above');
  });

  it('does not take one sign of the stroke for a proof', () => {
    const job = new PlayedJob().toTdc().done('tdc', 'mark', 'probe-out');
    job.say({ kind: 'sign', sign: 'bothValvesClosed', seen: true });
    expect(job.state.work.evidence!.state).toBe('unsure');
    expect(job.tryTo({ kind: 'done', step: 'stroke' })).toMatchObject({
      ok: false,
      error: {
        code: 'only-with-reason',
        message: expect.stringContaining('Never take the stroke as proved by one sign')
      }
    });
    job.say({
      kind: 'override',
      step: 'stroke',
      flags: [],
      rules: ['IL.11'],
      reason: 'rockers seen by two people'
    });
    // a reason for going against the rule is none for what the signs leave open
    const answer = job.tryTo({ kind: 'done', step: 'stroke' });
    expect(answer).toMatchObject({ ok: false, error: { code: 'not-proved' } });
    const open = notSettled(job.state, job.view('stroke'))!;
    job.say({ kind: 'override', step: 'stroke', flags: [], open, reason: 'rockers seen by two people' });
    expect(job.tryTo({ kind: 'done', step: 'stroke' }).ok).toBe(true);
  });

  it('knows of a lock pin from the beginning, where it was asked for when the distributor came in', () => {
    const job = new PlayedJob();
    job.say({ kind: 'choose', school: 'pin-seen', option: 'in' });
    expect(job.state.flags.has('rotor-pin-in')).toBe(true);
    expect(job.view('pin').asks).toBeNull();
    // on the bench nothing drives it: the crank may be turned until it is in mesh
    expect(job.state.raised.map((r) => r.id)).not.toContain('IL.34');
    job.say({ kind: 'say', flag: 'gear-meshed', on: true, seen: 'down in mesh' });
    expect(job.state.interlocks.map((r) => r.id)).toContain('IL.34');
    job.say({ kind: 'choose', school: 'pin-seen', option: 'none' });
    expect(job.view('pin').state).toBe('not-needed');
    expect(job.state.flags.has('rotor-pin-in')).toBe(false);
  });

  it('does not take a step back onto a setting that was passed for having come to it', () => {
    const job = new PlayedJob().toStroke();
    const at = -job.state.reference!;
    const move = (crankDeg: number, move: 'forward' | 'backward') => job.say({ kind: 'crank', crankDeg, move });
    move(720 + at + 6, 'forward');
    move(720 + at, 'backward');
    job.read('ref', 'stands', '351');
    const refused = job.tryTo({ kind: 'done', step: 'ref' });
    expect(refused).toMatchObject({ ok: false, error: { code: 'only-with-reason' } });
    expect(!refused.ok && refused.error.message).toContain('Never step back a little onto a setting that was passed');
    // well beyond and forward again, and nothing is said any more
    move(720 + at - 40, 'backward');
    move(720 + at, 'forward');
    job.read('ref', 'stands', '351');
    expect(job.state.raised.map((r) => r.id)).not.toContain('IL.13');
    expect(job.tryTo({ kind: 'done', step: 'ref' }).ok).toBe(true);
  });

  it('leaves out steps whose question was answered with no', () => {
    const job = new PlayedJob();
    expect(job.view('hose').state).toBe('not-needed');
    expect(job.view('pin').asks).not.toBeNull();
    job.say({ kind: 'fact', fact: 'pinned', value: false });
    expect(job.view('pin').state).toBe('not-needed');
    job.say({ kind: 'fact', fact: 'pinned', value: true });
    expect(job.state.flags.has('rotor-pin-in')).toBe(true);
    expect(job.view('cap').stillOn).toEqual(['rotor-pin-in']);
  });
});

describe('the crank', () => {
  it('loses the reference when it was turned, raises the interlock before, and asks for the steps again after', () => {
    const job = new PlayedJob(engineWith({ ...SHEET, gearTeeth: '11' }), 'fit-different').done('intake');
    job.given('gear-material-ok').done('safe', 'map', 'plugs', 'bar', 'wheel');
    job.toReference().given('witness-marks');
    job.done('out');
    expect(job.state.interlocks.map((r) => r.id)).toContain('IL.01');
    expect(job.tryTo({ kind: 'crank', crankDeg: null, move: 'unknown' })).toMatchObject({
      ok: false,
      error: { code: 'never-while', message: expect.stringMatching(/^Never turn the crank/) }
    });
    job.say({ kind: 'happened', rule: 'IL.01' });
    expect(job.state.work.crank.crankDeg).toBeNull();
    expect(job.view('ref').state).toBe('repeat');
    expect(job.view('stroke').state).toBe('repeat');
    expect(job.tryTo({ kind: 'done', step: 'stroke' })).toMatchObject({ ok: false });
  });

  it('counts on from a proved stroke when the wheel is read again, forward or back', () => {
    const job = new PlayedJob().toStroke();
    job.read('ref', 'stands', '20.5');
    expect(job.state.work.crank.crankDeg).toBeCloseTo(383.1667, 4);
    job.read('ref', 'stands-back', '5.5');
    expect(job.state.work.crank).toMatchObject({ lastMove: 'backward' });
    expect(job.state.work.crank.crankDeg).toBeCloseTo(368.1667, 4);
    job.read('ref', 'stands', '350.5');
    expect(job.state.work.crank.crankDeg).toBeCloseTo(713.1667, 4);
  });

  it('knows a place only within one turn while the stroke is not proved', () => {
    const job = new PlayedJob().toTdc();
    job.say({ kind: 'crank', crankDeg: 500, move: 'forward' });
    expect(job.state.work.crank).toMatchObject({ crankDeg: 140, strokeKnown: false });
    const target = crankWords.crankTarget(job.state, { surface: 'plan' }, 720)!;
    const plan = crankWords.planTo(target, job.state, job.engine, 'front')!;
    expect(plan.thenCheckStroke).toBe(true);
    expect(crankWords.planText(plan, 'front', target).at(-1)).toMatch(
      /to 7° before a TDC, where the wheel shows 35\d\.\d°, then tell the strokes apart\.$/
    );
    expect(plan.totalDeg).toBeLessThanOrEqual(360);
  });

  it('does not claim to know where the crank stands after the engine has run', () => {
    const job = new PlayedJob().toStroke().done('ref');
    expect(job.state.work.crank.crankDeg).toBeCloseTo(713, 1);
    job.given('distributor-out', false);
    for (const flag of ['clamp-snug', 'pump-shaft-present', 'leads-fitted', 'oil-primed', 'gasket-fitted'])
      job.say({ kind: 'say', flag, on: true, seen: 'looked, and tried by hand' });
    job.done('probe-out', 'off', 'sweep', 'start');
    expect(job.state.work.crank.crankDeg).toBeNull();
  });
});

describe('opening a step again', () => {
  it('takes back what the step had changed, and no more', () => {
    const job = new PlayedJob().toTdc().done('tdc', 'mark', 'probe-out');
    expect([...job.state.flags]).not.toContain('probe-in');
    job.say({ kind: 'reopen', step: 'probe-out' });
    expect(job.state.flags.has('probe-in')).toBe(true);
    expect(job.state.flags.has('piston-stop-in')).toBe(false);
  });
});

describe('words', () => {
  it('begins a screen with a finding or an instruction', () => {
    const job = new PlayedJob().toTdc();
    const len = (mm: number, d = 2) => `${mm.toFixed(d)} mm`;
    const head = (step: string) => words.headline(job.state, job.engine, job.view(step), len);
    expect(head('tdc')).toBe('True TDC is where the wheel reads 357.33°');
    expect(head('mark')).toBe('The mark stands 2.7° early: take that off every reading');
    job.read('tdc', 'before', '343');
    expect(head('tdc')).toBe('Read the wheel after the top, to finish pair 4');
  });

  it('asks for one more pair when true TDC is too close to call', () => {
    const job = new PlayedJob(engineWith({ ...SHEET, tdcWithinDeg: '0.3' }))
      .done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel')
      .pairs('1.8', ['342.5', '11.5'], ['342.5', '12.0']);
    expect(job.state.work.tdc.verdict!.state).toBe('unsure');
    expect(words.floorLine(job.state, job.engine).next).toBe('Take one more pair at 1.80 mm down');
  });

  it('lists settled figures with what they were worked out from', () => {
    const job = new PlayedJob().toStroke();
    const figures = settledFigures(job.state);
    expect(figures.map((f) => f.key)).toEqual(['tdc', 'mark', 'stroke']);
    expect(figures[0]).toMatchObject({ calc: 'tdc.pairs', verdict: 'in' });
    expect((figures[0]!.input as { pairs: unknown[] }).pairs).toHaveLength(3);
  });
});
