import { contours } from 'd3-contour';

/** A line of equal timing, as it runs over the field: places from 0 to 1 along speed and depression. */
export interface TimingLine {
  deg: number;
  runs: [along: number, up: number][][];
  /** where its figure stands */
  at: [along: number, up: number] | null;
}

/** How fine the field is sampled each way. */
export const FINE = { along: 91, up: 61 };
const STEP_DEG = 4;

/**
 * Lines of equal total timing over a field of FINE.up rows of FINE.along figures, the lowest depression and speed first.
 * The edge of the field is no line: what runs along it is cut away.
 * @param field total timing in crank degrees, row by row
 */
export function timingLines(field: readonly number[]): TimingLine[] {
  const least = Math.ceil((Math.min(...field) + 0.5) / STEP_DEG) * STEP_DEG;
  const most = Math.max(...field);
  const levels = Array.from(
    { length: Math.max(0, Math.ceil((most - least) / STEP_DEG)) },
    (_, k) => least + k * STEP_DEG
  );
  return contours()
    .size([FINE.along, FINE.up])
    .thresholds(levels)([...field])
    .map(({ value, coordinates }, k) => {
      const runs = coordinates.flatMap((polygon) => polygon.flatMap((ring) => inside(ring as [number, number][])));
      return { deg: value, runs, at: labelOf(runs, k % 2 ? 0.66 : 0.34) };
    })
    .filter((l) => l.runs.length > 0);
}

/** The pieces of a ring that do not run along the edge, from 0 to 1 each way. */
function inside(ring: [number, number][]): [number, number][][] {
  const runs: [number, number][][] = [];
  let run: [number, number][] = [];
  for (const [x, y] of ring) {
    // a sample stands in the middle of its cell
    const [along, up] = [(x - 0.5) / (FINE.along - 1), (y - 0.5) / (FINE.up - 1)];
    const edge = along < -1e-9 || up < -1e-9 || along > 1 + 1e-9 || up > 1 + 1e-9;
    if (!edge) run.push([along, up]);
    else if (run.length > 0) {
      runs.push(run);
      run = [];
    }
  }
  if (run.length > 0) runs.push(run);
  return runs.filter((r) => r.length > 1);
}

/** Where a line comes nearest to a height, away from both sides. */
function labelOf(runs: [number, number][][], height: number): [number, number] | null {
  const free = runs.flat().filter(([along]) => along > 0.04 && along < 0.96);
  return free.reduce<[number, number] | null>(
    (best, p) => (best === null || Math.abs(p[1] - height) < Math.abs(best[1] - height) ? p : best),
    null
  );
}
