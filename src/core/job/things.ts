/**
 * What hands set at the bench, by name. Readings of a thing belong to one of its settings; a setting ends when the thing is
 * turned. What lies `within` another is set anew with it: a clamp that is tightened again belongs to one place of the housing.
 */
export const things = {
  housing: { name: 'the housing' },
  clamp: { name: 'the clamp', within: 'housing' },
  flange: { name: 'the flange' },
  'flange-screws': { name: 'the flange\u2019s screws', within: 'flange' },
  'stop-screw': { name: 'the stop screw' },
  'link-rod': { name: 'the link rod' },
  'idle-screw': { name: 'the idle screw' },
  packing: { name: 'the packing' },
  'pump-gear': { name: 'the pump against its gear' },
  'height-mark': { name: 'the mark on the flywheel' }
} as const satisfies Record<string, { name: string; within?: string }>;

export type Thing = keyof typeof things;

/** The things that are set anew with one: itself, and what lies within it. */
export const withThing = (thing: Thing): Thing[] => [
  thing,
  ...(Object.keys(things) as Thing[]).filter((t) => (things[t] as { within?: string }).within === thing)
];

/** How a setting began: said, by the name of its first reading, by what was done, or because a reading lies apart. */
export type Began = 'first' | 'said' | 'named' | 'done' | 'apart';

/** Where a reading belongs. */
export interface SettingOf {
  thing: Thing;
  /** counted from 1 for each thing */
  n: number;
  began: Began;
  /** the thing was turned since: the reading stays in sight and counts no more */
  earlier: boolean;
}
