import { gearCompare, type Finding } from '../../calculations/gear/gear-compare.ts';
import { driveGearReindex } from '../../calculations/drive/drive-gear-reindex.ts';
import type { Engine } from '../../engine/engine.ts';
import { choiceOf, lastOf, numberOf, type GearsVocabulary } from './vocabulary.ts';
import type { Replayed } from '../../job/replayed.ts';

/** What is compared: a length, shown in the unit of whoever reads it, or a word. */
export type GearFigure = string | { mm: number };

export interface GearRow {
  label: string;
  old: GearFigure | null;
  fresh: GearFigure | null;
  /** `known`: two things that go together, which are not compared */
  state: 'same' | 'differs' | 'unknown' | 'known';
}

export interface GearWork {
  rows: GearRow[];
  findings: Finding[] | null;
  /** what the comparison cannot be made without */
  lacks: string[];
  ok: boolean | null;
  reindex: ReturnType<typeof driveGearReindex> | null;
}

type GearMaterial = Parameters<typeof gearCompare>[0]['gearMaterial'];
type CamMaterial = Parameters<typeof gearCompare>[0]['camMaterial'];
type Hand = 'right' | 'left';

/** The gear that was in against the one that goes in, and what turning it on its shaft does. Unknown stays unknown. */
export function gearWork(engine: Engine, r: Replayed): GearWork {
  const { readings } = r;
  const fresh = (slot: GearsVocabulary['slot']) => lastOf(readings, slot)?.value;
  const old = {
    teeth: numberOf(engine, 'gearTeeth'),
    hand: choiceOf(engine, 'gearHand') as Hand | undefined,
    moduleMm: numberOf(engine, 'gearModuleMm'),
    boreMm: numberOf(engine, 'gearBoreMm'),
    outsideDiameterMm: numberOf(engine, 'gearOutsideMm')
  };
  const now = {
    teeth: fresh('new-teeth'),
    hand: known(r.chosen.get('new-hand')) as Hand | undefined,
    moduleMm: fresh('new-module'),
    boreMm: fresh('new-bore'),
    outsideDiameterMm: fresh('new-outside')
  };
  const cam = choiceOf(engine, 'camMaterial') as CamMaterial | undefined;
  const material = known(r.chosen.get('new-material')) as GearMaterial | undefined;
  const lacks = [
    ...(cam ? [] : ['what the camshaft gear is made of (data sheet)']),
    ...(material ? [] : ['what the new gear is made of'])
  ];
  const compared =
    cam && material
      ? gearCompare({ old: defined(old), new: defined(now), camMaterial: cam, gearMaterial: material })
      : null;
  const turned = lastOf(readings, 'gear-turned');
  const teeth = now.teeth ?? old.teeth;
  const ratio = numberOf(engine, 'ratio');
  return {
    rows: rowsOf(old, now, cam, material),
    findings: compared?.findings ?? null,
    lacks,
    ok: compared?.ok ?? null,
    reindex:
      turned && teeth !== undefined && ratio !== undefined
        ? driveGearReindex({ teeth, rotateDeg: turned.value, ratio })
        : null
  };
}

const known = (x: string | undefined): string | undefined => (x === 'unknown' ? undefined : x);
/** Optional figures left out rather than undefined, as the calculation wants them. */
function defined<T extends object>(x: T): { [K in keyof T]?: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(x).filter(([, v]) => v !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };
}

interface Gear {
  teeth: number | undefined;
  hand: Hand | undefined;
  moduleMm: number | undefined;
  boreMm: number | undefined;
  outsideDiameterMm: number | undefined;
}

function rowsOf(old: Gear, now: Gear, cam?: string, material?: string): GearRow[] {
  const mm = (x: number | undefined) => (x === undefined ? null : { mm: x });
  // one and the same pitch under both of its names, whichever the gear's maker uses
  const module = (x: number | undefined) =>
    x === undefined ? null : `${Number(x.toFixed(2))} (${Number((25.4 / x).toFixed(1))} DP)`;
  const hand = (h: Hand | undefined) => (h === undefined ? null : `${h}-hand`);
  const row = (label: string, a: GearFigure | null, b: GearFigure | null, differs: boolean | null): GearRow => ({
    label,
    old: a,
    fresh: b,
    state: a === null || b === null ? 'unknown' : differs === null ? 'known' : differs ? 'differs' : 'same'
  });
  const off = (a: number | undefined, b: number | undefined, by: (a: number) => number) =>
    a !== undefined && b !== undefined && Math.abs(a - b) > by(a) + 1e-9;
  return [
    row('Teeth', text(old.teeth), text(now.teeth), old.teeth !== now.teeth),
    row('Hand', hand(old.hand), hand(now.hand), old.hand !== now.hand),
    row(
      'Module',
      module(old.moduleMm),
      module(now.moduleMm),
      off(old.moduleMm, now.moduleMm, (a) => 0.01 * a)
    ),
    row(
      'Bore',
      mm(old.boreMm),
      mm(now.boreMm),
      off(old.boreMm, now.boreMm, () => 0.02)
    ),
    row(
      'Outside diameter',
      mm(old.outsideDiameterMm),
      mm(now.outsideDiameterMm),
      off(old.outsideDiameterMm, now.outsideDiameterMm, (a) => 0.005 * a)
    ),
    row('Cam, new gear', cam?.replaceAll('-', ' ') ?? null, material?.replaceAll('-', ' ') ?? null, null)
  ];
}
const text = (n: number | undefined) => (n === undefined ? null : String(n));

const SAID: Record<string, string> = {
  'teeth-differ': 'Another count of teeth: the ratio is wrong.',
  'hand-differs': 'The other hand: it drives the shaft backwards and thrusts the wrong way.',
  'module-differs': 'Another pitch: the teeth do not fit.',
  'bore-differs': 'Another bore: it is loose or does not go on.',
  'outside-diameter-differs': 'Another outside diameter: it rides high or interferes.',
  'material-clash': 'This pair ruins the camshaft\u2019s gear.',
  'sacrificial-gear': 'Bronze wears so that the camshaft does not: look at it often.',
  'confirm-with-cam-maker': 'The camshaft\u2019s maker has the last word on the pair, in writing.',
  'not-compared:teeth': 'Teeth not compared: count both.',
  'not-compared:hand': 'Hand not compared: look at both.',
  'not-compared:module': 'Pitch not compared: measure both.'
};
export const gearFinding = (f: Finding): string => SAID[f.code] ?? f.code;
