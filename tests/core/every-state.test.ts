import { describe, expect, it } from 'vitest';
import { manifests } from '$core/domains/all.ts';
import { letterOf } from '$core/job/proof.ts';
import { inTheWay, looksOpen, provedAt } from '$core/job/proved.ts';
import { looksOf, type RunSheet } from '$core/job/run-sheet.ts';
import { runSheets } from '$core/sheets/index.ts';
import { answerAt, doStep, FULL, readAt } from '../support/careful.ts';
import { engineWith, PlayedJob } from '../support/played.ts';

/**
 * Made from the manifests: every state of every sheet with nothing seen, with each bad word, with the answer taken back, with
 * the step opened again, and said by hand. None gives or keeps the state but as its letters say.
 */
const valuesOf = (id: string) => (id === 'two-stroke' ? { ...FULL, cycle: 'two-stroke' } : FULL);
const fresh = (sheet: RunSheet) => new PlayedJob(engineWith({ ...valuesOf(sheet.id), vacuumUnit: 'fitted' }), sheet.id);
const copyOf = (job: PlayedJob) => {
  const copy = new PlayedJob(job.engine, job.sheetId);
  copy.log.push(...job.log);
  return copy;
};
/** Whether a state stands where its proof would put it. */
const proved = (job: PlayedJob, f: string, state = job.state) => {
  const w = job.sheet.words.flags[f]!;
  return state.flags.has(f) !== (w.proof?.off ?? w.danger);
};

const readAtStep = (job: PlayedJob, step: string, slot: string): boolean =>
  job.state.readings.some((r) => r.step === step && r.slot === slot);

/** Figures with a limit that prove none of the states of their step, and why. */
const PROVES_NOTHING: Record<string, string> = {
  'refit-same strobe': 'a refit is judged against the figure before it, and on a mark that was not proved',
  'shaft-in-place shaft-in': 'the height of the shaft is judged where it is held down',
  'teardown float': 'a check finds how it is: what is out is decided on later',
  'bench-check float': 'a check finds how it is: what is out is decided on later'
};

interface Claim {
  job: PlayedJob;
  id: string;
  flags: string[];
}
const walked = new Map<string, Claim[]>();
/** A job at every step that claims something, with all read and answered there but its looks; a copy each, worked once. */
function claims(sheet: RunSheet): Claim[] {
  if (!walked.has(sheet.id)) walked.set(sheet.id, [...walk(sheet)]);
  return walked.get(sheet.id)!.map((c) => ({ ...c, job: copyOf(c.job) }));
}

/** Looks that several sheets share by the same step are tried on the first of them. */
const firstOf = (tried: Set<string>, step: string, look: string): boolean => {
  const key = `${step} ${look}`;
  return !tried.has(key) && tried.add(key).size > 0;
};
const badTried = new Set<string>();
const backTried = new Set<string>();

function* walk(sheet: RunSheet): Generator<Claim> {
  const job = fresh(sheet);
  for (const step of sheet.steps) {
    const at = copyOf(job);
    if (step.onlyIf && !at.state.replayed.facts.has(step.onlyIf.fact))
      at.say({ kind: 'fact', fact: step.onlyIf.fact, value: true });
    const then = at.state;
    const flags = provedAt(step, sheet.words.flags).filter((f) => !proved(at, f, then));
    if (at.view(step.id).state !== 'not-needed' && flags.length > 0) {
      answerAt(at, step);
      readAt(at, step);
      yield { job: at, id: step.id, flags };
    }
    doStep(job, step, true);
  }
}

