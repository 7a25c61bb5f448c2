import type { LengthText } from '../../job/texts.ts';
import { oneReading } from '../../job/readings.ts';
import { meshPattern, type Pattern } from '../../calculations/mesh/mesh-pattern.ts';
import type { Engine } from '../../engine/engine.ts';
import { numberOf } from './vocabulary.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';

/** One reading of where the compound was wiped: both heights, and what they say once the tooth's width is known. */
export interface PatchRow {
  n: number;
  low: Reading;
  high: Reading | null;
  pattern: Pattern | null;
  problem: string | null;
}

/** Contact readings in pairs, oldest first: the first is before, the last after. */
export function patchWork(engine: Engine, r: Replayed): PatchRow[] {
  const face = numberOf(engine, 'gearFaceMm');
  const rows: PatchRow[] = [];
  for (const x of r.readings) {
    if (x.slot === 'patch-low') rows.push({ n: rows.length + 1, low: x, high: null, pattern: null, problem: null });
    if (x.slot === 'patch-high' && rows.length > 0) rows[rows.length - 1]!.high = x;
  }
  for (const row of rows) if (row.high && face !== undefined) judge(row, row.high.value, face);
  return rows;
}

function judge(row: PatchRow, high: number, faceWidthMm: number): void {
  const [low, up] = [Math.min(row.low.value, high), Math.max(row.low.value, high)];
  if (low < 0 || up > faceWidthMm + 1e-9)
    row.problem = `The tooth is ${faceWidthMm} mm wide: contact cannot reach from ${low} to ${up} mm.`;
  else row.pattern = meshPattern({ contactLowMm: low, contactHighMm: up, faceWidthMm, tolerance: 0.1 });
}

/** What the contact says to do, in the words of the bench. */
export function patchFinding(p: Pattern, len: LengthText): string {
  const edge = p.edgeContact ? ' It runs off the edge of the tooth: do not run it so.' : '';
  if (p.state === 'centred')
    return `Contact is central, over ${(p.lengthFraction * 100).toFixed(0)} % of the tooth.${edge}`;
  const by = len(Math.abs(p.deeperMm));
  return p.state === 'low'
    ? `Contact is low: set the drive ${by} deeper.${edge}`
    : `Contact is high: raise the drive ${by}.${edge}`;
}

/** Standard uncertainty of the contact's centre: half of both ends' doubts in squares, mm. */
export const centreU = (row: PatchRow): number =>
  row.high ? Math.hypot(oneReading(row.low).u, oneReading(row.high).u) / 2 : 0;

/** The newest contact of which both ends are read. */
export const lastPatch = (rows: readonly PatchRow[]): PatchRow | null => rows.findLast((p) => p.high !== null) ?? null;
