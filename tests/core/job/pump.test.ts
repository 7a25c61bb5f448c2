import { describe, expect, it } from 'vitest';
import { notSettled, settledFigures } from '$core/job/index.ts';
import { jobCard } from '$core/job/card.ts';
import { liftWork } from '$core/domains/pump/lift-work.ts';
import { chances } from '../../../study/chances.ts';
import { gearText } from '$core/domains/pump/words.ts';
import { whichToBelieve, type ProofWork } from '$core/domains/pump/proof-work.ts';
import lift from '../../scenarios/plunger-lift.json' with { type: 'json' };
import offset from '../../scenarios/locked-offset.json' with { type: 'json' };
import bench from '../../scenarios/pump-bench.json' with { type: 'json' };
import { engineWith, headline, mm, PlayedJob } from '../../support/played.ts';
import { chartText, dialOn, DIESEL, FINE_WHEEL, PUMP, tighten, TURNING } from '../../support/pump-jobs.ts';

/** Where a worked case of a journey stands. */
type Case = { calc: string; in?: object; out?: object };
const cases = (j: { journey: { expect: Case }[] }, calc: string) =>
  j.journey.filter((s) => s.expect.calc === calc && s.expect.out).map((s) => s.expect.out as Record<string, number>);
const typed = (step: string) =>
  (lift.journey as { step: string; typed?: string[] }[]).find((s) => s.step.startsWith(step))!.typed!;

const lifted = (values: Record<string, string> = {}) => dialOn({ ...DIESEL, ...values });
/** True TDC reads 358 on the wheel. */
const cycle = (job: PlayedJob, step: string, dial: readonly string[], turned: string, stands = '358.0') => {
  for (const text of dial) job.say(job.reading(step, 'falling', text, TURNING));
  for (const text of ['0.00', '0.00']) job.say(job.reading(step, 'zero-again', text, TURNING));
  job.say(job.reading(step, 'lift', turned.replace(/^(\d+)r/, '$1 rev'), TURNING));
  job.say(job.reading(step, 'stands', stands, FINE_WHEEL));
  return job;
};
const found = (values: Record<string, string> = {}) =>
  cycle(lifted(values), 'lift', typed('crank backed'), typed('forward to')[0]!);

