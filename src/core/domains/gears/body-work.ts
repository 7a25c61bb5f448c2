import { verdictOrNone, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import { numberOf, settledOf, type GearsVocabulary } from './vocabulary.ts';

/** A length of the distributor that was in and of the one that goes in; mm. */
export interface BodyRow {
  name: string;
  old: number | null;
  fresh: number | null;
  /** new less old, and its standard uncertainty; null until both are read */
  diff: number | null;
  u: number | null;
  /** what it may differ by, \u00b1; null: the data sheet does not say */
  within: number | null;
  verdict: Verdict | null;
}

/** What a body is asked in words: the same, another, or not compared yet. */
export interface BodyWord {
  name: string;
  said: 'same' | 'other' | null;
}

export interface BodyWork {
  rows: BodyRow[];
  words: BodyWord[];
}

type Slot = GearsVocabulary['slot'];
type Field = GearsVocabulary['field'];
const LENGTHS: readonly (readonly [name: string, old: Slot, fresh: Slot, within: Field])[] = [
  ['Shank, diameter', 'old-shank', 'new-shank', 'shankWithinMm'],
  ['Seat to lower gear face', 'old-seat', 'new-seat', 'seatWithinMm'],
  ['Seat to the end of the tang', 'old-tang', 'new-tang', 'tangWithinMm'],
  ['Height above the seat', 'old-height', 'new-height', 'heightWithinMm']
];
/** Asked in words at the step, by the id of the question. */
export const BODY_WORDS = {
  'seat-same': 'Seat and seal',
  'tang-same': 'Shape of the tang',
  'reach-same': 'Capsule, latch and plug'
} as const;

/** Old and new distributor side by side: what goes into the same bore, onto the same pump, under the same lid. */
export function bodyWork(engine: Engine, r: Replayed): BodyWork {
  return {
    rows: LENGTHS.map(([name, oldSlot, freshSlot, field]) => {
      const [old, fresh] = [settledOf(r.readings, oldSlot), settledOf(r.readings, freshSlot)];
      const within = numberOf(engine, field) ?? null;
      const diff = old && fresh ? fresh.value - old.value : null;
      const u = old && fresh ? Math.hypot(old.u, fresh.u) : null;
      const unknown = old?.scatterUnknown === true || fresh?.scatterUnknown === true;
      return {
        name,
        old: old?.value ?? null,
        fresh: fresh?.value ?? null,
        diff,
        u,
        within,
        verdict: diff === null || within === null ? null : verdictOrNone(diff, u!, -within, within, unknown)
      };
    }),
    words: Object.entries(BODY_WORDS).map(([id, name]) => {
      const said = r.chosen.get(id);
      return { name, said: said === 'same' || said === 'other' ? said : null };
    })
  };
}

/** What the comparison leaves open, in words; null when everything was compared and agrees. Nothing compared passes nothing. */
export function bodyOpen({ rows, words }: BodyWork): string | null {
  const bad = [
    ...rows.filter((x) => x.verdict?.state === 'out').map(told),
    ...words.filter((w) => w.said === 'other').map((w) => w.name)
  ];
  if (bad.length) return `old and new differ: ${spoken(bad)}`;
  const unsure = rows.filter((x) => x.verdict?.state === 'unsure').map(told);
  if (unsure.length) return `too close to call: ${spoken(unsure)}`;
  const left = [
    ...rows.filter((x) => x.diff === null).map((x) => x.name),
    ...words.filter((w) => w.said === null).map((w) => w.name)
  ];
  if (left.length) return `not compared: ${spoken(left)}`;
  const unjudged = rows.filter((x) => x.verdict === null).map((x) => x.name);
  return unjudged.length ? `what it may differ by is not on the data sheet: ${spoken(unjudged)}` : null;
}

/** A difference with its doubt, and what it may be. */
const told = (x: BodyRow): string =>
  `${x.name} by ${Math.abs(x.diff!).toFixed(2)} \u00b1 ${(2 * x.u!).toFixed(2)} mm, \u00b1 ${x.within} mm may be`;

const spoken = (names: readonly string[]): string =>
  names.map((n) => n.charAt(0).toLowerCase() + n.slice(1)).join(', ');