describe('what proves a state', () => {
  it('is written down for every state that a step of any sheet gives, but for what is a fact of the step itself', () => {
    const known = new Set(manifests.flatMap((m) => Object.keys(m.proofs ?? {})));
    const flags = new Set(manifests.flatMap((m) => Object.keys(m.flags as object)));
    expect([...known].filter((f) => !flags.has(f))).toEqual([]);
    const given = new Set(runSheets.flatMap((s) => s.steps.flatMap((x) => provedAt(x, s.words.flags))));
    expect([...given].filter((f) => !known.has(f)).sort()).toEqual(['cam-fresh', 'pump-held']);
  });
  it('asks with a good word first, and says of every bad one what to do', () => {
    for (const sheet of runSheets)
      for (const l of sheet.steps.flatMap(looksOf)) {
        expect(l.options[0]!.holds, l.id).toBeUndefined();
        for (const o of l.options.filter((x) => x.holds))
          expect(o.holds!.slice(o.holds!.indexOf(': ') + 2).length, l.id).toBeGreaterThan(10);
        expect(
          l.options.some((o) => o.holds),
          l.id
        ).toBe(true);
      }
  });
});

describe.each(runSheets.map((s) => [s.id, s] as const))('%s', (_, sheet) => {
  it('gives no state that nobody looked at', () => {
    let tried = 0;
    for (const { job, id, flags } of claims(sheet)) {
      const owed = looksOpen(job.state, job.view(id));
      const bars = owed.some((l) => l.proves.some((f) => letterOf(sheet.words.flags[f]!.proof!, 'nothing') === 'X'));
      const answer = job.tryTo({ kind: 'done', step: id });
      if (bars) expect(answer, id).toMatchObject({ ok: false });
      else if (answer.ok && owed.length > 0) {
        job.say({ kind: 'done', step: id });
        for (const f of flags.filter((x) => owed.some((l) => l.proves.includes(x))))
          expect(proved(job, f), f).toBe(false);
      }
      if (owed.length > 0) tried++;
    }
    expect(tried).toBeGreaterThan(0);
  });

  it('gives no state on a bad word but as its letter says', () => {
    for (const { job: at, id } of claims(sheet)) {
      const mine = looksOpen(at.state, at.view(id)).filter((l) => firstOf(badTried, id, l.id));
      if (mine.length === 0) continue;
      at.look(id);
      for (const l of mine) {
        const bad = l.options.find((o) => o.holds)!;
        const job = copyOf(at);
        job.say({ kind: 'choose', school: l.id, option: bad.id });
        const letters = l.proves.map((f) => letterOf(sheet.words.flags[f]!.proof!, 'out'));
        const done = job.tryTo({ kind: 'done', step: id });
        if (letters.some((x) => x === 'X' || x === 'R')) {
          expect(done, `${id} ${l.id}`).toMatchObject({ ok: false });
          const over = job.tryTo({ kind: 'override', step: id, flags: [], open: bad.holds!, reason: 'it is so today' });
          if (letters.includes('X')) expect(over.ok, `${id} ${l.id} with a reason`).toBe(false);
        } else {
          expect(done, `${id} ${l.id}`).toMatchObject({ ok: true });
          job.say({ kind: 'done', step: id });
          for (const f of l.proves.filter((x) => letterOf(sheet.words.flags[x]!.proof!, 'out') === 'K'))
            expect(proved(job, f), f).toBe(false);
        }
      }
    }
  });

  it('takes a state back with the answer that proved it, and has its step done again', () => {
    for (const { job, id } of claims(sheet)) {
      const owed = looksOpen(job.state, job.view(id)).filter((l) => firstOf(backTried, id, l.id));
      if (owed.length === 0) continue;
      job.done(id);
      for (const l of owed) {
        const again = copyOf(job);
        const answer = again.log.findLast((e) => e.kind === 'choose' && e.school === l.id)!;
        again.log.push({
          ...answer,
          kind: 'undo',
          undoes: answer.id,
          id: `undo-${l.id}`,
          seq: again.log.length + 1
        } as never);
        for (const f of l.proves.filter((x) => provedAt(again.view(id).step, sheet.words.flags).includes(x))) {
          if (!job.state.replayed.givenBy.has(f)) continue;
          expect(proved(again, f), `${id} ${f} without ${l.id}`).toBe(false);
          expect(again.state.fallen.get(f)?.what, f).toContain(l.question);
        }
      }
    }
  });

  it('takes a state back when the data sheet changes so that what was read lies outside', () => {
    for (const { job, id } of claims(sheet)) {
      const step = job.view(id).step;
      const limited = step.slots.filter(
        (s) => [s.limits?.least, s.limits?.most].some((n) => n && job.engine.values[n]) && readAtStep(job, id, s.slot)
      );
      if (limited.length === 0 || `${sheet.id} ${id}` in PROVES_NOTHING) continue;
      job.done(id);
      for (const slot of limited) {
        const values = { ...job.engine.values };
        const moved = (name: string | undefined, value: number) => {
          if (name && values[name]) values[name] = { ...values[name]!, value };
        };
        // no figure that a hand reads is as large
        moved(slot.limits!.least, 1e6);
        moved(slot.limits!.most, slot.limits!.least ? 1e6 + 1 : -1e6);
        const then = new PlayedJob({ ...job.engine, values }, job.sheetId);
        then.log.push(...job.log);
        const made = step.sets.filter((f) => sheet.words.flags[f]?.proof && job.state.replayed.givenBy.get(f) === id);
        const falls = made.filter((f) => letterOf(sheet.words.flags[f]!.proof!, 'out') !== 'F');
        if (falls.length === 0) continue;
        expect(
          falls.some((f) => !proved(then, f)),
          `${id} ${slot.slot} ${falls.join(' ')}`
        ).toBe(true);
      }
    }
  });

  it('opened again, a step takes back what it said and makes nothing true', () => {
    for (const { job, id, flags } of claims(sheet)) {
      // slack taken up on the way to one place is still so at the next that is come to forward
      const held = flags.filter((f) => proved(job, f));
      job.done(id);
      if (job.state.closed) continue;
      const hard = Object.keys(sheet.words.flags).filter((f) => sheet.words.flags[f]!.hard);
      const before = new Set(hard.filter((f) => proved(job, f)));
      job.say({ kind: 'reopen', step: id });
      for (const f of flags)
        if (!sheet.begins.includes(f) && !held.includes(f)) expect(proved(job, f), `${id} ${f}`).toBe(false);
      expect(
        hard.filter((f) => proved(job, f) && !before.has(f)),
        id
      ).toEqual([]);
    }
  });

  it('takes no full stop for a reason, and no word for what a figure proves', () => {
    const job = fresh(sheet);
    for (const seen of ['.', 'a', ' - '])
      expect(job.tryTo({ kind: 'skip', step: sheet.steps[0]!.id, reason: seen })).toMatchObject({
        ok: false,
        error: { code: 'says-nothing' }
      });
    for (const step of sheet.steps.filter((s) => !s.onlyIf))
      for (const f of provedAt(step, sheet.words.flags)) {
        const { proof, danger } = sheet.words.flags[f]!;
        if (!proof || proof.looks.length > 0) continue;
        const on = !(proof.off || danger);
        expect(job.tryTo({ kind: 'say', flag: f, on, seen: 'looked at it closely' }), f).toMatchObject({ ok: false });
      }
  });

  it('is closed only once every step is done or passed over with a reason, and then takes remarks alone', () => {
    const job = fresh(sheet);
    const last = sheet.steps.at(-1)!;
    expect(job.tryTo({ kind: 'done', step: last.id })).toMatchObject({ ok: false });
    for (const step of sheet.steps) doStep(job, step, true);
    expect(inTheWay(job.state, job.view(last.id))).toBeNull();
    const first = job.log[0]!;
    for (const body of [
      { kind: 'undo', undoes: first.id },
      { kind: 'reopen', step: sheet.steps[0]!.id, reason: 'a figure was misread' },
      { kind: 'reopen', step: last.id },
      { kind: 'done', step: sheet.steps[0]!.id }
    ] as const)
      expect(job.tryTo(body), body.kind).toMatchObject({ ok: false });
    expect(job.tryTo({ kind: 'remark', text: 'called for' }).ok).toBe(true);
    expect(job.tryTo({ kind: 'reopen', step: last.id, reason: 'a figure was misread' }).ok).toBe(true);
  });
});
