import { choiceOf, type Engine } from '../engine/engine.ts';

/** Where good technicians differ: the ways of each school, and the one proposed for an engine with its reason. */
interface Ways {
  options: string[];
  /** `said`: what was answered on the job, by question */
  proposes: (engine: Engine, said: ReadonlyMap<string, string>) => { option: string; because: string };
}

/** A rule of thumb, and named as one: what load, fuel and use speak for. Load and fuel that knock outweigh liveliness. */
export function curveThumb(said: ReadonlyMap<string, string>): { option: string; because: string; advice: string } {
  const found = (...asked: [id: string, is: string, words: string][]) =>
    asked.flatMap(([id, is, words]) => (said.get(id) === is ? [words] : [])).join(' and ');
  const slow = found(['load', 'heavy', 'heavy loads'], ['fuel', 'poor', 'poor fuel']);
  const fast = found(['load', 'light', 'light loads'], ['use', 'changing', 'changing speeds']);
  if (slow)
    return {
      option: 'slow',
      because: `a rule of thumb for ${slow}`,
      advice: 'Begin slow, and with less total until a load test allows more.'
    };
  if (fast)
    return {
      option: 'fast',
      because: `a rule of thumb for ${fast}`,
      advice: 'The advance may come early, as long as idle stays below its start.'
    };
  return {
    option: 'mixed',
    because: 'for general use, a rule of thumb',
    advice: 'Take the middle, and let a load test decide.'
  };
}

export const ways = {
  tdc: {
    options: ['mark', 'highest', 'rod', 'stop', 'pairs', 'fit'],
    proposes: () => ({ option: 'pairs', because: 'it cancels the flat top and forces nothing' })
  },
  overshoot: {
    options: ['backUp', 'forward'],
    proposes: (engine) =>
      choiceOf(engine, 'reversal') === 'forbidden'
        ? { option: 'forward', because: 'the data sheet forbids turning back' }
        : { option: 'backUp', because: 'turning back is not forbidden on the data sheet, and both ways end forward' }
  },
  compression: {
    options: ['valves', 'gauge', 'fingertip', 'companion', 'camMarks'],
    proposes: () => ({
      option: 'valves',
      because: 'on a fresh build the covers are off, and the valves beat any pressure sign'
    })
  },
  'index-order': {
    options: ['engine-first', 'seat-first', 'marks'],
    proposes: () => ({ option: 'engine-first', because: 'rotor and housing then end where there is room' })
  },
  'oil-drive': {
    options: ['tool', 'blade', 'crank'],
    proposes: () => ({ option: 'tool', because: 'it keeps the crank at the reference' })
  },
  'float-target': {
    options: ['centre', 'loose', 'tight'],
    proposes: () => ({ option: 'centre', because: 'it leaves room both ways' })
  },
  'gear-fix': {
    options: ['shims', 'collar', 'hole'],
    proposes: () => ({ option: 'shims', because: 'what is shimmed can be undone' })
  },
  'lead-transfer': {
    options: ['one-by-one', 'rebuild'],
    proposes: () => ({ option: 'one-by-one', because: 'no order can be lost' })
  },
  trigger: {
    options: ['lamp', 'edge', 'spark', 'vane', 'tip'],
    proposes: (engine) => {
      const kind = choiceOf(engine, 'triggerKind');
      if (kind === 'induction') return { option: 'edge', because: 'the data sheet names an induction pickup' };
      if (kind === 'vane') return { option: 'vane', because: 'the data sheet names a vane sensor' };
      return kind === 'contacts'
        ? { option: 'lamp', because: 'the data sheet names contacts' }
        : { option: 'lamp', because: 'it needs hardly any power; the data sheet does not say what triggers' };
    }
  },
  'shaft-in-place': {
    options: ['live', 'split', 'in-place'],
    proposes: () => ({
      option: 'split',
      because: 'it is the safe way as soon as a ring is uncertain; try to live with it first where there is room'
    })
  },
  bias: {
    options: ['none', 'advance', 'retard'],
    proposes: () => ({
      option: 'none',
      because: 'what is set is then what is meant; a bias is logged as one and cleared at the strobe'
    })
  },
  curve: {
    options: ['fast', 'mixed', 'slow'],
    proposes: (_, said) => curveThumb(said)
  },
  'mark-scale': {
    options: ['tape', 'dots', 'delay'],
    proposes: () => ({ option: 'tape', because: 'it needs no instrument but the strobe' })
  }
} satisfies Record<string, Ways>;

export type SchoolId = keyof typeof ways;
export const isSchool = (s: string): s is SchoolId => Object.hasOwn(ways, s);
export const waysOf = (id: SchoolId): Ways => ways[id];
