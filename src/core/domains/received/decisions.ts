import type { Engine } from '../../engine/engine.ts';
import { judgedSlot, judgedText, limitsText } from '../../job/judged.ts';
import type { Replayed } from '../../job/replayed.ts';
import { lower } from '../../job/texts.ts';
import { slots } from './slots.ts';
import { choiceOf, lastOf, numberOf, settledOf } from './vocabulary.ts';

/** The jobs that a finding may ask for, by their run sheet. */
export type Follows = 'regear' | 'recurve' | 'bench-check' | 'teardown';
export type Word = 'use' | 'remark' | 'replace';

/** A part, what was found of it, what that speaks for, and what was decided. */
export interface Decision {
  part: PartId;
  name: string;
  /** in words; null while nothing was found of it */
  found: string | null;
  proposed: Word | null;
  because: string | null;
  decided: Word | null;
  /** the run sheet that follows from it */
  job: Follows | null;
}

export const parts = {
  shaft: 'Shaft and bush',
  platform: 'Advance platform',
  gear: 'Drive gear',
  weights: 'Weights and springs',
  capsule: 'Vacuum capsule',
  plate: 'Plate and earth lead',
  cap: 'Cap',
  rotor: 'Rotor',
  leads: 'Leads'
} as const;
export type PartId = keyof typeof parts;

interface Speaks {
  found: string;
  proposed: Word | null;
  because: string;
  job?: Follows;
}

/** What the findings speak for, part by part; a decision is the technician's, and stands beside it. */
export function decisionsOf(engine: Engine, r: Replayed): Decision[] {
  const said = (q: string) => r.chosen.get(q);
  const speaks: Record<PartId, Speaks | null> = {
    shaft: shaft(engine, r),
    platform: measured(engine, r, 'top-float', 'It lifts', 'the trigger\u2019s gap varies', undefined),
    gear: gear(engine, r),
    weights: answer(said('advance-moves'), {
      free: ['free, snaps back, reaches its stop', 'use', 'it does what it must'],
      sticks: [
        'sticks, or comes back slowly',
        'remark',
        'cleaned and oiled it may serve: the curve is measured again',
        'recurve'
      ],
      seized: ['seized, or a spring is missing', 'replace', 'no curve holds with it', 'recurve']
    }),
    capsule: answer(said('capsule-holds'), {
      holds: ['holds, returns fully', 'use', 'it does what it must'],
      leaks: ['leaks', 'replace', 'a leaking capsule is a weak mixture as well'],
      stuck: ['does not move its plate', 'replace', 'it adds nothing where it must'],
      with: ['moves its plate with the rotor', 'replace', 'it takes advance away where it must add']
    }),
    plate: plate(engine, r),
    cap: answer(said('cap-is'), {
      sound: ['sound', 'use', 'no crack, no track'],
      cracked: ['cracked or tracked', 'replace', 'the spark takes the track'],
      'burnt-side': [
        'terminals burnt on one side',
        'replace',
        'the rotor does not stand under them at the spark: look at the phasing',
        'bench-check'
      ]
    }),
    rotor: answer(said('rotor-is'), {
      sound: ['sound', 'use', 'tip whole, spring firm'],
      burnt: ['tip burnt short', 'replace', 'the gap to the terminals is too wide'],
      loose: ['loose on its shaft', 'replace', 'it does not hold its place']
    }),
    leads: answer(said('leads-are'), {
      sound: ['sound', 'use', 'resistance as it should be'],
      bad: ['hard, burnt, or without passage', 'replace', 'a miss that looks like timing']
    })
  };
  return (Object.keys(parts) as PartId[]).map((part) => {
    const s = speaks[part];
    const decided = said(`decide-${part}`);
    return {
      part,
      name: parts[part],
      found: s?.found ?? null,
      proposed: s?.proposed ?? null,
      because: s?.because ?? null,
      decided: decided === 'use' || decided === 'remark' || decided === 'replace' ? decided : null,
      job: s?.job ?? null
    };
  });
}

type Words = readonly [found: string, proposed: Word, because: string, job?: Follows];
function answer(said: string | undefined, means: Record<string, Words>): Speaks | null {
  const w = said === undefined ? undefined : means[said];
  return w ? { found: w[0], proposed: w[1], because: w[2], ...(w[3] === undefined ? {} : { job: w[3] }) } : null;
}

