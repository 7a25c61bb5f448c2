import { describe, expect, it } from 'vitest';
import { carriedOver, labelsOfCarried } from '$core/job/carry.ts';
import type { EventBody } from '$core/job/index.ts';
import { repeatsIn } from '$core/job/repeats.ts';
import { notSettled, settledFigures } from '$core/job/index.ts';
import { sheetOf } from '$core/sheets/index.ts';
import { engineWith, GAUGES, headline, PlayedJob, SHEET } from '../../support/played.ts';

const VALUES = { ...SHEET, gearTeeth: '15', floatMinMm: '0.1', floatMaxMm: '0.3', bushPlayMaxMm: '0.06' };
const DIAL = { ...GAUGES.dial!, kind: 'dial' as const };

/** A teardown with its float read twice, its pattern seen and its weights tried. */
function teardown(): PlayedJob {
  const j = new PlayedJob(engineWith(VALUES), 'teardown').done('intake', 'received', 'clean');
  j.say(j.reading('float', 'float-bench', '0.44', DIAL), 'Marit Oakes');
  j.say(j.reading('float', 'float-bench', '0.45', DIAL), 'Marit Oakes');
  j.say({ kind: 'choose', school: 'wear-place', option: 'low' });
  j.say({ kind: 'choose', school: 'advance-moves', option: 'sticks' });
  return j;
}
const ORIGIN = { job: 'f0d4f8a2-0000-4000-8000-000000000001', sheet: 'teardown' };
const follow = (sheet: string, before = teardown()) => {
  const carried = carriedOver(before.state, ORIGIN, sheetOf(sheet)!);
  const j = new PlayedJob(engineWith(VALUES), sheet);
  for (const c of carried) j.say(c as EventBody);
  return { j, carried };
};

describe('a job that follows from another', () => {
  it('takes over what both ask for, with gauge, hand and day, and nothing else', () => {
    const { j, carried } = follow('regear');
    expect(labelsOfCarried(carried, j.sheet)).toEqual([
      'float at the gear, before: 0.44 mm, 0.45 mm',
      'The gear wore low'
    ]);
    expect(j.state.readings[0]).toMatchObject({
      step: 'fix',
      slot: 'float',
      value: 0.44,
      gauge: { id: 'dial' },
      from: { ...ORIGIN, by: 'Marit Oakes' }
    });
    expect(j.state.replayed.chosen.get('wear-place')).toBe('low');
    // nothing is done by it: whoever takes it over looks at each step
    expect(j.state.progress.done).toBe(0);
  });
  it('takes another share of it for another sheet, and nothing for the same or a strange one', () => {
    const bench = follow('bench-check');
    expect(bench.j.state.readings.map((r) => r.slot)).toEqual(['float-bench', 'float-bench']);
    expect(bench.j.state.replayed.chosen.get('advance-moves')).toBe('sticks');
    expect(follow('teardown').carried).toEqual([]);
    expect(follow('magneto').carried).toEqual([]);
  });
  it('knows the leads as they were found, tower by tower, and does not take them for mapped by its own hand', () => {
    const before = new PlayedJob(engineWith(VALUES), 'in-place-check');
    for (const c of ['1', '3', '4', '2']) before.read('map', 'lead-map', c);
    const { j, carried } = follow('refit-same', before);
    expect(labelsOfCarried(carried, j.sheet)).toContain('next tower clockwise: its lead goes to cylinder: 1, 3, 4, 2');
    expect(j.state.work.leadMap.fromOne).toEqual([1, 3, 4, 2]);
    expect(j.view('map').state).not.toBe('done');
    expect(j.state.flags.has('leads-mapped')).toBe(false);
  });
  it('judges what it took over as its own, and an amendment makes it so', () => {
    const { j } = follow('bench-check');
    expect(settledFigures(j.state).find((f) => f.key === 'float-bench')).toMatchObject({ verdict: 'out' });
    const r = j.state.readings[0]!;
    j.say({
      kind: 'amend',
      replaces: r.id,
      basis: r.basis,
      reason: 'read again',
      text: '0.20',
      value: 0.2,
      unit: 'mm',
      resolution: 0.01,
      gauge: DIAL
    });
    expect(j.state.readings[0]).not.toHaveProperty('from');
    expect(j.state.readings[1]).toHaveProperty('from');
  });
  it('tells of its hand where it was read, and not once more', () => {
    const before = teardown();
    expect(repeatsIn(before.state)).toMatchObject([{ kind: 'dial', reads: 'float-bench', n: 2, dof: 1 }]);
    expect(repeatsIn(follow('bench-check', before).j.state)).toEqual([]);
  });
  it('passes on where a reading first came from when it is carried twice', () => {
    const bench = follow('bench-check').j;
    const on = carriedOver(bench.state, { job: 'other', sheet: 'bench-check' }, sheetOf('regear')!);
    expect(on[0]).toMatchObject({ slot: 'float', from: { job: ORIGIN.job, by: 'Marit Oakes' } });
  });
});

