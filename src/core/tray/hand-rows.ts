import { repeatedU, USUAL_DOF } from '../calculations/gauge/hand.ts';
import type { TrayGauge } from './gauge-kinds.ts';
import { ASSUMED_DOF, assumedScatter, learntInHand, trayInHand, type Learnt } from './hands.ts';
import { typicalOf, type Typical } from './typical.ts';

/** How a gauge reads in one hand: what its scatter is, and what that does to one reading and to an answer often made. */
export interface HandRow {
  /** null: a hand of which nothing was learnt */
  name: string | null;
  /** what was read, in words; null where nothing was learnt */
  reads: string | null;
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
  /** first the hand of which nothing was learnt, then people by name, each by what was read */
  hands: HandRow[];
}

type LearntRow = Learnt & { gauge: string; reads: string; name: string; jobs: number };

/** Every gauge of the tray in every hand that has repeated a reading with it; people by name, never by how they read. */
export function handRows(tray: readonly TrayGauge[], learnt: readonly LearntRow[]): GaugeHands[] {
  return tray.flatMap((gauge) => {
    const { kind } = gauge;
    if (kind === 'eye') return [];
    const row = (told: LearntRow | null): HandRow => {
      const held = trayInHand(learntInHand(gauge, told));
      return {
        name: told?.name ?? null,
        reads: told?.reads ?? null,
        scatter: held.scatter ?? 0,
        n: told?.n ?? 0,
        jobs: told?.jobs ?? 0,
        onePm: 2 * repeatedU(0, 1, held).u,
        typical: typicalOf(kind, held)
      };
    };
    const people = learnt
      .filter((l) => l.gauge === gauge.id)
      .sort((a, b) => a.name.localeCompare(b.name) || a.reads.localeCompare(b.reads));
    return [
      {
        gauge,
        begins:
          gauge.scatter === null
            ? { from: 'assumed', scatter: assumedScatter[kind], dof: ASSUMED_DOF }
            : { from: 'measured', scatter: gauge.scatter, dof: gauge.scatterDof ?? USUAL_DOF },
        hands: [row(null), ...people.map(row)]
      } satisfies GaugeHands
    ];
  });
}
