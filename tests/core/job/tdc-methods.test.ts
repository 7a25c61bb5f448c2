import { passedBy, passedText, planLacks } from '$core/domains/crank/plan-words.ts';
import * as crankWords from '$core/domains/crank/words.ts';
import { describe, expect, it } from 'vitest';
import { referenceSource } from '$core/job/reference.ts';
import { settledFigures, words } from '$core/job/index.ts';
import { dropMm, slider } from '$core/calculations/piston/slider.ts';
import { engineWith, GAUGES, PlayedJob, SHEET } from '../../support/played.ts';

const start = (method: string, engine = engineWith(SHEET)) => {
  const job = new PlayedJob(engine);
  job.done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel');
  job.say({ kind: 'choose', school: 'tdc', option: method });
  return job;
};
const head = (job: PlayedJob) =>
  words.headline(job.state, job.engine, job.view('tdc'), (mm, d = 2) => `${mm.toFixed(d)} mm`);
const earlier = { jobId: 'j', at: '2025-05-19T08:00:00Z', errorDeg: 1.5, uDeg: 0.15 };

describe('true TDC by each way', () => {
  it('stop: pairs without a depth, and the stop is a danger from the first reading on', () => {
    const job = start('stop');
    expect(job.state.work.tdc.nextSlot).toBe('before');
    job.read('tdc', 'before', '338');
    expect(job.state.flags.has('piston-stop-in')).toBe(true);
    expect(job.state.interlocks.map((r) => r.id)).toContain('IL.17s');
    job.read('tdc', 'after', '21.5');
    expect(job.state.work.tdc.found!.tdcWheelDeg).toBeCloseTo(359.75, 9);
    expect(job.state.flags.has('probe-in')).toBe(false);
  });

  it('fit: wheel and dial in turn, the sense of the dial from the readings, the bad one thrown out', () => {
    const s = slider({ strokeMm: 92, rodMm: 171 });
    if (!s.ok) throw new Error();
    for (const sense of [1, -1]) {
      const job = start('fit');
      for (const [k, t] of [-38, -29, -18, -9, 11, 22, 30, 41].entries()) {
        job.read('tdc', 'fit-wheel', String((((357 + t) % 360) + 360) % 360));
        expect(job.state.work.tdc.nextSlot).toBe('fit-dial');
        const mm = 20 - sense * dropMm(s.out, t) + (k === 5 ? 1 : 0);
        job.read('tdc', 'fit-dial', mm.toFixed(2));
      }
      expect(job.state.work.tdc.found!.tdcWheelDeg).toBeCloseTo(357, 1);
      expect(job.state.work.tdc.fit!.rows.filter((r) => r.thrownOut).map((r) => r.n)).toEqual([6]);
      expect(settledFigures(job.state)[0]).toMatchObject({ key: 'tdc', calc: 'tdc.fit' });
      expect(job.state.work.crank.crankDeg).toBeCloseTo(41, 0);
    }
  });

  it('fit: readings all on one side are refused with what to do', () => {
    const job = start('fit');
    for (const [w, d] of [
      ['8', '5.8'],
      ['14', '5.03'],
      ['20', '3.69'],
      ['26', '1.82']
    ] as const) {
      job.read('tdc', 'fit-wheel', w);
      job.read('tdc', 'fit-dial', d);
    }
    expect(job.state.work.tdc.error?.code).toBe('one-sided');
    expect(head(job)).toBe('Take readings on the other side of the top too');
    expect(job.tryTo({ kind: 'done', step: 'tdc' })).toMatchObject({ ok: false, error: { code: 'not-proved' } });
  });

  it('fit: a dial that has come to its end is named, and the step is not settled', () => {
    const job = start('fit');
    for (const [w, d] of [
      ['330', '2.10'],
      ['340', '6.40'],
      ['350', '8.00'],
      ['0', '8.00'],
      ['10', '8.00'],
      ['20', '5.20'],
      ['30', '0.90']
    ] as const) {
      job.read('tdc', 'fit-wheel', w);
      job.read('tdc', 'fit-dial', d);
    }
    expect(job.state.work.tdc.fit!.bottomed).toContain('Readings 3, 4, 5 all show 8.00 mm');
    expect(head(job)).toBe('The dial seems to have come to the end of its travel');
    expect(job.tryTo({ kind: 'done', step: 'tdc' })).toMatchObject({ ok: false });
  });

  it('highest point: the flat top is the doubt, and a fine limit is not met', () => {
    const job = start('highest');
    expect(job.tryTo({ kind: 'done', step: 'tdc' })).toMatchObject({ ok: false, error: { code: 'readings-missing' } });
    job.read('tdc', 'top-dial', '9.84');
    job.read('tdc', 'top', '359');
    job.read('tdc', 'top', '2');
    expect(job.state.work.tdc.found!.tdcWheelDeg).toBeCloseTo(0.5, 9);
    expect(job.state.work.tdc.found!.uDeg).toBeGreaterThan(0.8);
    expect(job.state.work.tdc.verdict!.state).toBe('unsure');
  });

  it('rod: only a rough guide', () => {
    const job = start('rod');
    job.read('tdc', 'top', '2');
    expect(job.state.work.tdc.found!.uDeg).toBeGreaterThan(5);
  });

  it('mark: taken as an earlier job found it, and not at all without one', () => {
    const without = start('mark');
    expect(head(without)).toContain('No earlier job has proved this mark');
    expect(without.tryTo({ kind: 'done', step: 'tdc' })).toMatchObject({ ok: false });
    const job = start('mark', { ...engineWith({ ...SHEET, damperRing: 'solid' }), earlierMarks: [earlier] });
    expect(job.state.work.tdc.found).toMatchObject({ tdcWheelDeg: 358.5, uDeg: 0.15 });
    expect(job.state.work.mark).toMatchObject({ errorDeg: 1.5, since: null });
    expect(job.tryTo({ kind: 'done', step: 'tdc' }).ok).toBe(true);
  });

  it('counts the gauges of its own way alone: a finer dial of another way narrows nothing', () => {
    const fine = { ...GAUGES.dial!, id: 'fine', accuracy: 0.001, resolution: 0.001 };
    const pairs = () => start('pairs').pairs('1.8', ['342.5', '11.5'], ['343', '11.5']);
    const alone = pairs().state.work.tdc.found;
    const job = start('highest');
    job.say(job.reading('tdc', 'top-dial', '9.84', fine));
    job.say({ kind: 'choose', school: 'tdc', option: 'pairs' });
    job.pairs('1.8', ['342.5', '11.5'], ['343', '11.5']);
    job.say({ kind: 'choose', school: 'tdc', option: 'highest' });
    job.say(job.reading('tdc', 'top-dial', '9.841', fine));
    job.say({ kind: 'choose', school: 'tdc', option: 'pairs' });
    expect(job.state.work.tdc.found).toEqual(alone);
    expect(job.state.work.tdc.dwell).toEqual(pairs().state.work.tdc.dwell);
  });

  it('leaves readings of another way in the log, unused', () => {
    const job = start('pairs').pairs('1.8', ['342.5', '11.5']);
    job.say({ kind: 'choose', school: 'tdc', option: 'stop' });
    expect(job.state.work.tdc.depth).toBeNull();
    job.say({ kind: 'choose', school: 'tdc', option: 'fit' });
    expect(job.state.work.tdc.found).toBeNull();
    expect(job.state.readings).toHaveLength(3);
  });
});