/** How the plate sits, and what the gap is where it is worst. */
function plate(engine: Engine, r: Replayed): Speaks | null {
  const sits = answer(r.chosen.get('plate-is'), {
    steady: ['steady, earth lead sound', 'use', 'the gap holds'],
    loose: ['loose', 'replace', 'the gap changes with every spark, and gears are blamed for it'],
    lead: ['steady, earth lead broken', 'remark', 'a new lead cures it']
  });
  const gap = measured(
    engine,
    r,
    'lobe-gap',
    'at its worst lobe the gap is',
    'worn contacts, a worn cam or a loose plate: set it before the timing',
    undefined
  );
  return together([sits, gap].filter((s) => s !== null));
}

function measured(
  engine: Engine,
  r: Replayed,
  slot: 'float-bench' | 'float-in-place' | 'rotor-swing' | 'top-float' | 'bush-play' | 'shaft-runout' | 'lobe-gap',
  does: string,
  harm: string,
  job: Follows | undefined
): Speaks | null {
  const j = judgedSlot(engine, r.readings, slots[slot]);
  if (!j) return null;
  const found = `${does} ${judgedText(slots[slot], j, (mm, d = 3) => `${mm.toFixed(d)} mm`)}`;
  if (!j.verdict) return { found, proposed: null, because: 'not judged: the data sheet has no limit' };
  const limits = limitsText(slots[slot], j, (mm, d = 3) => `${mm.toFixed(d)} mm`);
  if (j.verdict.state === 'in') return { found, proposed: 'use', because: `inside its limits, ${limits}` };
  const unsure = j.verdict.state === 'unsure';
  return {
    found,
    proposed: unsure ? 'remark' : 'replace',
    because: unsure
      ? `too close to call, limits ${limits}: measure it finer, or note it`
      : `outside its limits, ${limits}: ${harm}`,
    ...(job === undefined || unsure ? {} : { job })
  };
}

/** Wobble, run-out, float and swing all speak of the shaft; the worst of them counts, all of them are told. */
function shaft(engine: Engine, r: Replayed): Speaks | null {
  const told = [
    measured(engine, r, 'bush-play', 'It wobbles', 'dwell and timing scatter from cylinder to cylinder', undefined),
    measured(engine, r, 'shaft-runout', 'It runs out', 'the gap changes once a turn', undefined),
    measured(engine, r, 'float-bench', 'It floats', 'timing wanders and the gear climbs', 'regear') ??
      measured(engine, r, 'float-in-place', 'It floats', 'timing wanders and the gear climbs', 'teardown'),
    measured(
      engine,
      r,
      'rotor-swing',
      'It swings',
      'mesh, coupling or bush is worn: measure each on the bench',
      'teardown'
    )
  ].filter((s) => s !== null);
  return together(told);
}

const RANK: Record<Word, number> = { use: 0, remark: 2, replace: 3 };
const rank = (s: Speaks): number => (s.proposed === null ? 1 : RANK[s.proposed]);

/** Several findings of one part: all of them told, the worst speaks. */
function together(told: readonly Speaks[]): Speaks | null {
  const worst = told.reduce<Speaks | null>((w, s) => (w === null || rank(s) > rank(w) ? s : w), null);
  return worst && { ...worst, found: told.map((s, k) => (k === 0 ? s.found : lower(s.found))).join('; ') };
}

/** What the gear is against the data sheet, what it runs with, and how it wore. */
function gear(engine: Engine, r: Replayed): Speaks | null {
  const told = [teeth(engine, r), outside(engine, r), hand(engine, r), material(r), wear(r)].filter((s) => s !== null);
  return together(told);
}

const REGEAR: Follows = 'regear';
const same = (found: string): Speaks => ({ found, proposed: 'use', because: 'equal to the data sheet' });
const notJudged = (found: string): Speaks => ({
  found,
  proposed: null,
  because: 'not judged: it is not on the data sheet'
});

