<script lang="ts">
  import type { ClosureWork } from '$core/domains/pump/closure-work.ts';
  import type { LiftWork } from '$core/domains/pump/lift-work.ts';
  import XyChart, { type Series } from '../../charts/XyChart.svelte';

  /** Lifts read about the one at which the port closes, over the crank: where the line through them meets it is the timing. */
  interface Props {
    closure: ClosureWork;
    timing: LiftWork['timing'];
    wantedBtdc: number | null;
    limits: { min: number | null; max: number | null };
    height?: number;
  }
  let { closure, timing, wantedBtdc, limits, height = 230 }: Props = $props();

  const series = $derived.by((): Series[] => {
    const { pairs, closureMm, slope } = closure;
    if (pairs.length === 0) return [];
    const all = [...pairs.map((p) => p.btdc), wantedBtdc, limits.min, limits.max].filter((x) => x !== null);
    const [from, to] = [Math.min(...all) - 0.5, Math.max(...all) + 0.5];
    const heights = [...pairs.map((p) => p.liftMm), closureMm];
    const [low, high] = [Math.min(...heights) - 0.05, Math.max(...heights) + 0.05];
    const upright = (x: number) => [
      { x, y: low },
      { x, y: high }
    ];
    const level = (a: number, b: number) => [
      { x: a, y: closureMm },
      { x: b, y: closureMm }
    ];
    const out: Series[] = [{ label: 'lift at which the port closes', kind: 'limit', points: level(from, to) }];
    if (timing && slope) {
      const lift = (btdc: number) => closureMm - (btdc - timing.btdc) / slope.degPerMm;
      const ends = [...pairs.map((p) => p.btdc), timing.btdc];
      out.push({
        label: 'line through them',
        kind: 'range',
        points: [Math.min(...ends), Math.max(...ends)].map((x) => ({ x, y: lift(x) }))
      });
      out.push({
        label: '± of the timing',
        kind: 'range',
        points: level(timing.btdc - 2 * timing.uDeg, timing.btdc + 2 * timing.uDeg)
      });
    }
    for (const [x, label] of [
      [limits.min, 'latest that is good'],
      [limits.max, 'earliest that is good']
    ] as const)
      if (x !== null) out.push({ label, kind: 'limit', points: upright(x) });
    if (wantedBtdc !== null) out.push({ label: 'wanted', kind: 'predicted', points: upright(wantedBtdc) });
    out.push({
      label: 'read',
      kind: timing?.verdict?.state === 'out' ? 'out' : 'measured',
      points: pairs.map((p) => ({ x: p.btdc, y: p.liftMm }))
    });
    return out;
  });
</script>

{#if series.length}
  <XyChart
    {series}
    xTitle="crank, degrees before TDC"
    yTitle="lift, mm"
    label="Lifts read about the closure over the crank; the figures stand beside it"
    {height}
  />
  <p class="quiet small">
    Points: lift and crank as read. Level: the lift at which the port closes{timing ? ', thick where its ± lies' : ''}.
    Dashed: the timing wanted. Thin upright: limits.
  </p>
{/if}
