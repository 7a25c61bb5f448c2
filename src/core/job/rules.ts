import type { FlagId } from '../sheets/flags.ts';

/**
 * Rules over the job's state. While its flags hold, something must never be done.
 * Harm to a person or a machine blocks what it names; harm to the result alone asks for a reason.
 */
export interface Rule {
  id: string;
  on: FlagId[];
  off: FlagId[];
  /** short, as it stands in the solid bar */
  bar: string;
  never: string;
  because: string;
  ifItHappened: string;
  harm: 'person' | 'machine' | 'result';
  /** an event that says that it happened after all */
  happened?: 'crank-turned';
}

export const rules: Rule[] = [
  {
    id: 'IL.01',
    on: ['distributor-out', 'crank-at-reference'],
    off: [],
    bar: 'Drive out: do not turn the crank',
    never: 'Turn the crank, bar it or let the machine move.',
    because: 'The place of rotor and tooth refers to where the crank stands now.',
    ifItHappened: 'Say so: the reference is lost and the run sheet goes back to bringing the crank there.',
    harm: 'result',
    happened: 'crank-turned'
  },
  {
    id: 'IL.01s',
    on: ['distributor-out'],
    off: [],
    bar: 'Drive out: no starter',
    never: 'Crank with the starter.',
    because: 'The oil pump is not driven, and every reference goes with the first turn.',
    ifItHappened: 'Look for the oil-pump shaft, then find the crank again.',
    harm: 'machine'
  },
  {
    id: 'IL.03',
    on: ['drive-shaft-out'],
    off: ['rings-counted'],
    bar: 'Drive shaft out, rings not counted: do not turn the crank',
    never: 'Turn the crank.',
    because: 'A thrust ring may lie in the gear.',
    ifItHappened: 'Stop, count, search with magnet and lamp; a ring that is not found means opening the case.',
    harm: 'machine'
  },
  {
    id: 'IL.02',
    on: ['drive-shaft-out'],
    off: ['shaft-held-down'],
    bar: 'Drive shaft not held down: do not turn the crank now',
    never: 'Turn the crank at all.',
    because: 'A shaft that nothing holds climbs its helix and spoils the crank gear.',
    ifItHappened: 'Stop, do not turn back, push the shaft down with a rod and look at the teeth.',
    harm: 'machine'
  },
  {
    id: 'IL.02u',
    on: ['shaft-unsupported'],
    off: [],
    bar: 'Nothing holds the drive shaft down: do not turn the crank now',
    never: 'Turn the crank, unless a second person presses the shaft down with a rod.',
    because: 'A shaft that nothing holds climbs its helix and spoils the crank gear.',
    ifItHappened: 'Stop, do not turn back, push the shaft down with a rod and look at the teeth.',
    harm: 'machine'
  },
  {
    id: 'IL.06',
    on: ['gauge-washer-in'],
    off: [],
    bar: 'Gauging washer in: no pedestal, no starter',
    never: 'Fit the pedestal for good, or turn by the starter.',
    because: 'The washer takes the whole float and jams the mesh.',
    ifItHappened: 'Lift the pedestal, take the washer out, look at gear faces and pump tang.',
    harm: 'machine'
  },
  {
    id: 'IL.07',
    on: ['gear-meshed'],
    off: ['distributor-seated'],
    bar: 'Not seated: do not pull it down with the clamp',
    never: 'Pull the flange down with the clamp.',
    because: 'The drive may be standing on the pump shaft; housing or pump breaks.',
    ifItHappened: 'Slacken, inspect flange and shaft end, then turn the crank until the drive falls in.',
    harm: 'machine'
  },
  {
    id: 'IL.10',
    on: ['mark-judged'],
    off: ['compression-confirmed', 'housing-indexed'],
    bar: 'Both TDCs carry the mark: stroke not proved',
    never: 'Index or fit to number one.',
    because:
      'The mark comes up on compression and on exhaust; a distributor fitted on the wrong one is half a turn out.',
    ifItHappened: 'Lift the rotor, turn the crank once, prove the stroke, index again.',
    harm: 'result'
  },
  {
    id: 'IL.15',
    on: ['barring-tool-fitted'],
    off: [],
    bar: 'Bar on the crank: no starter',
    never: 'Operate the starter.',
    because: 'The bar is thrown.',
    ifItHappened: 'Isolate, see to people, inspect bolt, key and radiator.',
    harm: 'person'
  },
  {
    id: 'IL.17',
    on: ['probe-in'],
    off: [],
    bar: 'Probe in cylinder 1: no starter, no force',
    never: 'Use the starter, or force the bar.',
    because: 'Piston or thread is broken.',
    ifItHappened: 'Stop, look inside, test for leaks.',
    harm: 'machine'
  },
  {
    id: 'IL.17s',
    on: ['piston-stop-in'],
    off: [],
    bar: 'Piston stop in: no starter, no force',
    never: 'Use the starter, or force the bar.',
    because: 'Piston or thread is broken.',
    ifItHappened: 'Stop, look inside, test for leaks.',
    harm: 'machine'
  },
  {
    id: 'IL.19',
    on: ['degree-wheel-on'],
    off: [],
    bar: 'Wheel on the crank: no starter',
    never: 'Use the starter.',
    because: 'Wheel and pointer are thrown.',
    ifItHappened: 'Isolate, inspect, zero everything again.',
    harm: 'person'
  },
  {
    id: 'IL.20',
    on: [],
    off: ['battery-isolated'],
    bar: 'Battery connected: hands out',
    never: 'Reach into fan, belt, flywheel or open bore.',
    because: 'The engine may turn.',
    ifItHappened: 'Stop, isolate, check again.',
    harm: 'person'
  },
  {
    id: 'IL.34',
    on: ['rotor-pin-in'],
    off: [],
    bar: 'Lock pin in the distributor: no cap, no crank',
    never: 'Fit the cap or turn the engine.',
    because: 'Pin, gear or rotor breaks.',
    ifItHappened: 'Remove it; inspect rotor, pin and gear.',
    harm: 'machine'
  },
  {
    id: 'IL.38',
    on: ['gear-off'],
    off: ['gear-index-logged'],
    bar: 'Gear off, rotor against teeth not logged',
    never: 'Pin the gear.',
    because: 'Half a turn of the gear moves rotor against teeth when their count is odd.',
    ifItHappened: 'Rebuild the relation from the old gear before pinning.',
    harm: 'result'
  },
  {
    id: 'IL.90',
    on: ['engine-running'],
    off: [],
    bar: 'Engine running: do not reach across',
    never: 'Adjust by reaching across belts.',
    because: 'Clothing and hands are drawn in.',
    ifItHappened: 'Stop the engine first.',
    harm: 'person'
  }
];

