import { describe, expect, it } from 'vitest';
import { manifests } from '$core/domains/all.ts';
import { settledFigures } from '$core/job/index.ts';
import { jobCard } from '$core/job/card.ts';
import { handStart } from '$core/domains/magneto/magneto-work.ts';
import { jobsThatFollow } from '$core/domains/received/decisions.ts';
import { sheetConflicts } from '$core/sheets/data-sheet.ts';
import magneto from '../../scenarios/magneto.json' with { type: 'json' };
import two from '../../scenarios/two-stroke.json' with { type: 'json' };
import { engineWith, headline, mm, PlayedJob, SHEET } from '../../support/played.ts';
import { FINE_WHEEL } from '../../support/pump-jobs.ts';
import { SAW, TWO_STROKE } from '../../support/magneto-jobs.ts';

const STROBE = { id: 'strobe', name: 'Strobe', resolution: 0, accuracy: 0.5, scatter: 0.1, scatterDof: 20 };

const saw = (values: Record<string, string> = {}) => {
  const job = new PlayedJob(engineWith({ ...SAW, ...values }), 'magneto').done('intake', 'safe');
  return job;
};
const toMark = (values: Record<string, string> = {}) => {
  const job = saw(values).done('ground', 'plugs', 'bar');
  job.say({ kind: 'fact', fact: 'springShaft', value: true });
  job.done('shaft', 'wheel');
  job.pairs('1.8', ['343.5', '12.5'], ['343.5', '12.5'], ['343.5', '12.5']).done('tdc', 'mark', 'probe-out');
  job.say({ kind: 'sign', sign: 'airPushedOut', seen: true });
  job.say({ kind: 'sign', sign: 'bothValvesClosed', seen: true });
  return job.done('stroke', 'ref', 'marks');
};