describe('a pump timed by plunger lift', () => {
  it('is timed as the journey has it, and the wanted lift stands on the chart', () => {
    const job = found();
    const [wanted, means, after] = cases(lift, 'pump.chart');
    expect(job.state.work.liftChart.target).toMatchObject({ liftMm: expect.closeTo(wanted!.liftMm!, 4) });
    const w = job.state.work.lifts['lift']!;
    expect(w.base).toMatchObject({ index: cases(lift, 'pump.zero')[0]!.index, zeroMm: 0.02 });
    expect(w.lift!.mm).toBeCloseTo(cases(lift, 'pump.dial')[0]!.liftMm!, 9);
    expect(w.means!.btdc).toBeCloseTo(means!.btdc!, 4);
    expect(w.timing!.btdc).toBeCloseTo(means!.btdc!, 3);
    const g = job.state.work.gearSlot!;
    const [turn] = cases(lift, 'pump.correct');
    expect(g.changeCrankDeg).toBeCloseTo(turn!.changeCrankDeg!, 3);
    expect(g.gearDeg).toBeCloseTo(turn!.gearDeg!, 3);
    expect(g.arcMm).toBeCloseTo(turn!.arcMm!, 3);
    expect(g.enough).toBe(true);
    expect(headline(job, 'decide')).toBe(
      'Pump early by 1.70° of the crank: its shaft turns anticlockwise (seen from the drive end) 0.85° in the gear, 0.71 mm at the bolts'
    );
    job.done('lift', 'decide');
    job.read('free', 'lift-held', '2.51');
    job.done('free', 'to-mark');
    tighten(job, '2.51', '2.52');
    expect(job.state.work.gearSlot!.drag!.deg).toBeCloseTo(0.01 / means!.slopeMmPerDeg!, 3);
    job.done('tighten');
    cycle(job, 'verify', typed('crank backed'), typed('whole cycle')[0]!);
    expect(job.state.work.lifts['verify']!.timing).toMatchObject({
      btdc: expect.closeTo(after!.btdc!, 3),
      verdict: { state: 'in' }
    });
    job.done('verify', 'valve-in', 'off', 'cover-on', 'close');
    const keys = settledFigures(job.state).map((f) => f.key);
    expect(keys).toEqual(expect.arrayContaining(['pump-found', 'pump-timing', 'pump-zero', 'gear-drag']));
    expect(JSON.stringify(jobCard(job.state, job.engine, mm))).toContain('FW-31 B, lift standing at TDC');
  });
  it('says what its doubt is made of, and it adds up', () => {
    const { uDeg, parts } = found().state.work.lifts['lift']!.timing!;
    expect(Math.hypot(...parts.map((p) => p.u))).toBeCloseTo(uDeg, 12);
    // dial: two readings of 0.003 scatter and 0.01 steps, its own ± 0.02 once, over the slope; the crank beside it
    const slope = cases(lift, 'pump.chart')[1]!.slopeMmPerDeg!;
    const fixed = parts.find((p) => p.name.includes('own'))!.u;
    expect(fixed).toBeCloseTo(0.02 / Math.sqrt(3) / slope, 4);
  });
  it('claims a ± that holds the truth: simulated hands, a dial and a wheel with errors of their own', () => {
    const c = chances(4711);
    const dial = { ...TURNING, accuracy: 0.02, scatter: 0.006, scatterDof: 20 };
    const base = found({ pumpMinBtdc: '10', pumpMaxBtdc: '24' });
    const engine = base.engine;
    const chart = base.state.work.liftChart;
    let held = 0;
    const trials = 600;
    for (let k = 0; k < trials; k++) {
      // the pump truly stands at 19: what differs is the hand, the step and the dial's own error
      const own = c.within(dial.accuracy);
      const reading = (slot: string, value: number, n: number) => ({
        step: 'lift',
        slot,
        value: c.step(value + own * (slot === 'lift' ? 1 : 0) + c.normal(dial.scatter), dial.resolution),
        resolution: 0.01,
        gauge: dial,
        seq: n
      });
      const readings = [
        reading('zero-again', 0, 1),
        reading('zero-again', 0, 2),
        reading('lift', 2.5099, 3),
        { step: 'lift', slot: 'stands', value: 358, resolution: 0.1, gauge: FINE_WHEEL, seq: 4 }
      ];
      // where true TDC lies, and the wheel as this hand reads it
      const uCrank = 0.1;
      const place = {
        crankDeg: 720 + c.normal(uCrank),
        uDeg: uCrank,
        strokeKnown: true,
        lastMove: 'forward',
        from: 'wheel'
      };
      const crank = { placeAt: () => place as never, uTdc: uCrank };
      const w = liftWork(engine, { readings } as never, { id: 'lift' }, chart, crank);
      if (Math.abs(w.timing!.btdc - 19) <= 2 * w.timing!.uDeg) held++;
    }
    expect(held / trials).toBeGreaterThan(0.92);
    expect(held / trials).toBeLessThan(0.995);
  });
  it('moves with the crank by degree for degree, and asks for TDC', () => {
    const early = cycle(lifted(), 'lift', typed('crank backed'), '2r 0.51', '357.0');
    expect(early.state.work.lifts['lift']!.timing!.btdc).toBeCloseTo(20, 1);
    const standing = cycle(lifted(), 'lift', typed('crank backed'), '2r 0.51');
    expect(standing.state.work.lifts['lift']!.timing!.btdc).toBeCloseTo(19, 1);
    expect(headline(standing, 'chart')).toContain('with the crank at TDC');
  });
  it('refuses a chart of another pump, one reader, and a chart that is none', () => {
    const other = new PlayedJob(engineWith({ ...DIESEL, pumpCode: 'FW-31 BX' }), 'plunger-lift').done('intake');
    other.say({ kind: 'choose', school: 'plate-read', option: 'two' });
    const refused = other.tryTo({ kind: 'done', step: 'chart' });
    expect(!refused.ok && refused.error.message).toMatch(/FW-31 BX/);
    expect(other.state.flags.has('chart-confirmed')).toBe(false);
    const alone = new PlayedJob(engineWith(DIESEL), 'plunger-lift').done('intake');
    const one = alone.tryTo({ kind: 'done', step: 'chart' });
    expect(!one.ok && one.error.message).toContain('one person alone');
    const flat = engineWith({ ...DIESEL, liftChart: '14 1.6; 16 1.6; 18 1.7' });
    expect(headline(new PlayedJob(flat, 'plunger-lift'), 'chart')).not.toContain('must stand');
  });
  it('takes a chart pasted from a table, heading and commas and all', () => {
    const pasted = 'btdc,lift\n14,1.62\n16,1.95\n18,2.31\n20,2.72\n22,3.16\n24,3.63';
    expect(engineWith({ ...PUMP, liftChart: pasted }).values['liftChart']!.value).toEqual(
      engineWith({ ...PUMP, liftChart: chartText(lift.chart.points) }).values['liftChart']!.value
    );
  });
  it('does not go on with a dial at the end of its travel', () => {
    const job = new PlayedJob(engineWith(DIESEL), 'plunger-lift');
    job.read('dial', 'spare-low', '0.8');
    job.read('dial', 'spare-high', '0');
    expect(headline(job, 'dial')).toBe('The dial has no travel left above: mount it anew');
    job.read('dial', 'spare-high', '2.4');
    expect(() => headline(job, 'dial')).toThrow('has no finding');
  });
  it('finds no base circle while the dial still falls, and no angle for a lift outside the chart', () => {
    const job = lifted();
    for (const text of ['4.12', '3.31', '2.44', '1.58']) job.say(job.reading('lift', 'falling', text, TURNING));
    expect(headline(job, 'lift')).toContain('Still falling');
    expect(job.tryTo({ kind: 'done', step: 'lift' }).ok).toBe(false);
    const far = cycle(lifted(), 'lift', typed('crank backed'), '5r 0.10');
    expect(far.state.work.lifts['lift']!.timing).toBeNull();
    expect(far.tryTo({ kind: 'done', step: 'lift' })).toMatchObject({ ok: false });
    expect(headline(far, 'lift')).toContain('5.1 mm');
  });
  it('says how far the slot falls short, and which tooth helps', () => {
    const job = found({ slotRetardDeg: '0.5', pumpGearTeeth: '400' });
    const g = job.state.work.gearSlot!;
    expect(g.enough).toBe(false);
    expect(g.shortCrankDeg).toBeCloseTo((g.gearDeg - 0.5) / 0.5, 9);
    expect(g.teeth).toMatchObject({ move: -1 });
    expect(g.teeth!.leftGearDeg).toBeCloseTo(-g.gearDeg + 360 / 400, 9);
    const none = found({ slotRetardDeg: '0.5', slotAdvanceDeg: '0.5', pumpGearTeeth: '20' });
    expect(none.state.work.gearSlot!.teeth).toBeNull();
    const refused = none.done('lift').tryTo({ kind: 'done', step: 'decide' });
    expect(!refused.ok && refused.error.message).toContain('no tooth reaches it');
  });
  it('leaves the gear alone where the difference is less than its doubt', () => {
    const g = { ...found().state.work.gearSlot!, changeCrankDeg: -0.2, uCrankDeg: 0.15 };
    expect(gearText(g, mm)).toContain('less than its doubt');
  });
});

