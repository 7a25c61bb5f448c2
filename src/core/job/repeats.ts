import { wrap180 } from '../numerics/angles.ts';
import { mean } from '../numerics/statistics.ts';
import type { GaugeKind } from '../tray/gauge-kinds.ts';
import { learntKey, type Learnt } from '../tray/hands.ts';
import { readsOf } from '../tray/reads.ts';
import type { JobState, RepeatGroup } from './domain.ts';
import type { Reading } from './replayed.ts';
import { slotOf, type Slot } from './run-sheet.ts';

/** What the repeats of one person with one gauge tell of how that hand scatters where that is read. */
export interface Repeats extends Learnt {
  person: string;
  kind: GaugeKind;
  /** which gauge of the tray */
  gauge: string;
  reads: string;
}

/**
 * The repeats in a job, pooled by person, gauge and what is read: n readings of one thing by one hand with one gauge bring n-1
 * degrees of freedom and the squares of what they lie from their mean. Readings without a gauge tell nothing.
 */
export function repeatsIn(state: JobState): Repeats[] {
  const out = new Map<string, Repeats>();
  for (const group of [...slotGroups(state), ...state.domains.flatMap((d) => d.repeats?.(state) ?? [])])
    for (const one of byHand(group)) {
      const { kind, gauge, person } = one;
      const { reads } = group;
      const key = `${kind} ${learntKey(gauge, reads)} ${person}`;
      const so = out.get(key) ?? { person, kind, gauge, reads, dof: 0, ss: 0, n: 0 };
      const middle = mean(one.values);
      const ss = one.values.reduce((t, x) => t + (x - middle) ** 2, 0) / group.share ** 2;
      out.set(key, {
        ...so,
        dof: so.dof + one.values.length - 1,
        ss: so.ss + ss,
        n: so.n + one.values.length
      });
    }
  return [...out].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, told]) => told);
}

interface OfHand {
  kind: GaugeKind;
  gauge: string;
  person: string;
  values: number[];
}

/** A group taken apart by who read it with which gauge; one figure alone tells nothing. */
function byHand(group: RepeatGroup): OfHand[] {
  const hands = new Map<string, OfHand>();
  for (const [k, r] of group.of.entries()) {
    // what was carried over told of its hand on the job where it was read
    if (!r.gauge || r.from) continue;
    const key = `${r.gauge.id} ${r.by.id}`;
    const hand = hands.get(key);
    if (hand) hand.values.push(group.values[k]!);
    else
      hands.set(key, {
        kind: r.gauge.kind ?? group.kind,
        gauge: r.gauge.id,
        person: r.by.id,
        values: [group.values[k]!]
      });
  }
  return [...hands.values()].filter((h) => h.values.length > 1);
}

/** Readings whose slot says that their mean counts, until what is read was set anew or a part was changed. */
function slotGroups({ sheet, readings, replayed }: JobState): RepeatGroup[] {
  const groups: RepeatGroup[] = [];
  const open = new Map<string, { group: Reading[]; set: string; slot: Slot }>();
  const close = ({ group, slot }: { group: Reading[]; slot: Slot }): void => {
    if (group.length < 2) return;
    groups.push({ of: group, kind: slot.gauge, reads: readsOf(slot.slot), values: turnsApart(group), share: 1 });
  };
  for (const r of readings) {
    const step = sheet.steps.find((s) => s.id === r.step);
    const slot = step && slotOf(step, r.slot);
    if (!slot || !tellsOfTheHand(slot)) continue;
    const key = `${r.step} ${slot.slot}`;
    // what is set at the bench, and parts that are changed, end a group
    const set = `${r.setting?.n ?? 0} ${replayed.takes.filter((t) => t.seq < r.seq).length}`;
    const so = open.get(key);
    if (so && so.set === set) so.group.push(r);
    else {
      if (so) close(so);
      open.set(key, { group: [r], set, slot });
    }
  }
  for (const group of open.values()) close(group);
  return groups;
}

const tellsOfTheHand = (s: Slot): boolean =>
  s.combine === 'mean' && s.repeats === true && s.sought !== true && s.gauge !== 'eye';

/** Readings of a wheel lie on both sides of its zero. */
function turnsApart(group: readonly Reading[]): number[] {
  const first = group[0]!;
  return first.quantity === 'angle' || first.quantity === 'bearing'
    ? group.map((r) => wrap180(r.value - first.value))
    : group.map((r) => r.value);
}
