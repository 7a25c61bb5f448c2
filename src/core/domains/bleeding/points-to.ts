/** What was seen and heard at the first run, by question; what nobody answered is not in it. */
export type Seen = ReadonlyMap<string, string>;

interface Cause {
  name: string;
  check: string;
}

/** What may be behind it, and what to look at next. */
const causes = {
  late: { name: 'injection late', check: 'repeat the pump timing' },
  early: { name: 'injection early', check: 'repeat the pump timing' },
  'half-turn': { name: 'pump half a pump turn out', check: 'prove the stroke, then repeat the pump timing' },
  air: { name: 'air in the fuel', check: 'bleed it again, look at the suction side for bubbles' },
  'no-fuel': { name: 'no fuel arrives', check: 'cock, filter and lift pump, in flow order' },
  cold: { name: 'engine cold', check: 'look again when it is warm' },
  compression: { name: 'compression low', check: 'measure the compression' },
  chart: { name: 'a chart of another pump', check: 'plate and chart heading, letter by letter' },
  nozzle: { name: 'a nozzle or a delivery valve', check: 'test the nozzles' },
  element: { name: 'one element of the pump out of step', check: 'spacing of the elements on the bench' },
  lines: { name: 'two lines swapped', check: 'trace every line from pump to cylinder' },
  intake: { name: 'too little air', check: 'air filter and intake' },
  governor: { name: 'rack or governor', check: 'rack travel and stop lever' },
  idle: { name: 'idle set to hide it', check: 'idle by the meter, then the timing' },
  slip: { name: 'gear slipping on its taper', check: 'repeat the pump timing, then the taper' },
  lock: { name: 'a lock or a pin left in', check: 'look at lock and pin before it is cranked again' }
} as const satisfies Record<string, Cause>;
export type CauseId = keyof typeof causes;

interface Pattern {
  /** answers that must all have been given */
  when: Record<string, string>;
  /** how strongly each is meant: 3, 2 or 1 */
  means: Partial<Record<CauseId, 1 | 2 | 3>>;
}

const patterns: Pattern[] = [
  {
    when: { starts: 'no', 'smoke-cold': 'none' },
    means: { air: 3, 'no-fuel': 3, governor: 2, lock: 2, 'half-turn': 1 }
  },
  {
    when: { starts: 'no', 'smoke-cold': 'white' },
    means: { late: 3, 'half-turn': 2, cold: 3, air: 2, compression: 2, chart: 2 }
  },
  {
    when: { starts: 'yes', 'smoke-cold': 'white', 'smoke-warm': 'white' },
    means: { late: 3, air: 2, nozzle: 2, compression: 2, chart: 2 }
  },
  { when: { starts: 'yes', 'smoke-cold': 'white', 'smoke-warm': 'clear' }, means: { cold: 3 } },
  { when: { 'smoke-load': 'black' }, means: { intake: 3, nozzle: 3, late: 2, governor: 2, chart: 2, element: 2 } },
  { when: { 'smoke-warm': 'black' }, means: { nozzle: 3, intake: 2, early: 1 } },
  { when: { 'smoke-warm': 'blue' }, means: { compression: 2, late: 2, nozzle: 1 } },
  { when: { knock: 'hard', 'smoke-warm': 'clear' }, means: { early: 3, nozzle: 2, chart: 2 } },
  { when: { knock: 'hard' }, means: { early: 2, nozzle: 2, chart: 1, air: 1 } },
  { when: { evenness: 'one' }, means: { nozzle: 3, air: 3, element: 2, compression: 2 } },
  { when: { evenness: 'rough' }, means: { air: 3, lines: 3, chart: 2, element: 2, nozzle: 2, idle: 1, slip: 2 } },
  { when: { pull: 'weak', starts: 'yes' }, means: { late: 3, chart: 2, governor: 2, idle: 2 } },
  { when: { pull: 'fades' }, means: { slip: 3, air: 2, 'no-fuel': 2 } }
];

export interface Pointed extends Cause {
  id: CauseId;
  weight: number;
}

/**
 * What a combination of smoke, sound and pull points to, what it speaks for most first. Patterns that all their answers
 * are given for are added up; a pattern with more answers speaks the louder. Nothing where all is well.
 */
export function pointsTo(seen: Seen): Pointed[] {
  const sums = new Map<CauseId, number>();
  for (const p of patterns) {
    const asked = Object.entries(p.when);
    if (!asked.every(([q, a]) => seen.get(q) === a)) continue;
    for (const [id, w] of Object.entries(p.means) as [CauseId, number][])
      sums.set(id, (sums.get(id) ?? 0) + w * asked.length);
  }
  return [...sums].map(([id, weight]) => ({ id, weight, ...causes[id] })).sort((a, b) => b.weight - a.weight);
}

/** The questions whose answers make a pattern. */
export const observed = ['starts', 'smoke-cold', 'smoke-warm', 'smoke-load', 'knock', 'evenness', 'pull'] as const;