describe('a locked pump with an offset', () => {
  const [first, second] = cases(offset, 'pump.total');
  const values = {
    ...DIESEL,
    pumpBtdc: '15.2',
    pumpMinBtdc: '14.5',
    pumpMaxBtdc: '15.9',
    lockBtdc: '9.4',
    gearOffsetBtdc: '4.5'
  };
  const ledger = () => {
    const job = new PlayedJob(engineWith(values), 'locked-offset').done('intake');
    job.say({ kind: 'choose', school: 'ledger-read', option: 'two' });
    return job;
  };
  it('has a ledger that says what is short and where the crank must stand, and brings the crank there', () => {
    const job = ledger();
    expect(job.state.work.ledger.total).toMatchObject({
      btdc: expect.closeTo(first!.totalBtdc!, 9),
      shortDeg: expect.closeTo(first!.shortDeg!, 9)
    });
    expect(job.state.work.ledger.crankSetBtdc).toBeCloseTo(first!.crankSetBtdc!, 9);
    const short = job.tryTo({ kind: 'done', step: 'ledger' });
    expect(!short.ok && short.error.message).toContain('do not add up');
    job.read('ledger', 'offset-decided', '5.8b');
    expect(job.state.work.ledger.total!.btdc).toBeCloseTo(second!.totalBtdc!, 9);
    expect(job.state.reference).toBeCloseTo(5.8, 9);
    expect(job.done('ledger').view('ledger').state).toBe('done');
  });
  const pressed = () => {
    const job = ledger();
    job.read('ledger', 'offset-decided', '5.8b');
    job.done('ledger', 'safe', 'plugs', 'bar', 'cover', 'wheel');
    job.pairs('1.8', ['343.5', '12.5'], ['343.5', '12.5'], ['343.5', '12.5']).done('tdc', 'probe-out');
    job.say({ kind: 'sign', sign: 'airPushedOut', seen: true });
    job.say({ kind: 'sign', sign: 'bothValvesClosed', seen: true });
    job.done('stroke', 'pin', 'lock', 'fittings', 'hang');
    job.say({ kind: 'fact', fact: 'rearSupport', value: true });
    return job.done('bracket');
  };
  it('is met by its interlocks in every wrong order, and led back', () => {
    const job = pressed();
    // the pin is in: nothing turns
    const turned = job.tryTo({ kind: 'crank', crankDeg: 20, move: 'forward' });
    expect(!turned.ok && turned.error.message).toContain('Never turn the engine');
    job.done('pin-out', 'to-offset');
    // a gear on a taper that was not cleaned
    const dirty = job.tryTo({ kind: 'done', step: 'gear' });
    expect(!dirty.ok && dirty.error.message).toContain('Never fit a gear without a key on a taper that is not clean');
    job.done('taper');
    // a lock taken out before the first torque
    const early = job.tryTo({ kind: 'done', step: 'unlock' });
    expect(early).toMatchObject({ ok: false });
    expect(!early.ok && early.error.message).toContain('Never take the lock out before the gear has its first torque');
    job.done('key', 'gear');
    job.read('first', 'torque-first', '20');
    job.done('first');
    // locked and tight: the engine stands still, and the final torque waits
    expect(job.state.raised.map((r) => r.id)).toEqual(expect.arrayContaining(['IL.48', 'IL.50', 'IL.91']));
    job.read('final', 'torque-final', '85');
    const through = job.tryTo({ kind: 'done', step: 'final' });
    expect(!through.ok && through.error.message).toContain('final torque, with the pump locked');
    // it happened: somebody turned it against the lock
    job.say({ kind: 'happened', rule: 'IL.48' });
    expect(job.state.flags.has('taper-prelim')).toBe(false);
    expect(job.view('first').state).not.toBe('open');
    expect(job.state.steps[job.state.current!]!.step.id).toBe('stroke');
  });
  it('proves lock and pin each at its own place', () => {
    const job = pressed().done('pin-out', 'to-offset', 'taper', 'key', 'gear');
    job.read('first', 'torque-first', '20');
    job.done('first', 'unlock');
    job.read('final', 'torque-final', '85');
    job.done('final');
    job.say(job.reading('prove-lock', 'stands', '352.4', FINE_WHEEL));
    const lock = job.state.work.proofs['prove-lock']!;
    expect(lock).toMatchObject({ wantBtdc: 5.8, offDeg: expect.closeTo(-0.2, 1), verdict: { state: 'in' } });
    job.done('prove-lock');
    job.say(job.reading('prove-pin', 'stands', '358.1', FINE_WHEEL));
    expect(headline(job, 'prove-pin')).toMatch(/^Pin enters 0\.10° late, ± 0\.3\d°: in, ± 1\.5° may be$/);
    job.done('prove-pin', 'restore', 'off', 'cover-on', 'close');
    expect(job.state.closed).toBe(true);
  });
  it('says which of two proofs to believe, and why', () => {
    const proof = (what: 'lock' | 'pin', offDeg: number, state: 'in' | 'out'): ProofWork => ({
      what,
      wantBtdc: 0,
      entered: { btdc: offDeg, uDeg: 0.1, tries: 1, strokeKnown: true },
      offDeg,
      within: 0.5,
      verdict: { state, margin: 0 } as never
    });
    expect(whichToBelieve(proof('lock', 0.1, 'in'), proof('pin', 0, 'in'))).toBeNull();
    expect(whichToBelieve(proof('lock', 2, 'out'), proof('pin', 0, 'in'))).toContain('The gear slipped');
    expect(whichToBelieve(proof('lock', 0, 'in'), proof('pin', 2, 'out'))).toContain('look at the pin first');
    expect(whichToBelieve(proof('lock', 2, 'out'), proof('pin', 2.1, 'out'))).toContain('not the wheel');
    expect(whichToBelieve(proof('lock', 2, 'out'), proof('pin', -3, 'out'))).toContain('believe none');
  });
});

