import { describe, expect, it } from 'vitest';
import { admit } from '$core/job/admit.ts';
import type { Rule } from '$core/job/rule.ts';
import { belonging, putRight, ruleText } from '$core/job/rules.ts';
import { acts } from '$core/job/acts.ts';
import type { RunSheet } from '$core/job/run-sheet.ts';
import { manifests } from '$core/domains/all.ts';
import { notSettled } from '$core/job/index.ts';
import { jobCard } from '$core/job/card.ts';
import { runSheets, stateOf } from '$core/sheets/index.ts';
import { engineWith, mm, PlayedJob, SHEET } from '../../support/played.ts';

const rules: readonly Rule[] = manifests.flatMap((m) => m.rules);
const flags = Object.assign({}, ...manifests.map((m) => m.flags)) as RunSheet['words']['flags'];

describe('every rule, read aloud', () => {
  it.each(rules.map((r) => [r.id, r] as const))('%s says never what, why, and what to do if it happened', (_, r) => {
    const said = ruleText(r);
    expect(said.never).toMatch(/^Never [a-z]/);
    // nobody may hear the second half as an order: what is never done stands in one sentence with its never
    expect(said.never.slice(0, -1)).not.toMatch(/[.;:]/);
    expect(said.because).toMatch(/^Why: [A-Z].*\.$/);
    expect(said.ifItHappened).toMatch(/^If it happened: [A-Z].*\.$/);
    expect(r.bar).toMatch(/: /);
    expect(putRight(r, flags).length).toBeGreaterThan(4);
  });
  it('names states and deeds that there are, and ids once each', () => {
    for (const r of rules) {
      expect([...r.on, ...r.off, ...r.loses].filter((f) => !flags[f])).toEqual([]);
      expect(r.forbids.filter((a) => !acts.includes(a))).toEqual([]);
      expect(r.forbids.length).toBeGreaterThan(0);
      // what raises it can be put right: not all of its states lie on the safe side
      expect(r.worked || r.on.length + r.off.length > 0).toBe(true);
    }
    expect(new Set(rules.map((r) => r.id)).size).toBe(rules.length);
  });
  it('asks for the half of a pair of words that must become true', () => {
    const ask = (id: string) =>
      putRight(
        rules.find((r) => r.id === id)!,
        flags
      );
    expect(ask('IL.15')).toBe('Barring tool off');
    expect(ask('IL.07')).toBe('Gear not in mesh, distributor on its seat');
    expect(ask('IL.03')).toContain('thrust rings counted');
  });
});

describe.each(runSheets.map((s) => [s.id, s] as const))('%s', (id, sheet) => {
  const job = new PlayedJob(engineWith(SHEET), id);
  const doing = (rule: Rule) => sheet.steps.filter((s) => s.acts.some((a) => rule.forbids.includes(a)));
  it.each(sheet.rules.map((r) => [r.id, r] as const))(
    '%s, while raised, keeps each step that does it from being done',
    (_, rule) => {
      const raised = { ...job.state, raised: [rule] };
      for (const step of doing(rule)) {
        const answer = admit(raised, job.engine, [], { kind: 'done', step: step.id });
        expect(answer).toMatchObject({
          ok: false,
          error: { code: rule.harm === 'result' ? 'only-with-reason' : 'never-while' }
        });
        if (answer.ok) continue;
        expect(answer.error.message.startsWith(ruleText(rule).never)).toBe(true);
        expect(answer.error.message).toContain('Put it right first: ');
      }
      const turned = admit(raised, job.engine, [], { kind: 'crank', crankDeg: 10, move: 'forward' });
      expect(turned.ok).toBe(!rule.forbids.includes('turns-crank'));
    }
  );
  it('leaves a reason to what harms the result alone, and to nothing else', () => {
    for (const rule of sheet.rules) {
      const [step] = doing(rule);
      if (!step) continue;
      const state = { ...job.state, raised: [rule] };
      const answer = admit(state, job.engine, [], {
        kind: 'override',
        step: step.id,
        flags: [],
        rules: [rule.id],
        reason: 'seen and weighed'
      });
      expect(answer.ok).toBe(rule.harm === 'result');
      if (!answer.ok) continue;
      const overrides = [{ kind: 'override', step: step.id, flags: [], rules: [rule.id], reason: 'x' }] as never[];
      const done = admit({ ...state, replayed: { ...state.replayed, overrides } }, job.engine, [], {
        kind: 'done',
        step: step.id
      });
      expect(done.ok || done.error.code !== 'only-with-reason').toBe(true);
    }
  });
  it('lets what happened be said, and loses just what the rule says', () => {
    for (const rule of sheet.rules.filter((r) => !r.worked)) {
      const log = new PlayedJob(engineWith(SHEET), id);
      for (const f of [...rule.on, ...rule.loses]) log.log.push(event(log, { kind: 'say', flag: f, on: true }));
      for (const f of rule.off) log.log.push(event(log, { kind: 'say', flag: f, on: false }));
      for (const w of rule.where ?? [])
        if (!('not' in w))
          log.log.push(
            event(
              log,
              'fact' in w
                ? { kind: 'fact', fact: w.fact, value: w.is }
                : { kind: 'choose', school: w.chosen, option: w.is }
            )
          );
      expect(log.state.raised.map((r) => r.id)).toContain(rule.id);
      log.say({ kind: 'happened', rule: rule.id });
      for (const f of rule.loses) expect([rule.id, f, log.state.flags.has(f)]).toEqual([rule.id, f, false]);
      expect(log.state.replayed.happened).toHaveLength(1);
      expect(jobCard(log.state, log.engine, mm).open.some((o) => o.why.startsWith('it happened'))).toBe(true);
    }
  });
});

