import { capMap, type CapMap } from '../../calculations/cap/cap-map.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { lastRound, leadProblem, wiresFinding } from './cap-work.ts';
import { choiceOf, listOf, numberOf, readingsOf } from './vocabulary.ts';

/** The leads of a cap as they were found, before a hand moved one. */
export interface LeadMap {
  /** in the order in which they were read: clockwise from above, from whichever tower was taken first */
  leads: Reading[];
  /** towers; null while neither firing order nor cylinders are on the data sheet */
  count: number | null;
  /** which cylinder each tower feeds, clockwise from above, number one first; null until all are read */
  fromOne: number[] | null;
  /** how that stands to the firing order; null without it, or without the rotor's direction */
  map: CapMap | null;
  problem: string | null;
}

/** A map begins anew when more leads are read than there are towers. It says how it was, and holds nothing up. */
export function leadMap(engine: Engine, r: Replayed): LeadMap {
  const order = listOf(engine, 'firingOrder') ?? null;
  const count = order?.length ?? numberOf(engine, 'cylinders') ?? null;
  const leads = lastRound(readingsOf(r.readings, 'lead-map'), count);
  const read = leads.map((l) => l.value);
  const none = { leads, count, fromOne: null, map: null };
  const problem = leadProblem(read, order, count, 'mapped');
  if (problem !== null || count === null || read.length < count) return { ...none, problem };
  const first = order?.[0] ?? 1;
  const at = read.indexOf(first);
  const fromOne = [...read.slice(at), ...read.slice(0, at)];
  const rotorDirection = choiceOf(engine, 'rotorDirection');
  const map =
    order && (rotorDirection === 'cw' || rotorDirection === 'ccw')
      ? capMap({ firingOrder: order, rotorDirection, wires: fromOne })
      : null;
  return { leads, count, fromOne, map, problem: null };
}

/** The map in words, as it was found; null until every tower is read. */
export function leadMapFinding(m: LeadMap): string | null {
  if (!m.fromOne) return null;
  if (!m.map) return `Clockwise from number one the leads go to ${m.fromOne.join('-')}`;
  if (m.map.cause === 'right') return wiresFinding(m.map);
  const how = m.map.swapped
    ? `: cylinders ${m.map.swapped[0]} and ${m.map.swapped[1]} stand in each other\u2019s place`
    : m.map.cause === 'wrong-direction'
      ? ': they are laid against the rotor'
      : '';
  return `As found the leads do not follow the firing order${how}`;
}