describe('a pump on the bench', () => {
  const job = () => {
    const j = new PlayedJob(
      engineWith({ ...DIESEL, cylinders: '3', firingOrder: '1-3-2', elementWithinDeg: '0.3' }),
      'pump-bench'
    );
    return j.done('intake', 'mount');
  };
  const round = (j: PlayedJob, step: string, n: number) => {
    const { in: given } = bench.journey[n]!.expect as unknown as { in: { angles: { pumpDeg: number }[] } };
    for (const a of given.angles) j.say(j.reading(step, 'element', String(a.pumpDeg), FINE_WHEEL));
    return j;
  };
  it.each([0, 1])('is read as the journey has it, round %i', (n) => {
    const w = round(job(), n ? 'again' : 'spacing', n).state.work.elements[n ? 'again' : 'spacing']!;
    const { out } = bench.journey[n]!.expect as unknown as {
      out: { elements: { element: number; errorDeg: number; shimChangeMm: number }[] };
    };
    for (const e of out.elements) {
      const row = w.rows.find((r) => r.element === e.element)!;
      expect(row.errorDeg).toBeCloseTo(e.errorDeg, 6);
      expect(row.shimMm).toBeCloseTo(e.shimChangeMm, 6);
    }
    expect(w.state).toBe(n ? 'in' : 'out');
  });
  it('names the element that is furthest off and the sense of its shims, and asks for every one', () => {
    const j = job();
    j.say(j.reading('spacing', 'element', '0', FINE_WHEEL));
    expect(headline(j, 'spacing')).toContain('Next: element 3, near 120');
    expect(j.tryTo({ kind: 'done', step: 'spacing' })).toMatchObject({ ok: false });
    for (const a of ['120.7', '239.4']) j.say(j.reading('spacing', 'element', a, FINE_WHEEL));
    expect(headline(j, 'spacing')).toBe('Element 3 0.70° late: thicker shims');
  });
});

