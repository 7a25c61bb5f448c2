import { numberOf as sheetNumber, type Engine } from '../../engine/engine.ts';
import { judgedSlot } from '../../job/judged.ts';
import type { Replayed } from '../../job/replayed.ts';
import { slots } from './slots.ts';
import { lastOf } from './vocabulary.ts';

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
  job: string | null;
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
  job?: string;
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
      stuck: ['does not move its plate', 'replace', 'it adds nothing where it must']
    }),
    plate: answer(said('plate-is'), {
      steady: ['steady, earth lead sound', 'use', 'the gap holds'],
      loose: ['loose', 'replace', 'the gap changes with every spark, and gears are blamed for it'],
      lead: ['steady, earth lead broken', 'remark', 'a new lead cures it']
    }),
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

type Words = readonly [found: string, proposed: Word, because: string, job?: string];
function answer(said: string | undefined, means: Record<string, Words>): Speaks | null {
  const w = said === undefined ? undefined : means[said];
  return w ? { found: w[0], proposed: w[1], because: w[2], ...(w[3] === undefined ? {} : { job: w[3] }) } : null;
}

function measured(
  engine: Engine,
  r: Replayed,
  slot: 'float-bench' | 'top-float' | 'bush-play',
  does: string,
  harm: string,
  job: string | undefined
): Speaks | null {
  const j = judgedSlot(engine, r.readings, slots[slot]);
  if (!j) return null;
  const found = `${does} ${j.value.toFixed(3)} \u00b1 ${(2 * j.u).toFixed(3)} mm`;
  if (!j.verdict) return { found, proposed: null, because: 'not judged: the data sheet has no limit' };
  if (j.verdict.state === 'in') return { found, proposed: 'use', because: 'inside its limits' };
  const unsure = j.verdict.state === 'unsure';
  return {
    found,
    proposed: unsure ? 'remark' : 'replace',
    because: unsure ? 'too close to call: measure it finer, or note it' : `outside its limits: ${harm}`,
    ...(job === undefined || unsure ? {} : { job })
  };
}

/** Wobble and float both speak of the shaft; the worse of them counts. */
function shaft(engine: Engine, r: Replayed): Speaks | null {
  const play = measured(
    engine,
    r,
    'bush-play',
    'It wobbles',
    'dwell and timing scatter from cylinder to cylinder',
    undefined
  );
  const float = measured(engine, r, 'float-bench', 'It floats', 'timing wanders and the gear climbs', 'regear');
  if (!play || !float) return play ?? float;
  const rank = (s: Speaks) =>
    s.proposed === 'replace' ? 3 : s.proposed === 'remark' ? 2 : s.proposed === null ? 1 : 0;
  const worse = rank(float) > rank(play) ? float : play;
  return { ...worse, found: `${play.found}; ${float.found.charAt(0).toLowerCase()}${float.found.slice(1)}` };
}

function gear(engine: Engine, r: Replayed): Speaks | null {
  const [surface, place] = [r.chosen.get('wear-surface'), r.chosen.get('wear-place')];
  const counted = lastOf(r.readings, 'teeth-counted')?.value;
  const teeth = sheetNumber(engine, 'gearTeeth');
  if (counted !== undefined && teeth !== undefined && counted !== teeth)
    return {
      found: `${counted} teeth, the data sheet says ${teeth}`,
      proposed: 'replace',
      because: 'another count of teeth is another ratio',
      job: 'regear'
    };
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
      job: 'regear'
    };
  if (place === 'edge' || place === 'low' || place === 'high')
    return {
      found,
      proposed: 'remark',
      because: 'its height or its depth is wrong: measure it before it goes back',
      job: 'regear'
    };
  return surface === undefined
    ? { found, proposed: null, because: 'its flanks were not looked at' }
    : { found, proposed: 'use', because: 'central and polished' };
}

/** The jobs that follow from the findings, each once, with the parts that ask for it. */
export function jobsThatFollow(all: readonly Decision[]): { sheet: string; parts: string[] }[] {
  const out = new Map<string, string[]>();
  for (const d of all) if (d.job && d.proposed !== 'use') out.set(d.job, [...(out.get(d.job) ?? []), d.name]);
  return [...out].map(([sheet, names]) => ({ sheet, parts: names }));
}