function teeth(engine: Engine, r: Replayed): Speaks | null {
  const counted = lastOf(r.readings, 'teeth-counted')?.value;
  const wanted = numberOf(engine, 'gearTeeth');
  if (counted === undefined) return null;
  if (wanted === undefined) return notJudged(`${counted} teeth`);
  return counted === wanted
    ? same(`${counted} teeth`)
    : {
        found: `${counted} teeth, the data sheet says ${wanted}`,
        proposed: 'replace',
        because: 'another count of teeth is another ratio',
        job: REGEAR
      };
}

function outside(engine: Engine, r: Replayed): Speaks | null {
  const read = settledOf(r.readings, 'outside-found');
  const wanted = numberOf(engine, 'gearOutsideMm');
  if (!read) return null;
  const found = `${read.value.toFixed(2)} \u00b1 ${(2 * read.u).toFixed(2)} mm over the teeth`;
  if (wanted === undefined) return notJudged(found);
  // blanks are turned to a tenth or two; half a millimetre is another gear
  return Math.abs(read.value - wanted) <= OUTSIDE_MM + 2 * read.u
    ? same(`${found}, ${wanted} wanted to \u00b1 ${OUTSIDE_MM}`)
    : {
        found: `${found}, the data sheet says ${wanted}`,
        proposed: 'replace',
        because: 'another diameter is another pitch or another shift',
        job: REGEAR
      };
}

/** What the same gear of two makers may differ by over its teeth: the workshop's own assumption. */
const OUTSIDE_MM = 0.2;

function hand(engine: Engine, r: Replayed): Speaks | null {
  const seen = r.chosen.get('hand-seen');
  const wanted = choiceOf(engine, 'gearHand');
  if (seen === undefined) return null;
  if (wanted === undefined) return notJudged(`${seen}-hand`);
  return seen === wanted
    ? same(`${seen}-hand`)
    : {
        found: `${seen}-hand, the data sheet says ${wanted}-hand`,
        proposed: 'replace',
        because: 'it turns the shaft backwards and thrusts the wrong way',
        job: REGEAR
      };
}

function material(r: Replayed): Speaks | null {
  const of = { iron: 'iron or steel', bronze: 'bronze', polymer: 'polymer' }[r.chosen.get('material-by') ?? ''];
  const listed = r.chosen.get('material-listed');
  if (of === undefined && listed === undefined) return null;
  const found = of ?? 'of unknown material';
  if (listed === 'not-listed')
    return {
      found: `${found}, not on the list of the camshaft\u2019s maker`,
      proposed: 'replace',
      because: 'never run a pair that nobody permits: it destroys the camshaft\u2019s gear',
      job: REGEAR
    };
  if (listed === 'listed' && of !== undefined)
    return { found: `${found}, as listed for this camshaft`, proposed: 'use', because: 'the pair is permitted' };
  return {
    found: listed === 'listed' ? found : `${found}, no list in hand`,
    proposed: 'remark',
    because: 'nobody knows that the pair may run: get list and marking before it turns'
  };
}

function wear(r: Replayed): Speaks | null {
  const [surface, place] = [r.chosen.get('wear-surface'), r.chosen.get('wear-place')];
  if (surface === undefined && place === undefined) return null;
  const found = [
    place && `wore ${place === 'middle' ? 'in the middle' : place === 'edge' ? 'over an edge' : place}`,
    surface
  ]
    .filter(Boolean)
    .join(', ');
  if (surface === 'rough' || surface === 'hollow' || surface === 'chipped')
    return {
      found,
      proposed: 'replace',
      because: 'it ruins its partner, and the partner is looked at as well',
      job: REGEAR
    };
  if (place === 'edge' || place === 'low' || place === 'high')
    return {
      found,
      proposed: 'remark',
      because: 'its height or its depth is wrong: measure it before it goes back',
      job: REGEAR
    };
  return surface === undefined
    ? { found, proposed: null, because: 'its flanks were not looked at' }
    : { found, proposed: 'use', because: 'central and polished' };
}

/** The jobs that follow from the findings, each once, with the parts that ask for it. */
export function jobsThatFollow(all: readonly Decision[]): { sheet: Follows; parts: string[] }[] {
  const out = new Map<Follows, string[]>();
  for (const d of all) if (d.job && d.proposed !== 'use') out.set(d.job, [...(out.get(d.job) ?? []), d.name]);
  return [...out].map(([sheet, names]) => ({ sheet, parts: names }));
}
