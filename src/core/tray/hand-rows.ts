import { repeatedU, USUAL_DOF } from '../calculations/gauge/hand.ts';
import type { TrayGauge } from './gauge-kinds.ts';
import { ASSUMED_DOF, assumedScatter, learntInHand, trayInHand, type Learnt } from './hands.ts';
import { typicalOf, type Typical } from './typical.ts';

/** How a gauge reads in one hand: what its scatter is, and what that does to one reading and to an answer often made. */
export interface HandRow {
  /** null: a hand of which nothing was learnt */
  name: string | null;
  scatter: number;
  /** readings that were repeated, on how many jobs */
  n: number;
  jobs: number;
  onePm: number;
  typical: Typical;
}

export interface GaugeHands {
  gauge: TrayGauge;
  /** where the scatter begins: the workshop's assumption for its kind, or what was measured with this gauge */
  begins: { from: 'assumed' | 'measured'; scatter: number; dof: number };
  /** first the hand of which nothing was learnt, then people by name */
  hands: HandRow[];
}

/** Every gauge of the tray in every hand that has repeated a reading with its kind; people by name, never by how they read. */
export function handRows(
  tray: readonly TrayGauge[],
  learnt: readonly (Learnt & { kind: string; name: string; jobs: number })[]
): GaugeHands[] {
  return tray.flatMap((gauge) => {
    const { kind } = gauge;
    if (kind === 'eye') return [];
    const row = (name: string | null, told: (Learnt & { jobs: number }) | null): HandRow => {
      const held = trayInHand(learntInHand(gauge, told));
      return {
        name,
        scatter: held.scatter ?? 0,
        n: told?.n ?? 0,
        jobs: told?.jobs ?? 0,
        onePm: 2 * repeatedU(0, 1, held).u,
        typical: typicalOf(kind, held)
      };
    };
    const people = learnt.filter((l) => l.kind === kind).sort((a, b) => a.name.localeCompare(b.name));
    return [
      {
        gauge,
        begins:
          gauge.scatter === null
            ? { from: 'assumed', scatter: assumedScatter[kind], dof: ASSUMED_DOF }
            : { from: 'measured', scatter: gauge.scatter, dof: gauge.scatterDof ?? USUAL_DOF },
        hands: [row(null, null), ...people.map((p) => row(p.name, p))]
      } satisfies GaugeHands
    ];
  });
}
