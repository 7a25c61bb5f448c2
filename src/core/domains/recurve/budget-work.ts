import { verdictOrNone, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { TimingWork } from '../timing/timing-work.ts';
import type { RunSheet } from '../../job/run-sheet.ts';
import type { Engine } from '../../engine/engine.ts';
import type { SweepWork } from '../curves/sweep-work.ts';
import { listOf, numberOf } from './vocabulary.ts';

/** A share of the total: crank degrees, its standard uncertainty where it was measured, and where it comes from. */
export interface Share {
  deg: number;
  u: number | null;
  from: string;
}

/** Initial, mechanical and vacuum advance as a sum against its limits. Degrees of the crank, before TDC above 0. */
export interface BudgetWork {
  initial: Share | null;
  mechanical: Share | null;
  vacuum: Share | null;
  total: { btdc: number; u: number | null; verdict: Verdict | null } | null;
  totalMax: number | null;
  /** at part load: the total and what the capsule adds at most */
  partLoad: number | null;
  partLoadMax: number | null;
  /** the most that the initial timing may be with this mechanical advance; null without limit or advance */
  initialMost: number | null;
}

/**
 * total = initial + mechanical; part load = total + vacuum. Each share comes from this job where it was measured, else from the
 * data sheet, and says so. What was not measured has no uncertainty, and a total with it is not judged but summed.
 */
export function budgetWork(
  sheet: RunSheet,
  engine: Engine,
  sweeps: readonly SweepWork[],
  timing: Record<string, TimingWork>
): BudgetWork {
  const swept = sweeps.findLast((s) => s.fit) ?? null;
  const initial = initialOf(sheet, engine, swept, timing);
  const mechanical = mechanicalOf(engine, swept);
  const vacuum = vacuumOf(engine);
  const totalMax = numberOf(engine, 'totalMaxBtdc') ?? null;
  const sum = initial && mechanical ? initial.deg + mechanical.deg : null;
  // a sweep measures the total itself: its own \u00b1 is narrower than that of two shares
  const u =
    swept?.total?.uDeg ?? (initial?.u != null && mechanical?.u != null ? Math.hypot(initial.u, mechanical.u) : null);
  const partLoadMax = numberOf(engine, 'partLoadMaxBtdc') ?? null;
  return {
    initial,
    mechanical,
    vacuum,
    total: sum === null ? null : { btdc: sum, u, verdict: u === null ? null : verdictOrNone(sum, u, null, totalMax) },
    totalMax,
    partLoad: sum === null || vacuum === null ? null : sum + vacuum.deg,
    partLoadMax,
    initialMost: totalMax === null || mechanical === null ? null : totalMax - mechanical.deg
  };
}

function initialOf(
  sheet: RunSheet,
  engine: Engine,
  swept: SweepWork | null,
  timing: Record<string, TimingWork>
): Share | null {
  const strobe = sheet.steps.findLast((s) => s.role === 'strobe' && timing[s.id]?.latest);
  const read = strobe && timing[strobe.id]!.latest;
  if (read) return { deg: read.btdc, u: read.uDeg, from: 'by strobe on this job' };
  if (swept?.initialBtdc != null) return { deg: swept.initialBtdc, u: swept.uDeg, from: 'from the sweep' };
  const wanted = numberOf(engine, 'staticBtdc');
  return wanted === undefined ? null : { deg: wanted, u: null, from: 'as the data sheet wants it' };
}

function mechanicalOf(engine: Engine, swept: SweepWork | null): Share | null {
  if (swept?.fit && swept.initialBtdc !== null)
    return { deg: swept.fit.fullDeg - swept.initialBtdc, u: swept.uDeg, from: 'from the sweep' };
  const stop = numberOf(engine, 'stopDeg');
  return stop === undefined ? null : { deg: stop, u: null, from: 'the stop, as the data sheet has it' };
}

function vacuumOf(engine: Engine): Share | null {
  const flat = listOf(engine, 'vacuumCurve');
  if (!flat) return null;
  const most = Math.max(...flat.filter((_, k) => k % 2 === 1));
  return { deg: most, u: null, from: 'the most of its curve on the data sheet' };
}

/** What the budget says of the setting, in one sentence; null where nothing can be said. */
export function budgetText(b: BudgetWork): string | null {
  if (b.initialMost === null || b.totalMax === null) return null;
  const room = `With ${b.mechanical!.deg.toFixed(1)}° of mechanical advance the initial timing may be ${b.initialMost.toFixed(1)}° at most, for a total of ${b.totalMax}° at most`;
  if (b.partLoad === null) return room;
  if (b.partLoadMax === null)
    return `${room}; with vacuum ${b.partLoad.toFixed(1)}° at part load, for which the data sheet has no limit`;
  return b.partLoad > b.partLoadMax + 1e-9
    ? `${room}. With vacuum it comes to ${b.partLoad.toFixed(1)}° at part load, above the ${b.partLoadMax}° it may have: limit the capsule\u2019s travel`
    : `${room}. With vacuum it comes to ${b.partLoad.toFixed(1)}° at part load, of ${b.partLoadMax}° at most`;
}