/** As an older log may hold it: a state said without what was seen. */
function event(job: PlayedJob, body: object) {
  const n = job.log.length + 1;
  const by = { id: 'x', name: 'x' };
  return { ...body, id: `e${n}`, seq: n, at: new Date(1_700_000_000_000 + n * 1000).toISOString(), by } as never;
}

describe('bars belong', () => {
  const ids = (sheet: string) => runSheets.find((s) => s.id === sheet)!.rules.map((r) => r.id);
  it('to where a hand, a bar or a starter is near', () => {
    expect(ids('bench-check')).not.toEqual(expect.arrayContaining(['IL.20']));
    expect(ids('bench-check')).not.toEqual(expect.arrayContaining(['IL.01s']));
    expect(ids('open-case')).not.toContain('IL.20');
    expect(ids('open-case')).not.toContain('IL.15');
    expect(ids('open-case')).toContain('IL.79');
    expect(ids('fit-from-scratch')).toEqual(expect.arrayContaining(['IL.15', 'IL.20', 'IL.22', 'IL.34']));
  });
  it('to a job that is not closed', () => {
    const job = new PlayedJob(engineWith(SHEET), 'bench-check');
    expect(job.state.closed).toBe(false);
    const open = new PlayedJob();
    expect(open.state.interlocks.map((r) => r.id)).toEqual(expect.arrayContaining(['IL.20', 'IL.22']));
    const last = open.sheet.steps.find((s) => s.acts.includes('closes-log'))!;
    open.log.push(event(open, { kind: 'done', step: last.id }));
    expect(open.state.closed).toBe(true);
    expect(open.state.interlocks).toEqual([]);
  });
  it('and what a later step waits for is no bar before it', () => {
    const bars = new PlayedJob().state.interlocks.map((r) => r.id);
    expect(bars).not.toContain('IL.43');
    expect(new PlayedJob().state.raised.map((r) => r.id)).toContain('IL.43');
  });
  it('only where all states they speak of can be reached', () => {
    const plan = runSheets.find((s) => s.id === 'strobe-timing')!;
    expect(belonging(rules, plan, flags).map((r) => r.id)).not.toContain('IL.43');
  });
});

describe('a state said by hand', () => {
  it('that keeps hands or machines whole comes with what was seen, which stands on the card', () => {
    const job = new PlayedJob();
    const say = { kind: 'say', flag: 'battery-isolated', on: true } as const;
    expect(job.tryTo(say)).toMatchObject({ ok: false, error: { code: 'say-what-was-seen' } });
    job.say({ ...say, seen: 'lead off and tied back' });
    const { said } = jobCard(job.state, job.engine, mm);
    expect(said).toEqual([expect.objectContaining({ state: 'battery lead off', seen: 'lead off and tied back' })]);
    // taken back, it is no more said
    job.say({ kind: 'say', flag: 'battery-isolated', on: false });
    expect(jobCard(job.state, job.engine, mm).said).toEqual([]);
  });
  it('that is counted or measured comes from its step alone', () => {
    const job = new PlayedJob();
    const answer = job.tryTo({ kind: 'say', flag: 'sweep-done', on: true, seen: 'walked round' });
    expect(answer).toMatchObject({ ok: false, error: { code: 'only-by-its-step' } });
    expect(!answer.ok && answer.error.message).toContain('Nothing left on or in');
  });
  it('that raises a danger is said at once', () => {
    const job = new PlayedJob();
    job.say({ kind: 'say', flag: 'part-missing', on: true });
    expect(job.state.interlocks.map((r) => r.id)).toContain('IL.05');
    expect(job.tryTo({ kind: 'crank', crankDeg: 5, move: 'forward' })).toMatchObject({ ok: false });
  });
});

