import { describe, expect, it } from 'vitest';
import { notSettled } from '$core/job/admit.ts';
import { engineWith, PlayedJob, SHEET, headline } from '../../support/played.ts';

/** Eleven teeth, the rotor runs anticlockwise, number one's tower 156° from the housing's datum, fires 7° before. */
const ENGINE = {
  ...SHEET,
  gearTeeth: '11',
  driveSlotBearingDeg: '80',
  terminalOffsetDeg: '156',
  pumpDrive: 'offset-blade',
  shaftHeightMinMm: '31.8',
  shaftHeightMaxMm: '32.2'
};

/** Up to the crank at its reference with the witness marks made. */
function atReference(): PlayedJob {
  const job = new PlayedJob(engineWith(ENGINE), 'shaft-in-place');
  job.done('intake', 'safe', 'bar', 'plugs', 'wheel').toReference();
  job.read('marks', 'rotor-mark', '120');
  job.read('marks', 'housing-mark', '14');
  return job.done('marks');
}
const look = (rotor: string, from: string, to: string): PlayedJob => {
  const job = atReference();
  job.read('fault', 'rotor-seen', rotor);
  job.read('fault', 'arc-min', from);
  job.read('fault', 'arc-max', to);
  return job;
};

describe('is it really the shaft', () => {
  it('not when the housing stands free on the tooth it has', () => {
    // 137 - 156 = -19, which lies from 334 to 52 and leaves 7 of the rotor against it, 71 with it: 14 and 142 of the crank
    const job = look('137', '334', '52');
    expect(headline(job, 'fault')).toBe(
      'Not the shaft: on this tooth the housing stands free at 341°, 142° of the crank to advance and 14° to retard'
    );
    expect(notSettled(job.state, job.view('fault'))).toContain('the shaft is not the fault');
    expect(job.tryTo({ kind: 'done', step: 'fault' }).ok).toBe(false);
  });
  it('nor when another tower as number one lets it stand free', () => {
    // 137 - 156 = 341 is blocked; a tower on in the rotor's direction (anticlockwise) asks for the housing 90 further: 71
    const job = look('137', '60', '110');
    expect(headline(job, 'fault')).toBe(
      'It can be lived with: number one on the tower that is number 2\u2019s now, the housing stands free at 71°, 78° of the crank to advance and 22° to retard'
    );
    expect(job.tryTo({ kind: 'done', step: 'fault' }).ok).toBe(false);
  });
  it('when no tower does, and it says by how many teeth', () => {
    // 120 - 156 - 90 j: 324, 54, 144, 234, none from 334 to 52; a tooth clockwise, 152.7 - 156 = 356.7, is
    const job = look('120', '334', '52');
    expect(headline(job, 'fault')).toBe(
      'The shaft is at fault, one tooth out: on its tooth the housing stands free with no tower'
    );
    expect(job.tryTo({ kind: 'done', step: 'fault' }).ok).toBe(true);
  });
  it('is open without readings, and an arc that is blocked on every tooth sends to another cause', () => {
    expect(notSettled(atReference().state, atReference().view('fault'))).toBe('the tooth cannot be judged yet');
    const job = look('120', '330', '331');
    expect(headline(job, 'fault')).toContain('on no other either: look for another cause');
    expect(notSettled(job.state, job.view('fault'))).toBe('no tooth lets the housing stand free');
  });
  it('cannot be overruled: a shaft that is not proved at fault stays in', () => {
    const job = look('137', '334', '52');
    job.say({ kind: 'skip', step: 'fault', reason: 'the housing stands free' });
    job.say({ kind: 'fact', fact: 'shaft-comes-out', value: true });
    for (const id of ['decide', 'out', 'draw']) {
      expect(job.view(id).missing).toContain('shaft-fault-proved');
      const over = { kind: 'override', step: id, flags: ['shaft-fault-proved'], reason: 'sure of it' } as const;
      expect(job.tryTo({ ...over, flags: [...over.flags] }).ok).toBe(false);
    }
  });
});

/** Fault proved, split accepted, and the distributor lifted out. */
function lifted(): PlayedJob {
  const job = look('120', '334', '52');
  job.done('fault');
  job.say({ kind: 'fact', fact: 'shaft-comes-out', value: true });
  job.read('decide', 'rings-drawn', '3');
  job.say({ kind: 'choose', school: 'shaft-in-place', option: 'in-place' });
  for (const id of ['decide', 'cover', 'out', 'hold']) job.done(id);
  return job;
}