describe('a magneto with an impulse coupling', () => {
  it('says what its lag makes of the spark, and of a hand start', () => {
    const { lagCrankDeg, snapBtdc } = magneto.journey[0]!.expect.out as { lagCrankDeg: number; snapBtdc: number };
    expect(saw().state.work.magneto.lag).toMatchObject({ lagCrankDeg, snapBtdc, kickback: false });
    expect(headline(saw(), 'snap')).toContain(
      'Never start it by hand before the snap was heard at the top or after it'
    );
    const kicks = saw({ lagDeg: '5' });
    expect(headline(kicks, 'snap')).toContain('Never start it by hand');
    kicks.say({ kind: 'choose', school: 'start-by', option: 'hand' });
    const refused = kicks.tryTo({ kind: 'done', step: 'start' });
    expect(!refused.ok && refused.error.message).toContain(
      'Never start it by hand while its impulse fires before the top, or before its snap was heard'
    );
    kicks.say({ kind: 'choose', school: 'start-by', option: 'starter' });
    const other = kicks.tryTo({ kind: 'done', step: 'start' });
    expect(!other.ok && other.error.message).not.toContain('by hand');
  });
  it('names the nearest tooth and what is left, and stays open until the coupling is within half a tooth', () => {
    const { moveTeeth, leftDeg } = magneto.journey[1]!.expect.out as { moveTeeth: number; leftDeg: number };
    const job = toMark();
    job.read('coupling', 'drive-stands', '99');
    expect(job.state.work.magneto.coupling!.tooth).toMatchObject({ moveTeeth, leftDeg: expect.closeTo(leftDeg, 4) });
    expect(headline(job, 'coupling')).toBe(
      'The coupling stands 9.0° clockwise of its direction: mesh the gear 1 tooth anticlockwise, then 4.3° is left'
    );
    expect(job.tryTo({ kind: 'done', step: 'coupling' })).toMatchObject({ ok: false });
    job.read('coupling', 'drive-stands', '94');
    expect(job.tryTo({ kind: 'done', step: 'coupling' }).ok).toBe(true);
  });
  const bolted = () => {
    const job = toMark();
    job.read('coupling', 'drive-stands', '90');
    return job.done('coupling', 'set', 'offer');
  };
  it('hears its snap three times, and judges the mean', () => {
    const job = bolted();
    const heard = magneto.journey[2] as unknown as { typed: string[]; expect: { mean: number } };
    for (const t of heard.typed)
      job.say(job.reading('snap', 'snap', `${t.replace('-', '')}a`, { ...FINE_WHEEL, scatter: 0.4 }));
    const { snap } = job.state.work.magneto;
    const { errorDeg } = job.state.work.mark!;
    expect(snap!.raw).toBeCloseTo(heard.expect.mean, 4);
    expect(snap!.value).toBeCloseTo(heard.expect.mean - errorDeg, 4);
    expect(snap!.verdict!.state).toBe('in');
    expect(headline(job, 'snap')).toMatch(
      /^Snap at 7\.8° ± \d\.\d° after with the mark\u2019s error taken off: in, limits /
    );
  });
  it.each([
    ['4 after', ['4a', '4a', '4a'], 'fit', null],
    ['12 before', ['12b', '12b', '12b'], 'kicks', 'which may be before the top: it kicks back. Never start it by hand'],
    ['not heard', [], 'unheard', null]
  ])('a hand start goes by what was heard, here %s', (_, heard, says, text) => {
    const job = bolted();
    for (const t of heard) job.say(job.reading('snap', 'snap', t, { ...FINE_WHEEL, scatter: 0.4 }));
    expect(handStart(job.state.work.magneto)).toBe(says);
    job.say({ kind: 'choose', school: 'start-by', option: 'hand' });
    expect(job.state.raised.some((r) => r.id === 'IL.99')).toBe(says !== 'fit');
    if (text) expect(JSON.stringify(jobCard(job.state, job.engine, mm))).toContain(text);
    job.say({ kind: 'choose', school: 'start-by', option: 'starter' });
    expect(job.state.raised.some((r) => r.id === 'IL.99')).toBe(false);
  });
  it('tells two lobes apart, and a flange that moved the snap', () => {
    const job = bolted();
    for (const t of ['6a', '36a']) job.say(job.reading('snap', 'snap', t, FINE_WHEEL));
    expect(headline(job, 'snap')).toContain('two lobes');
    expect(job.tryTo({ kind: 'done', step: 'snap' })).toMatchObject({ ok: false });
    const moved = bolted();
    for (const t of ['6a', '6a', '6a']) moved.say(moved.reading('snap', 'snap', t, FINE_WHEEL));
    moved.done('snap');
    for (const t of ['4a', '4a', '4a']) moved.say(moved.reading('flange', 'snap-after', t, FINE_WHEEL));
    expect(headline(moved, 'flange')).toBe('Tightening moved the snap 2.0° earlier: set it again');
    expect(moved.tryTo({ kind: 'done', step: 'flange' })).toMatchObject({ ok: false });
  });
  it('is met by its interlocks, and led back', () => {
    const job = saw();
    // not grounded: nothing is turned
    const turned = job.tryTo({ kind: 'crank', crankDeg: 10, move: 'forward' });
    expect(!turned.ok && turned.error.message).toContain('Never turn the engine by hand, or touch a lead');
    job.done('ground', 'plugs', 'bar');
    expect(job.tryTo({ kind: 'crank', crankDeg: 10, move: 'forward' }).ok).toBe(true);
    const loaded = toMark();
    loaded.read('coupling', 'drive-stands', '90');
    loaded.done('coupling');
    const early = loaded.tryTo({ kind: 'done', step: 'offer' });
    expect(!early.ok && early.error.message).toContain('Never bolt the magneto on before it stands just past its snap');
    loaded.done('set');
    loaded.say({ kind: 'say', flag: 'spring-shaft-open', on: true });
    const spring = loaded.tryTo({ kind: 'done', step: 'offer' });
    expect(!spring.ok && spring.error.message).toContain('while the shaft\u2019s cover is off');
    loaded.say({ kind: 'happened', rule: 'IL.63' });
    expect(loaded.state.flags.has('impulse-set')).toBe(false);
    loaded.say({ kind: 'say', flag: 'spring-shaft-open', on: false, seen: 'cover bolted' });
    loaded.done('set');
    loaded.say({ kind: 'say', flag: 'flange-stands-off', on: true });
    const drawn = loaded.tryTo({ kind: 'done', step: 'offer' });
    expect(!drawn.ok && drawn.error.message).toContain('Never draw the magneto\u2019s flange home with its screws');
  });
  it('reads its running spark above the speed at which the coupling rides out, and nowhere else', () => {
    const job = toMark();
    job.say(job.reading('run', 'run-rpm', '250'));
    job.say(job.reading('run', 'run-spark', '26b', STROBE));
    expect(headline(job, 'run')).toContain('where the coupling still holds back');
    job.say(job.reading('run', 'run-rpm', '900'));
    expect(headline(job, 'run')).toMatch(
      /^Running spark 24\.0° ± \d\.\d° before with the mark\u2019s error taken off: in, limits /
    );
    const unproved = saw();
    unproved.say(unproved.reading('run', 'run-rpm', '900'));
    unproved.say(unproved.reading('run', 'run-spark', '24b', STROBE));
    expect(headline(unproved, 'run')).toContain('no job has proved the mark');
    expect(unproved.state.work.magneto.run!.verdict).toBeNull();
  });
  it('refuses a lag of half a turn on the data sheet', () => {
    expect(sheetConflicts(engineWith({ ...SAW, lagDeg: '190' }))[0]!.message).toContain('half a turn');
  });
});

