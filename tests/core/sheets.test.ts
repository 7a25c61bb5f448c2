import { describe, expect, it } from 'vitest';
import { runSheets } from '$core/sheets/index.ts';
import { byHarm, raised } from '$core/job/rules.ts';
import { manifests } from '$core/domains/all.ts';
import { fieldOf } from '$core/sheets/data-sheet.ts';
import { parseSheetValue, sheetConflicts } from '$core/sheets/data-sheet.ts';
import { engineWith, SHEET } from '../support/played.ts';

describe.each(runSheets)('run sheet $id', (sheet) => {
  it('has one step of each id, in phases that are not torn apart', () => {
    const ids = sheet.steps.map((s) => s.id);
    expect(new Set(ids).size).toBe(ids.length);
    const phases = sheet.steps.map((s) => s.phase).filter((p, k, all) => p !== all[k - 1]);
    expect(new Set(phases).size).toBe(phases.length);
  });

  it('gives every state that a step needs in an earlier step', () => {
    const on = new Set<string>(sheet.begins);
    const wrong: string[] = [];
    for (const s of sheet.steps) {
      for (const f of s.needs) if (!on.has(f)) wrong.push(`${s.id} needs ${f}`);
      for (const f of s.sets) on.add(f);
    }
    expect(wrong).toEqual([]);
  });

  it('leaves no danger on that a later step forbids without a step that ends it', () => {
    const ended = new Set<string>(sheet.steps.flatMap((s) => s.clears));
    const begun = new Set<string>([...sheet.begins, ...sheet.steps.flatMap((s) => s.sets)]);
    const stuck = sheet.steps
      .flatMap((s) => s.mustBeOff)
      .filter((f) => begun.has(f) && !ended.has(f) && f !== 'ignition-live');
    expect(stuck).toEqual([]);
  });

  it('asks only for values that the data sheet has', () => {
    expect(sheet.steps.flatMap((s) => s.values).filter((v) => !fieldOf(v))).toEqual([]);
  });
});

const rules = manifests.flatMap((m) => m.rules);

describe('interlocks', () => {
  it('are raised by the states they watch, people first', () => {
    const on = new Set([
      'distributor-out',
      'witness-marks',
      'crank-at-reference',
      'backlash-taken-up',
      'barring-tool-fitted',
      'battery-isolated'
    ]);
    const up = byHarm(raised(rules, on, { r: { facts: new Map(), chosen: new Map() }, engine: engineWith(SHEET) }));
    const dangers = up.filter((r) => r.on.length > 0).map((r) => r.id);
    expect(dangers).toEqual(['IL.15', 'IL.01s', 'IL.04', 'IL.01']);
  });
  it('each say what to do if it happened all the same', () => {
    expect(rules.filter((r) => r.ifItHappened.length < 10 || r.because.length < 10)).toEqual([]);
  });
});

describe('limits that contradict each other', () => {
  it.each([
    ['floatMinMm', '0.6', 'floatMaxMm', '0.1', 'end float'],
    ['installedMinMm', '98.8', 'installedMaxMm', '98.4', 'installed dimension'],
    ['shaftHeightMinMm', '32.2', 'shaftHeightMaxMm', '31.8', 'height of the drive shaft'],
    ['contactGapMinMm', '0.45', 'contactGapMaxMm', '0.35', 'contact gap'],
    ['dwellMinDeg', '40', 'dwellMaxDeg', '34', 'dwell'],
    ['startMinBtdc', '11 before', 'startMaxBtdc', '6 before', 'initial timing']
  ])('%s %s and %s %s are named', (low, a, high, b, what) => {
    const [clash, ...more] = sheetConflicts(engineWith({ ...SHEET, [low]: a, [high]: b }));
    expect(more).toEqual([]);
    expect(clash).toMatchObject({ names: [low, high], message: expect.stringContaining(what) });
    expect(sheetConflicts(engineWith({ ...SHEET, [low]: b, [high]: a }))).toEqual([]);
    // limits that are one figure leave no room, but they are not wrong
    expect(sheetConflicts(engineWith({ ...SHEET, [low]: a, [high]: a }))).toEqual([]);
  });
});

describe('data sheet', () => {
  it.each([
    ['firingOrder', '1-2-4-3', [1, 2, 4, 3]],
    ['firingOrder', '1 5 3 6 2 4', [1, 5, 3, 6, 2, 4]],
    ['firingOffsets', '0 90 360 450', [0, 90, 360, 450]],
    ['strokeMm', '4 1/8', 104.775],
    ['staticBtdc', '2 after', -2],
    ['runningDirection', 'ccw', 'ccw'],
    ['ratio', '0,5', 0.5]
  ])('reads %s from "%s"', (name, given, want) => {
    const read = parseSheetValue(name, given, null);
    expect(
      read.ok &&
        (Array.isArray(want)
          ? read.out
          : typeof want === 'number'
            ? Math.round((read.out as number) * 1e9) / 1e9
            : read.out)
    ).toEqual(want);
  });

  it.each([
    ['firingOrder', '2-1-3', 'begins with cylinder 1'],
    ['firingOrder', '1-2-2', '2 stands 2 times'],
    ['firingOffsets', '0 400 90', 'rising from 0'],
    ['strokeMm', '33 kPa', 'not a unit of length'],
    ['strokeMm', '-3', 'must be above 0'],
    ['runningDirection', 'left', 'clockwise or anticlockwise'],
    ['ratio', 'half', 'not a number'],
    ['noSuch', '1', 'no value called']
  ])('refuses %s "%s" and says why', (name, given, why) => {
    const read = parseSheetValue(name, given, null);
    expect(!read.ok && read.error.message).toContain(why);
  });

  it('finds values that contradict each other', () => {
    expect(sheetConflicts(engineWith(SHEET))).toEqual([]);
    expect(sheetConflicts(engineWith({ ...SHEET, cylinders: '6' }))[0]!.names).toContain('firingOrder');
    expect(sheetConflicts(engineWith({ ...SHEET, rodMm: '40' }))[0]!.message).toContain('cannot follow');
    expect(sheetConflicts(engineWith({ ...SHEET, staticBtdc: '12' }))[0]!.names).toEqual(['staticBtdc']);
  });
});