describe('bleeding and first start', () => {
  const bled = () => {
    const job = new PlayedJob(engineWith(DIESEL), 'bleeding').done('intake', 'secure');
    return job;
  };
  it('wants two ways of stopping that do not depend on each other', () => {
    const job = bled();
    job.say({ kind: 'choose', school: 'stop-one', option: 'lever' });
    job.say({ kind: 'choose', school: 'stop-two', option: 'lever' });
    const same = job.tryTo({ kind: 'done', step: 'stops' });
    expect(!same.ok && same.error.message).toContain('one and the same');
    expect(job.tryTo({ kind: 'say', flag: 'stop-proved', on: true, seen: 'looked' })).toMatchObject({
      ok: false,
      error: { code: 'only-by-its-step' }
    });
    const start = job.tryTo({ kind: 'done', step: 'start' });
    expect(!start.ok && start.error.message).toContain('Never start a diesel for the first time');
    job.say({ kind: 'choose', school: 'stop-two', option: 'plate' });
    job.look('stops');
    expect(job.tryTo({ kind: 'done', step: 'stops' }).ok).toBe(true);
  });
  it('follows the flow: screws in order, every line, none twice needed, none that is not there', () => {
    const job = bled();
    job.read('low', 'screw-clear', '1');
    job.read('low', 'screw-clear', '3');
    expect(headline(job, 'low')).toContain('Screw 3 before the one ahead of it');
    expect(job.tryTo({ kind: 'done', step: 'low' })).toMatchObject({ ok: false });
    for (const n of ['1', '2', '2', '4']) job.read('high', 'line-solid', n);
    expect(headline(job, 'high')).toBe('Solid: 1, 2 and 4; still spitting air: 3');
    job.read('high', 'line-solid', '7');
    expect(headline(job, 'high')).toBe('There is no cylinder 7');
  });
  it.each([
    [{ starts: 'no', 'smoke-cold': 'none' }, 'air'],
    [{ starts: 'no', 'smoke-cold': 'white' }, 'late'],
    [{ starts: 'yes', 'smoke-cold': 'white', 'smoke-warm': 'clear' }, 'cold'],
    [{ starts: 'yes', 'smoke-cold': 'none', 'smoke-warm': 'clear', knock: 'hard', evenness: 'even' }, 'early'],
    [{ starts: 'yes', 'smoke-load': 'black', pull: 'weak' }, 'late'],
    [{ evenness: 'one' }, 'nozzle'],
    [{ pull: 'fades' }, 'slip']
  ])('points from %o to %s, and says what to look at next', (seen, cause) => {
    const job = bled();
    for (const [school, option] of Object.entries(seen)) job.say({ kind: 'choose', school, option });
    const [first] = job.state.work.pointed;
    const strongest = job.state.work.pointed.filter((p) => p.weight === first!.weight).map((p) => p.id);
    expect(strongest).toContain(cause);
    expect(first!.check.length).toBeGreaterThan(10);
  });
  it('points to nothing where all is well', () => {
    const job = bled();
    for (const [school, option] of Object.entries({
      starts: 'yes',
      'smoke-cold': 'none',
      'smoke-warm': 'clear',
      knock: 'soft',
      evenness: 'even'
    }))
      job.say({ kind: 'choose', school, option });
    expect(job.state.work.pointed).toEqual([]);
    expect(headline(job, 'smoke')).toContain('Nothing seen or heard');
  });
  it('never takes ether with glow plugs', () => {
    const job = bled();
    for (const [school, option] of Object.entries({ 'stop-one': 'lever', 'stop-two': 'plate', 'cold-aid': 'ether' }))
      job.say({ kind: 'choose', school, option });
    job.done('stops');
    job.say({ kind: 'say', flag: 'glow-in-use', on: true });
    const refused = job.tryTo({ kind: 'done', step: 'start' });
    expect(!refused.ok && refused.error.message).toContain('Never use ether with glow plugs');
  });
});