describe('a two-stroke of several cylinders', () => {
  const job = () => {
    const j = new PlayedJob(engineWith(TWO_STROKE), 'two-stroke');
    return j.done('intake', 'safe', 'height', 'pointer', 'plugs', 'bar', 'wheel');
  };
  const found = (j: PlayedJob, rows: (readonly [number, number])[]) => {
    for (const [c, deg] of rows) {
      j.say(j.reading('marks', 'mark-of', String(c)));
      j.say(j.reading('marks', 'mark-at', deg.toFixed(1), FINE_WHEEL));
    }
    return j;
  };
  const measured = (two.journey[1]!.expect.in as { measured: { cylinder: number; wheelDeg: number }[] }).measured;
  const asFound = measured.map((m) => [m.cylinder, m.wheelDeg] as const);

  it('gives the height of the angle, and each mark its error in degrees and at the rim', () => {
    const j = job();
    const first = two.journey[0]!.expect.out as { dropMm: number; mmPerDeg: number };
    expect(j.state.work.flywheel.dropMm).toBeCloseTo(first.dropMm, 4);
    expect(j.state.work.flywheel.mmPerDeg).toBeCloseTo(first.mmPerDeg, 4);
    found(j, asFound);
    const want = two.journey[1]!.expect.out as { marks: { cylinder: number; errorDeg: number; errorMm: number }[] };
    for (const m of want.marks) {
      const row = j.state.work.flywheel.rows.find((x) => x.cylinder === m.cylinder)!;
      expect(row.errorDeg).toBeCloseTo(m.errorDeg, 6);
      expect(row.errorMm).toBeCloseTo(m.errorMm, 3);
    }
    expect(j.state.work.flywheel.state).toBe('out');
  });
  it('tells a wrong mark from a wrong set-up, and from cylinder one itself', () => {
    const once = found(job(), asFound);
    expect(headline(once, 'marks')).toContain('Cylinder 2 is off by itself: mount the dial anew');
    const same = found(found(job(), asFound), [[2, 216.1]]);
    expect(headline(same, 'marks')).toContain('its mark, its crank pin or its trigger is off, not the dial');
    const other = found(found(job(), asFound), [[2, 213.1]]);
    expect(headline(other, 'marks')).toContain('the dial\u2019s set-up was wrong once');
    const alike = found(job(), [
      [1, 338],
      [3, 101],
      [2, 221]
    ]);
    expect(headline(alike, 'marks')).toContain('the mark of cylinder 1 is the one that is wrong');
    const good = found(job(), [
      [1, 338],
      [3, 98.2],
      [2, 217.8]
    ]);
    expect(good.state.work.flywheel.state).toBe('in');
  });
  it('takes a cylinder that there is not, and heights that no crank gives, for what they are', () => {
    expect(headline(found(job(), [[7, 100]]), 'marks')).toBe('There is no cylinder 7');
    const none = new PlayedJob(engineWith({ ...TWO_STROKE, rodMm: '30' }), 'two-stroke');
    expect(none.state.work.flywheel.problem).not.toBeNull();
    expect(none.done('intake', 'safe').tryTo({ kind: 'done', step: 'height' })).toMatchObject({ ok: false });
  });
  it('finds a swapped lead', () => {
    const j = job();
    for (const [lead, seen] of [
      [1, 1],
      [3, 2],
      [2, 3]
    ]) {
      j.say(j.reading('match', 'strobe-on', String(lead)));
      j.say(j.reading('match', 'number-seen', String(seen)));
    }
    expect(headline(j, 'match')).toBe('The lead of 3 fires cylinder 2: leads or triggers are swapped');
  });
  it('learns what a turn of the stop screw does, with its doubt', () => {
    const j = job();
    const readings = (two.journey[2]!.expect.in as { readings: { turns: number; btdc: number }[] }).readings;
    for (const r of readings) {
      j.say(j.reading('stop', 'stop-turns', String(r.turns)));
      j.say(j.reading('stop', 'stop-spark', `${r.btdc}b`, STROBE));
    }
    const want = two.journey[2]!.expect.out as { degPerTurn: number; turnsFromLast: number };
    const { stop } = j.state.work.flywheel;
    expect(stop.degPerTurn).toBeCloseTo(want.degPerTurn, 9);
    expect(stop.turnsFromLast).toBeCloseTo(want.turnsFromLast, 9);
    expect(stop.uTurns!).toBeGreaterThan(0.1);
    expect(headline(j, 'stop')).toMatch(/^Turn the screw 1\.2 ± \d\.\d turns on: a turn moves it 1\.25°$/);
    const level = job();
    for (const t of ['0', '2']) {
      level.say(level.reading('stop', 'stop-turns', t));
      level.say(level.reading('stop', 'stop-spark', '18b', STROBE));
    }
    expect(level.state.work.flywheel.stop.problem!.code).toBe('no-slope');
  });
  it('never cranks with the throttle open and the fuel on, and sets no stop by one mark', () => {
    const j = job();
    for (const flag of ['barring-tool-fitted', 'degree-wheel-on'])
      j.say({ kind: 'say', flag, on: false, seen: 'on the bench' });
    const one = j.tryTo({ kind: 'done', step: 'stop' });
    expect(!one.ok && one.error.message).toContain('Never set the full-advance stop by one cylinder\u2019s mark alone');
    j.say({ kind: 'say', flag: 'throttle-at-stop', on: true });
    j.say({ kind: 'say', flag: 'fuel-disabled', on: false });
    expect(j.state.raised.map((r) => r.id)).toContain('IL.67');
    const cranked = j.tryTo({ kind: 'done', step: 'match' });
    expect(!cranked.ok && cranked.error.message).toContain('Never');
    const idle = j.tryTo({ kind: 'done', step: 'idle' });
    expect(!idle.ok && idle.error.code).toBe('only-with-reason');
  });
});