describe('what was measured', () => {
  it('with one gasket does not hold with another', () => {
    const job = new PlayedJob(engineWith({ ...SHEET, minEngagementMm: '4' }), 'regear');
    for (const flag of ['engagement-ok', 'bottoming-ok']) job.log.push(event(job, { kind: 'say', flag, on: true }));
    const step = job.sheet.steps.find((s) => s.slots.some((x) => x.slot === 'gasket'))!;
    job.read(step.id, 'gasket', '0.9');
    expect(job.state.flags.has('engagement-ok')).toBe(false);
    expect(job.state.flags.has('bottoming-ok')).toBe(false);
  });
  it('of the trigger on the job decides how it is sensed, before the data sheet does', () => {
    const job = new PlayedJob(engineWith({ ...SHEET, triggerKind: 'contacts' }), 'static-timing');
    expect(job.state.schools.trigger!.option).toBe('lamp');
    job.say({ kind: 'choose', school: 'trigger-is', option: 'vane' });
    expect(job.state.schools.trigger).toMatchObject({
      option: 'vane',
      because: 'it was seen on this job: a vane sensor'
    });
  });
});

describe('lifting and trying again', () => {
  it('takes mesh, seat, direction and what was set by them down by itself, and their steps are to be repeated', () => {
    const job = new PlayedJob().toStroke().done('ref', 'tower', 'clamp-ready', 'seal', 'pump-shaft', 'slot', 'in');
    expect(job.state.flags.has('gear-meshed')).toBe(true);
    expect(job.tryTo({ kind: 'lift' }).ok).toBe(true);
    job.say({ kind: 'lift' });
    for (const f of ['gear-meshed', 'distributor-seated', 'oil-drive-engaged', 'tooth-chosen'])
      expect(job.state.flags.has(f)).toBe(false);
    expect(job.view('in').state).toBe('repeat');
    expect(job.tryTo({ kind: 'lift' })).toMatchObject({ ok: false, error: { code: 'nothing-to-lift' } });
  });
});

it('a step whose rule is raised is worked again once it is put right', () => {
  const job = new PlayedJob().done('intake', 'safe');
  job.say({ kind: 'say', flag: 'part-missing', on: true });
  job.done('bench', 'plugs', 'bar', 'wheel');
  job.pairs('1.8', ['343', '11.5'], ['343', '12'], ['343', '11.5']);
  expect(job.tryTo({ kind: 'done', step: 'tdc' })).toMatchObject({ ok: false, error: { code: 'never-while' } });
  job.say({ kind: 'say', flag: 'part-missing', on: false, seen: 'screw found on the bench, count closes' });
  expect(job.tryTo({ kind: 'done', step: 'tdc' }).ok).toBe(true);
  expect(stateOf(job.sheet, job.engine, job.log).raised.map((r) => r.id)).not.toContain('IL.05');
});

describe('power at rest', () => {
  it('is on after a flash was seen, and its switching off is a step', () => {
    const job = new PlayedJob(engineWith(SHEET), 'static-timing');
    job.done('intake', 'safe', 'gap', 'plugs', 'bar', 'wheel');
    expect(job.state.flags.has('battery-isolated')).toBe(true);
    job.read('index', 'fires-spark', '9b');
    expect(job.state.flags.has('ignition-live')).toBe(true);
    expect(job.state.flags.has('battery-isolated')).toBe(false);
    expect(job.state.raised.map((r) => r.id)).toContain('IL.25');
    // by lamp nothing is left on
    job.done('power-off');
    expect(job.state.flags.has('ignition-live')).toBe(false);
    expect(job.state.flags.has('battery-isolated')).toBe(true);
    job.read('index', 'fires', '9b');
    expect(job.state.flags.has('ignition-live')).toBe(false);
  });
  it('is not taken off by undoing the flash only: undone, it was never on', () => {
    const job = new PlayedJob(engineWith(SHEET), 'static-timing').done('intake', 'safe');
    const e = job.say(job.reading('index', 'fires-spark', '9b'));
    job.say({ kind: 'undo', undoes: e.id });
    expect(job.state.flags.has('ignition-live')).toBe(false);
    expect(job.state.flags.has('battery-isolated')).toBe(true);
  });
});

