import { describe, expect, it } from 'vitest';
import { jobCard } from '$core/job/card.ts';
import { notSettled } from '$core/job/index.ts';
import { tallies } from '$core/job/tally.ts';
import { runSheets } from '$core/sheets/index.ts';
import { engineWith, headline, mm, PlayedJob, SHEET } from '../../support/played.ts';

const job = () => new PlayedJob(engineWith(SHEET), 'refit-same');
const open = (j: PlayedJob, step: string) => notSettled(j.state, j.view(step));
const of = (j: PlayedJob, step: string, slot: string) =>
  tallies(j.state, j.view(step).step).find((t) => t.slot.slot === slot)!;

describe('what is counted out', () => {
  it('is counted back at a later step, where as many are to come', () => {
    const j = job();
    expect(of(j, 'reconnect', 'put-back')).toMatchObject({ of: null, n: null, left: null });
    j.read('disconnect', 'taken-off', '5');
    expect(of(j, 'reconnect', 'put-back')).toMatchObject({ of: 5, n: null, left: null });
    j.read('reconnect', 'put-back', '3');
    expect(of(j, 'reconnect', 'put-back')).toMatchObject({ of: 5, n: 3, left: 2 });
    expect(open(j, 'reconnect')).toBe(
      '2 of 5 missing: find by the labels what still hangs loose; a plug left off is a dead engine'
    );
    expect(headline(j, 'reconnect')).toBe('Plugs and cables put back: 3 of 5, 2 still missing');
    // the last count is the one that stands
    j.read('reconnect', 'put-back', '5');
    expect(open(j, 'reconnect')).toBeNull();
    expect(headline(j, 'reconnect')).toBe('Plugs and cables put back: all 5 are there');
  });
  it('is asked for before what comes back says anything', () => {
    const j = job();
    j.read('reconnect', 'put-back', '5');
    expect(open(j, 'reconnect')).toBe('plugs and cables taken off: not counted');
    expect(j.tryTo({ kind: 'done', step: 'disconnect' }).ok).toBe(false);
  });
  it('never comes back as more than it was', () => {
    const j = job();
    j.read('disconnect', 'taken-off', '5');
    j.read('reconnect', 'put-back', '6');
    expect(open(j, 'reconnect')).toBe('6 counted where there were 5: count both again');
    expect(headline(j, 'reconnect')).toBe('Plugs and cables put back: 6 where there were 5, count both again');
  });
  it('tapped one by one stands as what it came to, also on the card, and taken back it is one less', () => {
    const j = job();
    const taps = ['1', '2', '3'].map((n) => j.read('disconnect', 'taken-off', n));
    const stands = () =>
      jobCard(j.state, j.engine, mm)
        .readings.filter((r) => r.label === 'plugs and cables taken off')
        .map((r) => r.reading.value);
    expect(stands()).toEqual([3]);
    j.say({ kind: 'undo', undoes: taps[2]!.id });
    expect(stands()).toEqual([2]);
    // other figures that are read again keep what was read before
    j.read('base-before', 'base-before', '9b');
    j.read('base-before', 'base-before', '9.5b');
    expect(j.state.readings.filter((r) => r.slot === 'base-before')).toHaveLength(2);
  });
  it('of several says first what does not come out', () => {
    const j = job();
    j.read('cover', 'small-parts-out', '9');
    j.read('sweep', 'small-parts-back', '8');
    j.read('sweep', 'given-out', '14');
    j.read('sweep', 'counted-back', '14');
    expect(open(j, 'sweep')).toMatch(/^1 of 9 missing: never turn the engine until it is found/);
    expect(headline(j, 'sweep')).toBe('Small parts back in place: 8 of 9, 1 still missing');
    j.read('sweep', 'small-parts-back', '9');
    expect(headline(j, 'sweep')).toBe(
      'Small parts back in place: all 9 are there; tools counted back: all 14 are there'
    );
  });
  it('is owed nowhere where there was none', () => {
    const j = new PlayedJob(engineWith(SHEET), 'regear');
    const missing = () => {
      const answer = j.tryTo({ kind: 'done', step: 'off' });
      return answer.ok ? '' : answer.error.message;
    };
    expect(missing()).toContain('small parts back in place');
    j.read('cover', 'small-parts-out', '0');
    expect(missing()).toBe('');
    j.read('off', 'small-parts-back', '0');
    expect(headline(j, 'off')).toBe('Small parts back in place: there were none');
    j.read('off', 'small-parts-back', '1');
    expect(missing()).toContain('1 counted where there were 0');
  });
  it('at one walk is not owed at a later one, where nothing was counted out anew', () => {
    const j = new PlayedJob(engineWith(SHEET), 'recurve');
    j.read('sweep-list', 'given-out', '14');
    expect(open(j, 'sweep-list')).toBe('nothing was counted back yet');
    j.read('sweep-list', 'counted-back', '14');
    j.look('sweep-list').look('list-again');
    expect(open(j, 'list-again')).toBeNull();
    j.read('list-again', 'given-out', '3');
    expect(open(j, 'list-again')).toBe('nothing was counted back yet');
  });
  it('counted again at its own step moves what is still to come', () => {
    const j = job();
    j.read('disconnect', 'taken-off', '5');
    j.read('reconnect', 'put-back', '5');
    j.read('disconnect', 'taken-off', '6');
    expect(of(j, 'reconnect', 'put-back').left).toBe(1);
  });
});

