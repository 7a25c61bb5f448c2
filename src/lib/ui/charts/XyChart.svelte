<script lang="ts">
  import { onMount } from 'svelte';
  import { colour } from '../theme/palette.ts';
  import { axisLook } from './axis.ts';
  import { chartOn } from './chart-on.ts';
  import type { Chart as ChartType, ChartDataset } from 'chart.js';

  export interface Series {
    label: string;
    points: { x: number; y: number }[];
    /** measured: solid marks; predicted: a dashed line; range: a solid bar; limit: a thin line; out: a cross */
    kind: 'measured' | 'predicted' | 'range' | 'limit' | 'out';
  }
  interface Props {
    series: Series[];
    xTitle: string;
    yTitle: string;
    xText?: (x: number) => string;
    xTicks?: number[];
    /** what the chart shows, for those who do not see it; the figures stand in a table beside */
    label: string;
    height?: number;
  }
  let { series, xTitle, yTitle, xText, xTicks, label, height = 240 }: Props = $props();

  let canvas: HTMLCanvasElement;
  let chart: ChartType | null = null;
  let ready = $state(false);

  function dataset(s: Series): ChartDataset<'scatter'> {
    const ink = colour('--ink');
    const base = {
      label: s.label,
      data: s.points,
      showLine: s.kind !== 'measured' && s.kind !== 'out',
      pointRadius: 0
    };
    if (s.kind === 'measured') return { ...base, pointRadius: 4.5, pointBackgroundColor: ink, pointBorderColor: ink };
    if (s.kind === 'out')
      return { ...base, pointRadius: 7, pointStyle: 'crossRot', borderWidth: 2.5, borderColor: colour('--out') };
    if (s.kind === 'predicted')
      return { ...base, borderColor: colour('--predicted'), borderDash: [6, 4], borderWidth: 2 };
    if (s.kind === 'range') return { ...base, borderColor: ink, borderWidth: 2 };
    return { ...base, borderColor: colour('--ink-2'), borderWidth: 1 };
  }

  function scales() {
    const x = axisLook(xTitle);
    return {
      x: {
        ...x,
        ticks: { ...x.ticks, callback: (v: number | string) => (xText ? xText(Number(v)) : String(v)) },
        ...(xTicks
          ? {
              afterBuildTicks: (a: { ticks: { value: number }[] }) =>
                void (a.ticks = xTicks!.map((value) => ({ value })))
            }
          : {})
      },
      y: axisLook(yTitle)
    };
  }

  onMount(() => {
    const off = chartOn(
      canvas,
      () => ({
        type: 'scatter',
        data: { datasets: series.map(dataset) },
        options: {
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          scales: scales(),
          plugins: { tooltip: { enabled: true } }
        }
      }),
      (made) => {
        chart = made;
        ready = true;
      }
    );
    return () => {
      chart = null;
      off();
    };
  });
  $effect(() => {
    const [next, look] = [series.map(dataset), scales()];
    // a chart whose place has left the page is not drawn any more
    if (!chart || !canvas?.isConnected) return;
    chart.data.datasets = next;
    chart.options.scales = look;
    chart.update('none');
  });
</script>

<div class="chart" style="height: {height}px" role="img" aria-label={label} data-ready={ready}>
  <canvas bind:this={canvas}></canvas>
</div>

<style>
  .chart {
    position: relative;
    width: 100%;
  }
</style>