describe('oil that may have run dry', () => {
  const job = () => new PlayedJob(engineWith(SHEET), 'static-timing');
  it('is asked about, primed where it did, and not where it stayed in', () => {
    const dry = job();
    dry.say({ kind: 'fact', fact: 'oilStayed', value: false });
    expect(dry.view('prime').state).toBe('open');
    expect(dry.state.raised.map((r) => r.id)).toContain('IL.43');
    dry.done('prime');
    expect(dry.state.raised.map((r) => r.id)).not.toContain('IL.43');
    const wet = job();
    wet.say({ kind: 'fact', fact: 'oilStayed', value: true });
    expect(wet.view('prime').state).toBe('not-needed');
    expect(wet.state.raised.map((r) => r.id)).not.toContain('IL.43');
  });
});

describe('a fresh camshaft', () => {
  const running = (fresh: boolean) => {
    const job = new PlayedJob(engineWith(SHEET), 'fit-from-scratch');
    job.say({ kind: 'fact', fact: 'camFresh', value: fresh });
    for (const flag of ['engine-running', 'strobe-connected', 'clamp-snug', 'oil-pressure-up'])
      job.say({ kind: 'say', flag, on: true, seen: 'by both of us' });
    return job;
  };
  it('is never read at idle before it is run in by its plan, and is led there', () => {
    const job = running(true);
    expect(job.view('run-in-plan').state).toBe('open');
    job.read('strobe', 'strobe', '7b');
    const refused = job.tryTo({ kind: 'done', step: 'strobe' });
    expect(refused.ok).toBe(false);
    expect(!refused.ok && refused.error.message).toContain('Never idle a fresh cam or gear for long');
    expect(!refused.ok && refused.error.message).toContain('the run-in plan of whoever made the camshaft');
    expect(job.state.raised.map((r) => r.id)).toContain('IL.81');
    job.done('run-in');
    expect(job.state.flags.has('cam-fresh')).toBe(false);
    expect(job.state.raised.map((r) => r.id)).not.toContain('IL.81');
  });
  it('that is run in already asks for no plan', () => {
    const job = running(false);
    expect([job.view('run-in-plan').state, job.view('run-in').state]).toEqual(['not-needed', 'not-needed']);
    expect(job.state.raised.map((r) => r.id)).not.toContain('IL.81');
  });
});

describe('another distributor compared with the one that was in', () => {
  const VALUES = { ...SHEET, shankWithinMm: '0.2', seatWithinMm: '0.3', tangWithinMm: '0.5', heightWithinMm: '6' };
  const ALIKE: [string, string, string][] = [
    ['shank', '31.9', '31.9'],
    ['seat', '101.5', '101.6'],
    ['tang', '128.3', '128.4'],
    ['height', '92', '94']
  ];
  const compared = (rows = ALIKE, values: Record<string, string> = VALUES, words = true) => {
    const j = new PlayedJob(engineWith(values), 'fit-different');
    for (const [what, old, fresh] of rows) {
      j.read('bodies', `old-${what}`, old);
      j.read('bodies', `new-${what}`, fresh);
    }
    if (words)
      for (const school of ['seat-same', 'tang-same', 'reach-same']) j.say({ kind: 'choose', school, option: 'same' });
    return notSettled(j.state, j.view('bodies'));
  };
  it('passes when every length lies within what it may differ by, and every word is the same', () => {
    expect(compared()).toBeNull();
  });
  it('passes nothing that was not compared, nor what has no limit', () => {
    expect(compared([], VALUES, false)).toMatch(/^not compared: shank, diameter, .*capsule, latch and plug$/);
    expect(compared(ALIKE, SHEET)).toMatch(/^what it may differ by is not on the data sheet: shank/);
  });
  it('names what differs, by how much with its doubt, and what may be', () => {
    expect(compared([...ALIKE.slice(0, 2), ['tang', '128.3', '129.9'], ALIKE[3]!])).toMatch(
      /^old and new differ: seat to the end of the tang by 1\.60 ± 0\.\d\d mm, ± 0\.5 mm may be$/
    );
    expect(compared([...ALIKE.slice(0, 2), ['tang', '128.3', '128.78'], ALIKE[3]!])).toMatch(
      /^too close to call: seat/
    );
  });
});