describe('a count of what breaks what turns', () => {
  const short = () => {
    const j = new PlayedJob(engineWith(SHEET), 'regear');
    j.read('cover', 'small-parts-out', '9');
    j.read('off', 'small-parts-back', '8');
    return j;
  };
  const bars = (j: PlayedJob) => j.state.raised.map((r) => r.id);
  it('raises the bar of a missing part until it comes out, and no word of hand lowers it', () => {
    const j = short();
    expect(bars(j)).toContain('IL.05');
    for (const flag of ['vehicle-secured', 'battery-isolated'])
      j.say({ kind: 'say', flag, on: true, seen: 'chocked, lead tied back' });
    const turned = j.tryTo({ kind: 'crank', crankDeg: 10, move: 'forward' });
    expect(turned.ok ? '' : turned.error.message).toMatch(/^Never turn or start the engine while a part is missing/);
    j.say({ kind: 'say', flag: 'part-missing', on: false, seen: 'looked everywhere' });
    expect(bars(j)).toContain('IL.05');
    j.read('off', 'small-parts-back', '9');
    expect(bars(j)).not.toContain('IL.05');
  });
  it('goes by what was counted last, wherever', () => {
    const j = new PlayedJob(engineWith(SHEET), 'locked-offset');
    j.read('restore', 'given-out', '11');
    j.read('restore', 'counted-back', '10');
    expect(bars(j)).toContain('IL.05');
    j.read('off', 'counted-back', '11');
    expect(bars(j)).not.toContain('IL.05');
  });
  it('is gone on from with no reason; another is', () => {
    const over = (j: PlayedJob, step: string) => {
      const left = notSettled(j.state, j.view(step))!;
      j.say({ kind: 'override', step, flags: [], open: left, reason: 'the last one is in my pocket' });
      return j.tryTo({ kind: 'done', step });
    };
    const hard = over(short(), 'off');
    expect(hard).toMatchObject({ ok: false, error: { code: 'count-open' } });
    expect(hard.ok ? '' : hard.error.message).toBe(
      'The count must come out first, and no reason goes on without it. 1 of 9 missing: never turn the engine until it is found; magnet and lamp in the case and round the bore.'
    );
    const soft = job();
    soft.say({ kind: 'say', flag: 'battery-isolated', on: true, seen: 'lead off' });
    soft.given('housing-indexed');
    soft.read('disconnect', 'taken-off', '5');
    soft.read('reconnect', 'put-back', '4');
    expect(soft.tryTo({ kind: 'done', step: 'reconnect' })).toMatchObject({ ok: false, error: { code: 'not-proved' } });
    expect(over(soft, 'reconnect').ok).toBe(true);
  });
});

describe('pieces that are read one by one', () => {
  const rings = () => {
    const j = new PlayedJob(engineWith(SHEET), 'open-case');
    j.read('inventory', 'rings-drawn', '2');
    j.read('inventory', 'ring-count', '2');
    return j;
  };
  it('are as many as were counted', () => {
    const j = rings();
    expect(open(j, 'inventory')).toBe('a ring, thickness: 2 of 2 not read yet');
    j.read('inventory', 'ring', '1.50');
    expect(of(j, 'inventory', 'ring')).toMatchObject({ of: 2, n: 1, left: 1, each: true });
    j.read('inventory', 'ring', '2.00');
    expect(open(j, 'inventory')).toBeNull();
    j.read('inventory', 'ring', '2.00');
    expect(open(j, 'inventory')).toBe('a ring, thickness: 3 read where 2 were counted; take back what was read twice');
  });
});

describe.each(runSheets.map((s) => [s.id, s] as const))('every count of %s', (_, sheet) => {
  it('has what it is counted against at the same step or an earlier one', () => {
    const seen = new Set<string>();
    for (const step of sheet.steps) {
      for (const s of step.slots) seen.add(s.slot);
      for (const s of step.slots)
        for (const from of [s.countsBack?.slot, s.eachOf])
          if (from !== undefined) expect([...seen], `${step.id}: ${s.slot}`).toContain(from);
    }
  });
  it('is counted back: what a step asks to be counted out comes back at a later one', () => {
    const back = new Set(sheet.steps.flatMap((x) => x.slots.flatMap((s) => s.countsBack?.slot ?? [])));
    const out = sheet.steps.flatMap((x) =>
      x.slots.filter((s) => /-out$|^taken-off$/.test(s.slot) && s.quantity === 'count')
    );
    for (const s of out) expect([...back]).toContain(s.slot);
  });
});