describe('the shaft out and in', () => {
  it('asks first whether a split is accepted; where it is not, only wheel and bar are left to take off', () => {
    const job = look('120', '334', '52');
    job.done('fault');
    expect(job.view('decide').asks?.question).toContain('the case has to be split');
    job.say({ kind: 'fact', fact: 'shaft-comes-out', value: false });
    const left = job.state.steps.filter((s) => s.state !== 'done' && s.state !== 'not-needed').map((s) => s.step.id);
    expect(left).toEqual(['off', 'close']);
    // a question that hangs on the first is not asked any more
    expect(job.state.steps.filter((s) => s.asks)).toEqual([]);
    job.done('off');
    expect(job.state.flags.has('degree-wheel-on')).toBe(false);
  });
  it('where it is, taking wheel and bar off early is not a step of its own', () => {
    expect(lifted().view('off').state).toBe('not-needed');
  });
  it('forbids to turn the crank from lifting the distributor until the shaft is held again', () => {
    const job = lifted();
    const bars = () => job.state.interlocks.map((r) => r.id);
    expect(bars()).toContain('IL.02');
    job.read('slot-seen', 'drive-slot', '112.7');
    // one tooth of eleven is 32.7 degrees
    expect(headline(job, 'slot-seen')).toContain('Move one tooth anticlockwise');
    job.say({ kind: 'fact', fact: 'shaft-needs-gap', value: false });
    for (const id of ['slot-seen', 'spring', 'nothing-on-it', 'puller', 'draw']) job.done(id);
    expect(bars()).toContain('IL.03');
    // no shaft is there that could climb
    expect(bars()).not.toContain('IL.02');
    job.read('rings-out', 'ring-count', '2');
    expect(notSettled(job.state, job.view('rings-out'))).toBe(
      '1 of 3 missing: what is not here lies in the case; magnet and lamp'
    );
    expect(headline(job, 'rings-out')).toBe('Thrust rings lifted out: 2 of 3, 1 still missing');
    expect(job.tryTo({ kind: 'done', step: 'rings-out' }).ok).toBe(false);
    job.read('rings-out', 'ring-count', '3');
    // each ring that was counted is measured
    expect(notSettled(job.state, job.view('rings-out'))).toBe('a ring, thickness: 3 of 3 not read yet');
    for (const t of ['1.50', '1.52', '0.80']) job.read('rings-out', 'ring', t);
    expect(notSettled(job.state, job.view('rings-out'))).toBeNull();
    expect(headline(job, 'rings-out')).toBe('Thrust rings lifted out: all 3 are there');
    for (const id of ['rings-out', 'inspect', 'rings-in']) job.done(id);
    job.read('shaft-in', 'drive-slot', '113');
    expect(notSettled(job.state, job.view('shaft-in'))).toBe('the slot stands one tooth out');
    job.read('shaft-in', 'drive-slot', '84');
    job.look('shaft-in');
    expect(notSettled(job.state, job.view('shaft-in'))).toBeNull();
    job.done('shaft-in');
    expect(bars()).toContain('IL.02');
    job.done('held');
    expect(bars().filter((id) => id.startsWith('IL.02'))).toEqual([]);
  });
  it('brings the crank back to the reference only where it was moved for the shaft', () => {
    const job = lifted();
    job.read('slot-seen', 'drive-slot', '112.7');
    job.say({ kind: 'fact', fact: 'shaft-needs-gap', value: true });
    for (const id of ['slot-seen', 'spring', 'nothing-on-it', 'rod', 'to-gap']) job.done(id);
    expect(job.state.flags.has('crank-at-reference')).toBe(false);
    for (const id of ['puller', 'draw']) job.done(id);
    // no bar on the crank before the rings are counted
    expect(job.view('bar-again').missing).toContain('rings-counted');
    expect(job.view('shaft-in').missing).toContain('crank-at-reference');
    job.read('rings-out', 'ring-count', '3');
    for (const t of ['1.50', '1.52', '0.80']) job.read('rings-out', 'ring', t);
    for (const id of ['rings-out', 'inspect', 'bar-again', 'back', 'hold-again', 'rings-in']) job.done(id);
    expect(job.view('shaft-in').missing).toEqual([]);
  });
});