describe('the mark against earlier jobs', () => {
  it('says that the ring has moved when the change is beyond both uncertainties', () => {
    const job = new PlayedJob({ ...engineWith(SHEET), earlierMarks: [earlier] }).toTdc();
    expect(job.state.work.mark!.since).toMatchObject({ moved: true });
    expect(job.state.work.mark!.since!.movedByDeg).toBeCloseTo(1.1667, 4);
    expect(crankWords.markFinding(job.state.work.mark!)).toBe(
      'The mark has moved 1.2° since it was last proved: the damper\u2019s ring may have slipped'
    );
  });
  it('does not when it is within them', () => {
    const job = new PlayedJob({ ...engineWith(SHEET), earlierMarks: [{ ...earlier, errorDeg: 2.4 }] }).toTdc();
    expect(job.state.work.mark!.since!.moved).toBe(false);
  });
});

describe('pairs that disagree', () => {
  it('names the one of three that pulls, and both of two', () => {
    const three = start('pairs').pairs('1.8', ['342.5', '11.5'], ['347.5', '17'], ['343', '11.5']);
    expect(three.state.work.tdc.rows.map((r) => r.farOff)).toEqual([false, true, false]);
    expect(head(three)).toBe('Pair 2 lies far off: has the wheel slipped?');
    const two = start('pairs').pairs('1.8', ['342.5', '11.5'], ['347.5', '17']);
    expect(two.state.work.tdc.rows.map((r) => r.farOff)).toEqual([true, true]);
    expect(head(two)).toBe('The two pairs disagree: has the wheel slipped?');
  });
});

