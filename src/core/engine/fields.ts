import type { Quantity } from '../units/units.ts';

/** The groups of a data sheet, in the order in which it is read. */
export const fieldGroups = [
  'Engine',
  'Crank and piston',
  'Distributor',
  'Drive',
  'Gears',
  'Cap and rotor',
  'Timing',
  'Advance',
  'Valves',
  'Injection pump',
  'Magneto',
  'Flywheel'
] as const;

/** A value that an engine's data sheet may hold. */
export interface Field<N extends string = string> {
  name: N;
  label: string;
  group: string;
  kind: 'quantity' | 'number' | 'choice' | 'order' | 'offsets' | 'band' | 'pairs' | 'text';
  quantity?: Quantity;
  choices?: { id: string; label: string }[];
  /** what stands after each figure of a pair */
  pairUnits?: readonly [string, string];
  example: string;
  help?: string;
  min?: number;
  max?: number;
  positive?: boolean;
  /** it is among what a job worked to, and printed on its card */
  onCard?: boolean;
}

type More = Omit<Partial<Field>, 'name' | 'label' | 'group' | 'example' | 'kind'>;

/** One value of the data sheet, its name kept as a type, so that a name that no sheet has does not compile. */
export const field = <const N extends string>(f: Field<N>): Field<N> => f;

/** A measured value with its unit. */
export const quantity = <const N extends string>(
  group: string,
  quantity: Quantity,
  name: N,
  label: string,
  example: string,
  more: More = {}
): Field<N> => ({ name, label, group, kind: 'quantity', quantity, example, ...more });

export const length = <const N extends string>(
  group: string,
  name: N,
  label: string,
  example: string,
  more: More = {}
): Field<N> => quantity(group, 'length', name, label, example, { positive: true, max: 2000, ...more });

export const bearing = <const N extends string>(group: string, name: N, label: string, help: string): Field<N> =>
  quantity(group, 'bearing', name, label, '145 or 4:50', { help });

/** A figure without a unit of its own. */
export const plain = <const N extends string>(
  group: string,
  name: N,
  label: string,
  example: string,
  more: More = {}
): Field<N> => ({ name, label, group, kind: 'number', example, ...more });

export const choice = <const N extends string>(
  group: string,
  name: N,
  label: string,
  choices: [id: string, label: string][],
  more: More & { example?: string } = {}
): Field<N> => ({
  name,
  label,
  group,
  kind: 'choice',
  choices: choices.map(([id, l]) => ({ id, label: l })),
  example: choices[0]![1],
  ...more
});

/** Two ways to turn, seen from wherever the field says. */
export const senses = [
  { id: 'cw', label: 'clockwise' },
  { id: 'ccw', label: 'anticlockwise' }
];