/** Not a state that was said but a figure that was measured: washer and gaps leave the gear no float at all. */
export const CLAMPED: Rule = {
  id: 'IL.float',
  on: [],
  off: [],
  bar: 'Float below zero: the drive is clamped, turn nothing',
  never: 'Tighten the pedestal as it is, or turn the crank.',
  because: 'Washer and gaps leave the gear no room: pedestal and block would squeeze it.',
  ifItHappened: 'Slacken the pedestal, look at gear faces and thrust faces, measure again.',
  harm: 'machine'
};

/**
 * A rule as it is read aloud: what must never be done, why, and what to do if it happened. In this order, and with the
 * word *never* in front: reason and act alone can be heard as an order to do it.
 */
export const ruleText = (r: Rule): { never: string; because: string; ifItHappened: string } => ({
  never: `Never ${r.never.charAt(0).toLowerCase()}${r.never.slice(1)}`,
  because: `Why: ${r.because}`,
  ifItHappened: `If it happened: ${r.ifItHappened}`
});

/** The rules that hold now, those that can hurt people first. */
export function raised(on: ReadonlySet<FlagId>): Rule[] {
  const rank = { person: 0, machine: 1, result: 2 };
  return rules
    .filter((r) => r.on.every((f) => on.has(f)) && r.off.every((f) => !on.has(f)))
    .sort((a, b) => rank[a.harm] - rank[b.harm]);
}
