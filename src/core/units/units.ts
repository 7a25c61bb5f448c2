/** The quantities that are read at the bench and the units each may be read in; the first is the base unit. */
export const unitsOf = {
  length: ['mm', 'in', 'thou'],
  angle: ['deg'],
  timing: ['deg'],
  bearing: ['deg'],
  pressure: ['kPa', 'inHg', 'psi', 'bar'],
  torque: ['Nm', 'lbft', 'lbin'],
  speed: ['rpm'],
  mass: ['g'],
  temperature: ['C', 'F'],
  count: ['count'],
  /** of a screw */
  turns: ['turn'],
  /** of gear teeth: the module in mm, or teeth per inch of pitch diameter */
  pitch: ['module', 'DP']
} as const;

export type Quantity = keyof typeof unitsOf;
export type Unit = (typeof unitsOf)[Quantity][number];

/** Size of one unit in the base unit of its quantity. Fahrenheit also has a zero offset, a diametral pitch is the inverse: see `toBase`. */
export const unitSize: Record<Unit, number> = {
  mm: 1,
  in: 25.4,
  thou: 0.0254,
  deg: 1,
  kPa: 1,
  inHg: 3.386389,
  psi: 6.89475729317,
  bar: 100,
  Nm: 1,
  lbft: 1.3558179483,
  lbin: 0.112984829,
  rpm: 1,
  g: 1,
  C: 1,
  F: 5 / 9,
  count: 1,
  turn: 1,
  module: 1,
  DP: 25.4
};

/** How a unit is written after a figure. */
export const unitSign: Record<Unit, string> = {
  mm: ' mm',
  in: ' in',
  thou: ' thou',
  deg: '°',
  kPa: ' kPa',
  inHg: ' inHg',
  psi: ' psi',
  bar: ' bar',
  Nm: ' N·m',
  lbft: ' lbf·ft',
  lbin: ' lbf·in',
  rpm: ' rpm',
  g: ' g',
  C: ' °C',
  F: ' °F',
  count: '',
  turn: ' turns',
  module: ' module',
  DP: ' DP'
};

export const baseUnit = (q: Quantity): Unit => unitsOf[q][0];

/** A figure in `unit` expressed in the base unit. */
export function toBase(value: number, unit: Unit): number {
  if (unit === 'DP') return unitSize.DP / value;
  return unit === 'F' ? ((value - 32) * 5) / 9 : value * unitSize[unit];
}

/** A base figure expressed in `unit`. */
export function fromBase(value: number, unit: Unit): number {
  if (unit === 'DP') return unitSize.DP / value;
  return unit === 'F' ? (value * 9) / 5 + 32 : value / unitSize[unit];
}

/** A small step of `unit`, taken at a figure in that unit, in the base unit. */
export const stepToBase = (step: number, at: number, unit: Unit): number =>
  unit === 'DP' ? (unitSize.DP * step) / at ** 2 : step * unitSize[unit];
