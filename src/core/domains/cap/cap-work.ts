import { capMap, type CapMap } from '../../calculations/cap/cap-map.ts';
import { rotorPhasing } from '../../calculations/rotor/rotor-phasing.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { choiceOf, lastOf, listOf, numberOf, readingsOf, type CapVocabulary } from './vocabulary.ts';

export interface WiresWork {
  wires: Reading[];
  count: number | null;
  map: CapMap | null;
  problem: string | null;
}

/** The leads as traced, tower by tower clockwise from the one the rotor faces, and what is wrong with them. */
export function wiresWork(engine: Engine, r: Replayed): WiresWork {
  const order = listOf(engine, 'firingOrder') ?? null;
  const rotorDirection = choiceOf(engine, 'rotorDirection');
  const all = readingsOf(r.readings, 'wire');
  const count = order?.length ?? null;
  // tracing begins anew when more leads are read than there are towers
  const wires = lastRound(all, count);
  if (!order || (rotorDirection !== 'cw' && rotorDirection !== 'ccw') || wires.length < order.length)
    return { wires, count, map: null, problem: null };
  const traced = wires.map((w) => w.value);
  const problem = leadProblem(traced, order, count, 'traced');
  return {
    wires,
    count,
    problem,
    map: problem ? null : capMap({ firingOrder: order, rotorDirection, wires: traced })
  };
}

/** The leads of the round that was begun last: one more than there are towers begins the next. */
export const lastRound = (all: Reading[], count: number | null): Reading[] =>
  count === null ? all : all.slice(Math.floor(Math.max(0, all.length - 1) / count) * count);

/** A cylinder that is none of this engine's, or that two towers would feed; null where there is neither. */
export function leadProblem(
  read: readonly number[],
  order: readonly number[] | null,
  count: number | null,
  done: 'traced' | 'mapped'
): string | null {
  const strange = read.find((c) => (order ? !order.includes(c) : count !== null && (c < 1 || c > count)));
  if (strange !== undefined)
    return order
      ? `Cylinder ${strange} is not in the firing order ${order.join('-')}: trace that lead again.`
      : `This engine has no cylinder ${strange}: trace that lead again.`;
  const twice = read.find((c, k) => read.indexOf(c) !== k);
  return twice === undefined ? null : `Cylinder ${twice} was ${done} twice: one of the two is another lead.`;
}

export function wiresFinding(m: CapMap): string {
  switch (m.cause) {
    case 'right':
      return 'The leads follow the firing order in the rotor\u2019s direction';
    case 'two-swapped':
      return `Two leads are swapped: cylinders ${m.swapped![0]} and ${m.swapped![1]}`;
    case 'wrong-direction':
      return m.swapped
        ? `The order was laid against the rotor: cylinders ${m.swapped[0]} and ${m.swapped[1]} stand in each other\u2019s place`
        : 'The order was laid against the rotor: turn it round';
    case 'half-cycle-out':
      return 'All leads stand opposite: half a cycle out, or the drive went in on the overlap TDC';
    case 'one-place-round':
      return 'All leads stand one place round';
    case 'shifted':
      return `All leads stand ${m.places} places round`;
    case 'mixed':
      return 'More than one thing is wrong: lay the leads anew from number one';
  }
}

/** Rotor tip against terminal when the spark comes, over all that shifts the trigger; null without its widths. */
export function tipWork(engine: Engine, r: Replayed) {
  type Words = CapVocabulary;
  const read = (name: Words['field'], slot: Words['slot']) => lastOf(r.readings, slot)?.value ?? numberOf(engine, name);
  const [tipRadiusMm, tipWidthMm, terminalWidthMm, radialGapMm, shift] = [
    read('tipRadiusMm', 'tip-radius'),
    read('tipWidthMm', 'tip-width'),
    read('terminalWidthMm', 'terminal-width'),
    read('tipGapMm', 'tip-gap'),
    numberOf(engine, 'triggerShiftDeg')
  ];
  const terminals = listOf(engine, 'firingOrder')?.length;
  const base = lastOf(r.readings, 'tip-offset');
  const lacks = [
    ...(tipRadiusMm === undefined ? ['the radius of the rotor\u2019s tip'] : []),
    ...(tipWidthMm === undefined ? ['the width of the tip'] : []),
    ...(terminalWidthMm === undefined ? ['the width of a terminal'] : []),
    ...(radialGapMm === undefined ? ['the gap between tip and terminal'] : []),
    ...(shift === undefined ? ['what moves the trigger against the housing'] : []),
    ...(base ? [] : ['where the tip stands when the trigger fires at rest'])
  ];
  if (
    tipRadiusMm === undefined ||
    tipWidthMm === undefined ||
    terminalWidthMm === undefined ||
    radialGapMm === undefined ||
    shift === undefined ||
    terminals === undefined ||
    !base
  )
    return { lacks, out: null, shiftDeg: shift ?? null, baseOffsetDeg: base?.value ?? null, widths: null };
  const out = rotorPhasing({
    tipRadiusMm,
    tipWidthMm,
    terminalWidthMm,
    radialGapMm,
    terminals,
    baseOffsetDeg: base.value,
    shiftRangeDeg: [0, shift]
  });
  return {
    lacks,
    out,
    shiftDeg: shift,
    baseOffsetDeg: base.value,
    widths: { tipRadiusMm, tipWidthMm, terminalWidthMm, terminals }
  };
}
export type TipWork = ReturnType<typeof tipWork>;

export function tipFinding(t: TipWork): string | null {
  if (!t.out) return null;
  const best = t.out.bestBaseOffsetDeg;
  const move = best - t.baseOffsetDeg!;
  const cure =
    Math.abs(move) < 0.5
      ? ''
      : `: move the tip ${Math.abs(move).toFixed(1)}° ${move > 0 ? 'on, in the rotor\u2019s direction' : 'back, against the rotor'}, to ${best.toFixed(1)}°`;
  switch (t.out.state) {
    case 'good':
      return 'The tip stays under its terminal over the whole range';
    case 'marginal':
      return `The tip leaves its terminal at one end of the range${cure}`;
    case 'crossfire':
      return `The spark may jump to the neighbour${cure}`;
  }
}
