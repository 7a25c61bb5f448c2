import { describe, expect, it } from 'vitest';
import { manifests } from '$core/domains/all.ts';
import type { Engine } from '$core/engine/engine.ts';
import { CURVE, found } from '../../support/curve-jobs.ts';
import { measured, pedestal } from '../../support/drive-jobs.ts';
import { SAW } from '../../support/magneto-jobs.ts';
import { engineWith, PlayedJob, SHEET } from '../../support/played.ts';
import { DIESEL } from '../../support/pump-jobs.ts';

/** An engine whose curve was measured by an earlier job: its advance begins at 900 rpm. */
const curveKnown: Engine = {
  ...engineWith(CURVE),
  earlier: { curve: { output: { startRpm: 900, uStartRpm: 20 } } } as never
};
const idling = (rpm: string) => {
  const job = new PlayedJob(curveKnown, 'strobe-timing');
  const step = job.sheet.steps.find((s) => s.slots.some((x) => x.slot === 'idle'))!;
  job.read(step.id, 'idle', rpm);
  return job;
};
const hand = (by: string) => {
  const job = new PlayedJob(engineWith({ ...SAW, lagDeg: '5' }), 'magneto');
  job.say({ kind: 'choose', school: 'start-by', option: by });
  return job;
};
const marked = () => new PlayedJob().toTdc().done('tdc', 'mark', 'probe-out');
const signs = (...seen: ('airPushedOut' | 'intakeJustClosed')[]) => {
  const job = marked();
  for (const sign of seen) job.say({ kind: 'sign', sign, seen: true });
  return job;
};
const moved = (...to: [by: number, move: 'forward' | 'backward'][]) => {
  const job = new PlayedJob().toStroke();
  const at = 720 - job.state.reference!;
  for (const [by, move] of to) job.say({ kind: 'crank', crankDeg: at + by, move });
  return job;
};
const indexed = (room: boolean) => {
  const job = new PlayedJob().toStroke();
  job.given('housing-indexed');
  if (room) job.given('housing-room-ok');
  return job;
};
/** On a drive whose slack neither data sheet nor job knows. */
const shortly = (...to: [by: number, move: 'forward' | 'backward'][]) => {
  const { backlashDeg: _, ...values } = SHEET;
  const job = new PlayedJob(engineWith(values)).toStroke();
  const at = 720 - job.state.reference!;
  for (const [by, move] of [[0, 'forward'], ...to] as const) job.say({ kind: 'crank', crankDeg: at + by, move });
  return job;
};
const phased = (seen: boolean) => {
  const job = new PlayedJob().toStroke();
  job.given('housing-indexed');
  if (seen) job.given('rotor-phase-ok');
  return job;
};
const clamped = () => {
  const job = pedestal();
  job.read('gap', 'gap', '0.813 + 0.700');
  return job;
};
const { chartKind: _, ...noKind } = DIESEL;

/** Each rule that follows from a figure: a job that raises it, and the same job with that put right. */
const cases: [id: string, raised: () => PlayedJob, right: () => PlayedJob][] = [
  ['IL.33', () => found({ ...CURVE, totalMaxBtdc: '20' }), () => found({ ...CURVE, totalMaxBtdc: '40' })],
  ['IL.27', () => idling('1000'), () => idling('700')],
  ['IL.47', () => indexed(false), () => indexed(true)],
  ['IL.10', marked, () => signs('airPushedOut', 'intakeJustClosed').done('stroke')],
  ['IL.11', () => signs('airPushedOut'), () => signs('airPushedOut', 'intakeJustClosed')],
  [
    'IL.13',
    () => moved([6, 'forward'], [0, 'backward']),
    () => moved([6, 'forward'], [-40, 'backward'], [0, 'forward'])
  ],
  ['IL.float', clamped, measured],
  [
    'IL.56',
    () => new PlayedJob(engineWith(noKind), 'plunger-lift'),
    () => new PlayedJob(engineWith(DIESEL), 'plunger-lift')
  ],
  ['IL.95', () => shortly([-10, 'backward'], [0, 'forward']), () => shortly([-50, 'backward'], [0, 'forward'])],
  ['IL.98', () => phased(false), () => phased(true)],
  ['IL.99', () => hand('hand'), () => hand('starter')]
];

describe('a rule that follows from a figure', () => {
  const raised = (job: PlayedJob) => job.state.raised.map((r) => r.id);
  it.each(cases)('%s is raised by it, and let go once that is put right', (id, wrong, right) => {
    expect(raised(wrong())).toContain(id);
    expect(raised(right())).not.toContain(id);
  });
  it('is raised by no states that are said, and each of them stands above', () => {
    const worked = manifests.flatMap((m) => m.rules).filter((r) => 'worked' in r && r.worked);
    expect(worked.map((r) => r.id).sort()).toEqual(cases.map(([id]) => id).sort());
  });
});