describe('what the findings of a gear speak for', () => {
  const gear = (...said: [school: string, option: string][]) => {
    const j = new PlayedJob(
      engineWith({ ...VALUES, gearHand: 'right', gearOutsideMm: '42.6', camMaterial: 'steel' }),
      'teardown'
    );
    for (const [school, option] of said) j.say({ kind: 'choose', school, option });
    return { j, of: () => j.state.work.decisions.find((d) => d.part === 'gear')! };
  };
  it.each([
    ['a hand that is not the data sheet\u2019s', [['hand-seen', 'left']], 'replace', /backwards/],
    [
      'a pair that nobody permits',
      [
        ['material-by', 'bronze'],
        ['material-listed', 'not-listed']
      ],
      'replace',
      /^never run/
    ],
    [
      'a pair of which nobody knows',
      [
        ['material-by', 'bronze'],
        ['material-listed', 'no-list']
      ],
      'remark',
      /nobody knows/
    ],
    [
      'a listed gear of the right hand',
      [
        ['hand-seen', 'right'],
        ['material-by', 'bronze'],
        ['material-listed', 'listed']
      ],
      'use',
      /./
    ]
  ] as const)('%s', (_, said, proposed, because) => {
    const d = gear(...(said as unknown as [string, string][])).of();
    expect(d.proposed).toBe(proposed);
    expect(d.because).toMatch(because);
  });
  it('another diameter over the teeth than the data sheet\u2019s, and one within what blanks differ by', () => {
    const { j, of } = gear();
    j.read('teeth', 'outside-found', '42.75');
    expect(of()).toMatchObject({ proposed: 'use', found: expect.stringContaining('42.6 wanted to ± 0.2') });
    const other = gear();
    other.j.read('teeth', 'outside-found', '43.4');
    expect(other.of()).toMatchObject({ proposed: 'replace', job: 'regear' });
  });
  it('tells all of them and lets the worst speak', () => {
    const { of } = gear(['wear-place', 'middle'], ['wear-surface', 'polished'], ['hand-seen', 'left']);
    expect(of().found).toBe('left-hand, the data sheet says right-hand; wore in the middle, polished');
    expect(of().proposed).toBe('replace');
  });
  it('judges swing and float in place only against limits, which it names', () => {
    const at = (values: Record<string, string>) => {
      const j = new PlayedJob(engineWith({ ...VALUES, ...values }), 'in-place-check');
      j.read('swing', 'rotor-swing', '4');
      return j.state.work.decisions.find((d) => d.part === 'shaft')!;
    };
    expect(at({})).toMatchObject({ proposed: null, because: expect.stringContaining('no limit') });
    expect(at({ rotorSwingMaxDeg: '2' })).toMatchObject({ proposed: 'replace', job: 'teardown' });
    expect(at({ rotorSwingMaxDeg: '2' }).because).toContain('2° or less');
  });
  it('judges the gap by the lobe where it is worst, and the plate with it', () => {
    const gaps = { contactGapMinMm: '0.35', contactGapMaxMm: '0.45' };
    const j = new PlayedJob(engineWith({ ...VALUES, ...gaps }), 'in-place-check');
    const plate = () => j.state.work.decisions.find((d) => d.part === 'plate')!;
    j.say({ kind: 'choose', school: 'plate-is', option: 'steady' });
    for (const mm of ['0.40', '0.41']) j.read('plate', 'lobe-gap', mm);
    expect(plate()).toMatchObject({ proposed: 'use' });
    j.read('plate', 'lobe-gap', '0.52');
    j.read('plate', 'lobe-gap', '0.40');
    expect(headline(j, 'plate')).toMatch(
      /one after another, worst of 4: 0\.520 ± 0\.\d+ mm: out, limits 0\.35 to 0\.45 mm$/
    );
    expect(plate()).toMatchObject({ proposed: 'replace', found: expect.stringContaining('steady') });
    expect(settledFigures(j.state).find((f) => f.key === 'lobe-gap')).toMatchObject({ value: 0.52, verdict: 'out' });
    // a reading with blades that nobody named is never in, and speaks before those that are
    const unnamed = new PlayedJob(engineWith({ ...VALUES, ...gaps }), 'in-place-check');
    unnamed.say(unnamed.reading('plate', 'lobe-gap', '0.40', null));
    unnamed.read('plate', 'lobe-gap', '0.36');
    expect(headline(unnamed, 'plate')).toContain('too close to call');
    // each lobe is its own place: four gaps are no four readings of one, and the hand learns nothing from them
    expect(repeatsIn(j.state).filter((r) => r.kind === 'blade')).toEqual([]);
  });
  it('says in its headline what was seen, once all of it is said', () => {
    const j = new PlayedJob(engineWith(VALUES), 'in-place-check');
    j.say({ kind: 'choose', school: 'cap-is', option: 'burnt-side' });
    j.say({ kind: 'choose', school: 'rotor-is', option: 'sound' });
    expect(() => headline(j, 'secondary')).toThrow('has no finding');
    j.say({ kind: 'choose', school: 'leads-are', option: 'sound' });
    expect(headline(j, 'secondary')).toBe(
      'The cap is burnt on one side of its terminals; the rotor is sound; the leads are sound'
    );
  });
  it.each([
    [{}, /: not judged, no limit on the data sheet$/],
    [{ rotorSwingMaxDeg: '2' }, /: out, limits 2° or less$/]
  ])('goes on with a swing out of its limits, which is a finding, and says how it was judged (%o)', (more, said) => {
    const j = new PlayedJob(engineWith({ ...VALUES, ...more }), 'in-place-check').done('intake', 'safe', 'received');
    j.read('swing', 'rotor-swing', '4');
    expect(headline(j, 'swing')).toMatch(said);
    expect(notSettled(j.state, j.view('swing'))).toBeNull();
    j.done('swing');
    expect(j.view('swing').state).toBe('done');
    // it waits for its word where the parts are decided
    expect(j.tryTo({ kind: 'done', step: 'decide' })).toMatchObject({ ok: false });
  });
});
