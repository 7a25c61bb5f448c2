import { describe, expect, it } from 'vitest';
import { floatDoubt } from '$core/domains/stack/float-doubt.ts';
import { uOfPack } from '$core/domains/stack/stack-work.ts';
import { gaugeDoubt } from '$core/job/doubt.ts';
import { judgedRows } from '$core/job/judged.ts';
import { judgedDoubt } from '$core/job/judged-doubt.ts';
import { narrowest, shared } from '$core/job/narrow.ts';
import { slotOf } from '$core/job/run-sheet.ts';
import { engineWith, GAUGES, PlayedJob, SHEET } from '../../support/played.ts';

const none = () => [];
const slot = (job: PlayedJob, step: string, name: string) =>
  slotOf(
    job.sheet.steps.find((s) => s.id === step)!,
    name
  )!;

describe('a reading whose gauge nobody named', () => {
  it('is asked for its gauge once a job for each kind, and never for what the eye sees', () => {
    const job = new PlayedJob().done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel');
    const wheel = slot(job, 'tdc', 'before');
    expect(gaugeDoubt(job.state, wheel)).toMatch(
      /^With which degree wheel was it read\?.*nothing that rests on it is called in/
    );
    job.read('tdc', 'depth', '1.8');
    job.say(job.reading('tdc', 'before', '342', null));
    expect(gaugeDoubt(job.state, wheel)).toBeNull();
    expect(gaugeDoubt(job.state, slot(job, 'tdc', 'depth'))).toContain('dial indicator');
    expect(gaugeDoubt(job.state, { ...wheel, gauge: 'eye' })).toBeNull();
  });
});

describe('how the blades of a place were chosen', () => {
  const STEP = 0.02;
  const blade = { ...GAUGES.blade!, resolution: STEP };
  const limits = { driveKind: 'pedestal', floatMinMm: '0.08', floatMaxMm: '0.25' };
  const measured = (pack?: string) => {
    const job = new PlayedJob(engineWith({ ...SHEET, ...limits }), 'pedestal');
    job.read('washer', 'washer', '1.60');
    if (pack) job.say({ kind: 'choose', school: 'blade-pack', option: pack });
    for (const gap of ['1.46', '1.47', '1.46']) job.say(job.reading('gap', 'gap', gap, blade));
    return job.state.work.stack;
  };
  it('counts as doubt by a whole half step until it is said, and saying it is offered', () => {
    const open = measured();
    const said = measured('nearest');
    expect(open.uPackMm).toBeCloseTo(uOfPack(blade), 12);
    expect(open.float!.uMm).toBeCloseTo(Math.hypot(said.float!.uMm, STEP / 2), 9);
    const doubt = floatDoubt(open, none)!;
    expect(shared(doubt.parts).u).toBeCloseTo(open.float!.uMm, 9);
    const say = doubt.remedies.find((r) => r.what.startsWith('saying how'))!;
    expect(say.u).toBeCloseTo(said.float!.uMm, 9);
    expect(floatDoubt(said, none)!.remedies.some((r) => r.what.startsWith('saying how'))).toBe(false);
  });
  it('is never narrower than either of the two would be', () => {
    const [open, largest] = [measured(), measured('largest')];
    const apart = Math.abs(open.float!.mm - largest.float!.mm);
    expect(apart).toBeCloseTo(STEP / 2, 9);
    expect(2 * open.float!.uMm).toBeGreaterThanOrEqual(2 * largest.float!.uMm);
  });
});

describe('the doubt of a figure that a slot judges by itself', () => {
  const played = () => {
    const job = new PlayedJob(
      engineWith({ ...SHEET, driveKind: 'pedestal', floatMinMm: '0.1', floatMaxMm: '0.2' }),
      'pedestal'
    );
    const step = job.sheet.steps.find((s) => s.slots.some((x) => x.slot === 'float-dial'))!;
    return { job, step };
  };
  it('adds up to the figure’s own, and sends to a truer gauge within reach', () => {
    const { job, step } = played();
    const of = slot(job, step.id, 'float-dial');
    for (const text of ['0.13', '0.19']) job.read(step.id, 'float-dial', text);
    const { judged } = judgedRows(job.state, step).find((r) => r.slot.slot === 'float-dial')!;
    const finer = { id: 'd2', name: 'Dial of a thousandth', resolution: 0.001, accuracy: 0.002, scatter: 0.003 };
    const doubt = judgedDoubt(job.state.engine, job.state.readings, of, (kind) => (kind === 'dial' ? [finer] : []))!;
    expect(shared(doubt.parts).u).toBeCloseTo(judged!.u, 9);
    expect(narrowest(judged!.u, doubt.remedies)!.what).toBe('reading it with Dial of a thousandth');
  });
  it('is not made up where nobody knows how the hand scatters', () => {
    const { job, step } = played();
    const of = slot(job, step.id, 'float-dial');
    job.say(job.reading(step.id, 'float-dial', '0.15', null));
    const { judged } = judgedRows(job.state, step).find((r) => r.slot.slot === 'float-dial')!;
    expect(judged!.scatterUnknown).toBe(true);
    expect(judged!.verdict!.state).toBe('unsure');
    expect(judgedDoubt(job.state.engine, job.state.readings, of, none)).toBeNull();
  });
});