describe('checks before a distributor is taken apart', () => {
  const VALUES = {
    ...SHEET,
    gearTeeth: '15',
    floatMinMm: '0.1',
    floatMaxMm: '0.3',
    bushPlayMaxMm: '0.06',
    topFloatMaxMm: '0.15',
    advanceKind: 'weights'
  };
  const job = (values: Record<string, string> = {}) =>
    new PlayedJob(engineWith({ ...VALUES, ...values }), 'teardown').done('intake', 'received', 'clean');
  it('lead each finding to a decision with its reason, and to the jobs that follow', () => {
    const j = job();
    j.read('float', 'float-bench', '0.45');
    j.read('platform', 'bush-play', '0.02');
    for (const [school, option] of [
      ['wear-place', 'middle'],
      ['wear-surface', 'rough'],
      ['advance-moves', 'sticks'],
      ['cap-is', 'burnt-side']
    ] as const)
      j.say({ kind: 'choose', school, option });
    const of = (part: string) => j.state.work.decisions.find((d) => d.part === part)!;
    expect(of('shaft')).toMatchObject({ proposed: 'replace', job: 'regear' });
    expect(of('shaft').found).toContain('It wobbles 0.020');
    expect(of('gear')).toMatchObject({ proposed: 'replace', because: expect.stringContaining('partner') });
    expect(of('weights')).toMatchObject({ proposed: 'remark', job: 'recurve' });
    expect(of('cap').because).toContain('phasing');
    expect(of('leads')).toMatchObject({ found: null, proposed: null });
    expect(jobsThatFollow(j.state.work.decisions).map((x) => x.sheet)).toEqual(['regear', 'recurve', 'bench-check']);
  });
  it('judge nothing without a limit, and ask for a word on every finding', () => {
    const j = new PlayedJob(
      engineWith({ ...SHEET, gearTeeth: '15', floatMinMm: '0.1', floatMaxMm: '0.3' }),
      'teardown'
    );
    j.read('platform', 'bush-play', '0.02');
    expect(j.state.work.decisions.find((d) => d.part === 'shaft')).toMatchObject({
      proposed: null,
      because: 'not judged: the data sheet has no limit'
    });
    j.done('intake', 'received', 'clean', 'pattern');
    const open = j.tryTo({ kind: 'done', step: 'decide' });
    expect(!open.ok && open.error.message).toContain('not decided: shaft and bush');
    j.say({ kind: 'choose', school: 'decide-shaft', option: 'remark' });
    expect(j.tryTo({ kind: 'done', step: 'decide' }).ok).toBe(true);
    expect(JSON.stringify(jobCard(j.state, j.engine, mm))).toContain('stays, with a remark: it wobbles');
  });
  it('counts teeth against the data sheet, and asks no weights of a locked advance', () => {
    const j = job();
    j.read('teeth', 'teeth-counted', '14');
    expect(j.state.work.decisions.find((d) => d.part === 'gear')).toMatchObject({
      proposed: 'replace',
      found: '14 teeth, the data sheet says 15'
    });
    expect(job({ advanceKind: 'locked' }).view('advance').state).toBe('not-needed');
  });
});

describe('the interlocks together', () => {
  it('are all ninety-one', () => {
    const ids = new Set(manifests.flatMap((m) => m.rules.map((r) => /^IL\.(\d\d)/.exec(r.id)?.[1])).filter(Boolean));
    const missing = Array.from({ length: 91 }, (_, k) => String(k + 1).padStart(2, '0')).filter((n) => !ids.has(n));
    expect(missing).toEqual([]);
  });
  it('settle figures that are named', () => {
    const j = new PlayedJob(engineWith(TWO_STROKE), 'two-stroke');
    expect(settledFigures(j.state)).toEqual([]);
  });
});