describe('a torque that is read', () => {
  const WRENCH = { id: 'wrench', name: 'Wrench', resolution: 1, accuracy: 0.6, scatter: 0.2, scatterDof: 20 };
  const at = (text: string, more: Record<string, string> = {}, gauge: typeof WRENCH | null = WRENCH) => {
    const job = new PlayedJob(engineWith({ ...DIESEL, ...more }), 'locked-offset');
    job.say(job.reading('final', 'torque-final', text, gauge));
    job.look('final');
    return { said: headline(job, 'final'), open: notSettled(job.state, job.view('final')) };
  };
  it('is judged by the wrench alone where the data sheet has no tolerance, and says so', () => {
    expect(at('85').said).toMatch(/^85 ± \d\.\d N·m reaches the final torque, 85 N·m asked, within that ±$/);
    expect(at('80')).toMatchObject({ open: 'the final torque is not reached' });
    expect(at('92')).toMatchObject({ open: 'the final torque is passed' });
  });
  it.each<Record<string, string>>([{}, { torqueWithinNm: '5' }])(
    'is not judged where nobody named the wrench (%o)',
    (more) => {
      const { said, open } = at('85', more, null);
      expect(said).toContain('name the wrench');
      expect(said).not.toContain('reaches');
      expect(open).toContain('nobody named');
    }
  );
  it.each([
    ['82', 'reaches the final torque, 85 ± 5 N·m asked', null],
    ['80', 'is too close to call for the final torque, 85 ± 5 N·m asked', 'the final torque is too close to call'],
    ['77', 'is short of the final torque, 85 ± 5 N·m asked', 'the final torque is not reached'],
    ['93', 'is above the final torque, 85 ± 5 N·m asked', 'the final torque is passed']
  ])('of %s within ± 5 is judged with the doubt of the wrench', (text, said, open) => {
    const out = at(text, { torqueWithinNm: '5' });
    expect(out.said).toContain(said);
    expect(out.open).toBe(open);
  });
});