describe('what was taken at a step', () => {
  it('is counted as its trade counts it, and in readings where it does not', () => {
    let job = new PlayedJob();
    const taken = (id: string) => {
      const { state } = job;
      return words.takenText(
        state,
        state.steps.find((s) => s.step.id === id)!
      );
    };
    expect(taken('tdc')).toBe('');
    job = start('pairs');
    job.read('tdc', 'depth', '1.8');
    job.read('tdc', 'before', '342.5');
    expect(taken('tdc')).toBe('a pair begun');
    job.read('tdc', 'after', '11.5');
    expect(taken('tdc')).toBe('1 pair taken');
    job.read('tdc', 'before', '343');
    expect(taken('tdc')).toBe('1 pair taken, one begun');
    job = new PlayedJob().toTdc();
    expect(taken('tdc')).toMatch(/^[2-9] pairs taken$/);
    expect(taken('strobe')).toBe('');
    job.read('strobe', 'strobe', '12.5b');
    expect(taken('strobe')).toBe('1 reading');
    job.read('strobe', 'strobe-again', '12b');
    expect(taken('strobe')).toBe('2 readings');
  });
});

describe('moving the crank', () => {
  it('takes going past the target as an ordinary thing, with the next move of each school', () => {
    const job = new PlayedJob().toStroke();
    job.read('ref', 'stands', '356.5');
    const target = crankWords.crankTarget(job.state, { surface: 'plan' }, 720)!;
    const past = passedBy(target, job.state.work.crank, 720)!;
    expect(past).toBeCloseTo(6.1667, 4);
    expect(passedText(past, 'backUp', 15)).toBe(
      'You are 6.2° past it. Do not step back onto it: go back 30.7°, well beyond all slack, then come forward 24.5°.'
    );
    expect(passedText(past, 'forward', 15)).toContain('go on forward and round again');
    const plan = crankWords.planTo(target, job.state, job.engine, 'front')!;
    expect(plan.steps.map((s) => [s.move, Math.round(s.degrees * 10) / 10])).toEqual([
      ['backward', 30.7],
      ['forward', 24.5]
    ]);
    job.say({ kind: 'choose', school: 'overshoot', option: 'forward' });
    expect(crankWords.planTo(target, job.state, job.engine, 'front')!.steps).toMatchObject([
      { move: 'forward', passes: [0, 360] }
    ]);
  });

  it('says what the way to the target lacks, by the names that the data sheet has, and nothing else', () => {
    const without = (sheet: string, ...names: string[]) => {
      const values = Object.entries({ ...SHEET, pumpBtdc: '18' }).filter(([name]) => !names.includes(name));
      return planLacks(new PlayedJob(engineWith(Object.fromEntries(values)), sheet).state);
    };
    expect(without('fit-from-scratch', 'runningDirection')).toBe(
      'The turn cannot be worked out: the data sheet lacks “Crank runs, seen from the front”. Enter it with its source, and the way there follows.'
    );
    // a slack that nobody knows is no reason to stand still: a rule of thumb takes its place
    expect(without('fit-from-scratch', 'backlashDeg')).not.toContain('Slack');
    const all = without('plunger-lift', 'pumpBtdc', 'runningDirection', 'staticBtdc');
    expect(all).toMatch(/lacks “[^“]*pump[^“]*” and “Crank runs, seen from the front”\./i);
    expect(all).not.toContain('Initial timing');
  });

  it('says where the timing comes from that it is brought to: of this sheet, and of nobody’s but this job’s', () => {
    const pump = new PlayedJob(engineWith({ ...SHEET, gearOffsetBtdc: '12' }), 'locked-offset');
    const source = () => referenceSource(pump.sheet, pump.engine, pump.state.readings);
    expect(source()).toBe('works card 14');
    const step = pump.sheet.steps.find((s) => s.slots.some((x) => x.slot === 'offset-decided'))!;
    pump.read(step.id, 'offset-decided', '11.5b');
    expect(source()).toBe('decided on this job by Ines Farrow');
    const none = new PlayedJob(engineWith(SHEET), 'plunger-lift');
    expect(referenceSource(none.sheet, none.engine, [])).toBeNull();
  });

  it('says which TDC is meant, and never one that nobody proved', () => {
    const name = (sheet: Record<string, string>, proved: boolean, cycleDeg = 720) => {
      const job = new PlayedJob(engineWith({ ...SHEET, ...sheet }));
      return crankWords.crankTarget((proved ? job.toStroke() : job.toTdc()).state, { surface: 'plan' }, cycleDeg)!.name;
    };
    expect(name({ staticBtdc: '0' }, true)).toBe('to firing TDC');
    expect(name({ staticBtdc: '0.04' }, false)).toBe('to a TDC');
    expect(name({ staticBtdc: '-2.5' }, true)).toBe('to 2.5° after firing TDC');
    expect(name({ staticBtdc: '8' }, false)).toBe('to 8° before a TDC');
    expect(name({ staticBtdc: '8' }, false, 360)).toBe('to 8° before TDC');
  });

  it('takes up slack first when how the crank came there is not known', () => {
    const job = new PlayedJob().toStroke();
    job.read('ref', 'stands', '345.5');
    job.read('ref', 'stands-unsure', '345.5');
    expect(job.state.work.crank.lastMove).toBe('unknown');
    const plan = crankWords.planTo(
      crankWords.crankTarget(job.state, { surface: 'plan' }, 720),
      job.state,
      job.engine,
      'front'
    )!;
    // 4.8° short of the target, less than the slack: only a whole cycle further is surely taken up
    expect(plan.totalDeg).toBeCloseTo(724.8333, 4);
  });
});

describe('a two-stroke', () => {
  it('knows its place fully from the wheel alone', () => {
    const job = new PlayedJob(
      engineWith({ ...SHEET, cycle: 'two-stroke', cylinders: '3', firingOrder: '1-2-3', damperDiameterMm: '240' }),
      'verify-marks'
    );
    job
      .done('intake', 'safe', 'plugs', 'bar', 'look', 'wheel')
      .pairs('1.4', ['345', '16'], ['345', '16'], ['345', '15.5']);
    expect(job.state.work.crank).toMatchObject({ strokeKnown: true });
    job.done('tdc', 'probe-out', 'mark');
    expect(job.state.interlocks.map((r) => r.id)).not.toContain('IL.10');
    const target = crankWords.crankTarget(job.state, { surface: 'make-scale' }, 360)!;
    const plan = crankWords.planTo(target, job.state, job.engine, 'front')!;
    expect(plan).toMatchObject({ thenCheckStroke: false });
    expect(crankWords.planText(plan, 'front', target, 360).at(-1)).toContain('to true TDC');
    expect(crankWords.placeText(job.state.work.crank, 360)).toBe('15.1° after TDC');
  });
});
