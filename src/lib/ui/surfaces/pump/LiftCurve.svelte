<script lang="ts">
  import { pumpChart } from '$core/calculations/pump/pump-chart.ts';
  import type { ChartWork } from '$core/domains/pump/lift-chart.ts';
  import type { LiftWork } from '$core/domains/pump/lift-work.ts';
  import XyChart, { type Series } from '../../charts/XyChart.svelte';

  /** The chart as a curve, what is wanted on it, what was measured, and what the slot can still do. */
  interface Props {
    chart: ChartWork;
    limits: { min: number | null; max: number | null };
    work?: LiftWork | null;
    /** what the slot has left, degrees of the crank */
    slot?: { advance: number; retard: number } | null;
    height?: number;
  }
  let { chart, limits, work = null, slot = null, height = 280 }: Props = $props();

  const curve = $derived.by(() => {
    const of = { pumpCode: 'x', points: chart.points };
    const [from, to] = [chart.points[0]?.btdc ?? 0, chart.points.at(-1)?.btdc ?? 0];
    return Array.from({ length: 41 }, (_, k) => from + ((to - from) * k) / 40).flatMap((btdc) => {
      const read = pumpChart({ chart: of, pumpCode: 'x', btdc });
      return read.ok ? [{ x: btdc, y: read.out.liftMm }] : [];
    });
  });
  const top = $derived(Math.max(...chart.points.map((p) => p.liftMm), 0));
  const upright = (x: number) => [
    { x, y: 0 },
    { x, y: top }
  ];
  const series = $derived.by((): Series[] => {
    if (chart.points.length < 2) return [];
    const out: Series[] = [{ label: 'chart', kind: 'range', points: curve }];
    for (const [x, label] of [
      [limits.min, 'latest that is good'],
      [limits.max, 'earliest that is good']
    ] as const)
      if (x !== null) out.push({ label, kind: 'limit', points: upright(x) });
    const [from, to] = [chart.points[0]!.btdc, chart.points.at(-1)!.btdc];
    out.push({
      label: 'base circle, the zero of the dial',
      kind: 'limit',
      points: [
        { x: from, y: 0 },
        { x: to, y: 0 }
      ]
    });
    if (chart.target) out.push({ label: 'wanted', kind: 'predicted', points: upright(chart.target.btdc) });
    const t = work?.timing;
    if (t && work?.lift) {
      const y = work.lift.mm;
      if (slot)
        out.push({
          label: 'what the slot can reach',
          kind: 'limit',
          points: [
            { x: t.btdc - slot.retard, y },
            { x: t.btdc + slot.advance, y }
          ]
        });
      out.push({
        label: 'its doubt',
        kind: 'range',
        points: [
          { x: t.btdc - 2 * t.uDeg, y },
          { x: t.btdc + 2 * t.uDeg, y }
        ]
      });
      out.push({
        label: 'measured',
        kind: t.verdict?.state === 'out' ? 'out' : 'measured',
        points: [{ x: t.btdc, y }]
      });
    }
    return out;
  });
</script>

{#if chart.points.length >= 2}
  <XyChart
    {series}
    xTitle="degrees before TDC"
    yTitle="lift, mm"
    label="Lift over timing by the chart, with the timing wanted{work?.timing
      ? ' and what was measured'
      : ''}; the figures stand beside it"
    {height}
  />
  <p class="quiet small">
    Thick: the chart{work?.timing ? ', and across it what was measured with its doubt' : ''}. Dashed: the timing wanted.
    Along the foot: the base circle, where the dial has its zero. Thin upright: limits{slot && work?.timing
      ? '; thin level: what the slot can reach'
      : ''}.
  </p>
{/if}