describe('a pump that an earlier job proved', () => {
  const found = (provedBtdc: number, u: number | null) => {
    const engine = {
      ...engineWith(DIESEL),
      earlier: { 'pump-timing': { value: provedBtdc, u, at: '2025-09-15T10:00:00Z', output: null } }
    };
    const job = new PlayedJob(engine, 'plunger-lift');
    job.pairs('1.8', ['343.5', '12.5'], ['343.5', '12.5'], ['343.5', '12.5']);
    job.say({ kind: 'sign', sign: 'airPushedOut', seen: true });
    job.say({ kind: 'sign', sign: 'bothValvesClosed', seen: true });
    for (const mm of ['3.31', '1.58', '0.31', '0.02', '0.02', '0.02'])
      job.say(job.reading('lift', 'falling', mm, TURNING));
    job.say(job.reading('lift', 'lift', '2.51', TURNING));
    job.say(job.reading('lift', 'stands', '358', FINE_WHEEL));
    return job.state.work.lifts.lift!;
  };
  it('says by how much it drifted, and calls nothing a drift that is within both doubts', () => {
    const still = found(19, 0.4);
    const { btdc } = still.timing!;
    expect(still.drift).toMatchObject({ provedBtdc: 19, deg: btdc - 19 });
    expect(found(btdc + 0.3, 0.2).drift!.real).toBe(false);
    const gone = found(btdc - 4, 0.2).drift!;
    expect(gone.real).toBe(true);
    expect(gone.deg).toBeCloseTo(4, 9);
    expect(gone.uDeg).toBeCloseTo(Math.hypot(still.timing!.uDeg, 0.2), 9);
  });
  it('has no drift where the doubt of what was proved is not known', () => {
    expect(found(12, null).drift).toBeNull();
  });
  it('gives the repeat of the zero the doubt of the dial\u2019s step, however alike the readings are', () => {
    const job = new PlayedJob(engineWith(DIESEL), 'plunger-lift');
    job.say(job.reading('lift', 'zero-again', '0.00', TURNING));
    job.say(job.reading('lift', 'zero-again', '0.00', TURNING));
    const zero = settledFigures(job.state).find((f) => f.key === 'pump-zero')!;
    expect(zero.value).toBe(0);
    expect(zero.u).toBeCloseTo((TURNING.resolution / Math.sqrt(12)) * Math.SQRT2, 12);
  });
  it('has no drift where no job proved it', () => {
    const job = new PlayedJob(engineWith(DIESEL), 'plunger-lift');
    expect(job.state.work.lifts.lift!.drift).toBeNull();
  });
});

describe('elements read with a gauge that nobody named', () => {
  const read = (gauge: undefined | null) => {
    const job = new PlayedJob(engineWith({ ...DIESEL, elementWithinDeg: '0.9' }), 'pump-bench');
    for (const text of ['0', '90', '180', '270']) job.say(job.reading('spacing', 'element', text, gauge));
    return job;
  };
  it('claim no doubt and are never in, however even they look', () => {
    const named = read(undefined);
    expect(named.state.work.elements.spacing).toMatchObject({ scatterUnknown: false, state: 'in' });
    const unnamed = read(null);
    const w = unnamed.state.work.elements.spacing!;
    expect(w).toMatchObject({ scatterUnknown: true, state: 'unsure' });
    expect(headline(unnamed, 'spacing')).toContain('how surely is not known');
    expect(settledFigures(unnamed.state).find((f) => f.key === 'elements')).toMatchObject({
      u: null,
      verdict: 'unsure'
    });
  });
});
