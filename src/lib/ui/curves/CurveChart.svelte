<script lang="ts">
  import { axisLook } from '../charts/axis.ts';
  import { afterFrame, chartOn } from '../charts/chart-on.ts';
  import { colour } from '../theme/palette.ts';
  import { gripped, type Grip } from '../instruments/grip.ts';
  import { onMount, untrack } from 'svelte';
  import type { Chart as ChartType, ChartDataset } from 'chart.js';
  import { formatSpeed } from '$core/units/format.ts';
  import type { CurvePicture, Point } from '../../reader/curve-picture.ts';

  interface Props {
    picture: CurvePicture;
    label: string;
    height?: number;
    /** a target point moved to a timing; absent: the target stands still */
    ontarget?: ((k: number, deg: number) => void) | undefined;
  }
  let { picture, label, height = 420, ontarget }: Props = $props();

  let canvas: HTMLCanvasElement;
  let chart: ChartType | null = null;
  let ready = $state(false);
  let drawn = $state(0);
  let held = $state<number | null>(null);
  /** the top of the scale when the hand took hold */
  let stillTop = 0;
  /** measured point that the keyboard stands on */
  let stands = $state<number | null>(null);
  const all = $derived([
    ...picture.up.map((p) => ({ ...p, way: 'up' })),
    ...picture.down.map((p) => ({ ...p, way: 'down' }))
  ]);
  const here = $derived(stands === null ? null : (all[stands] ?? null));

  const line = (data: Point[], more: object): ChartDataset<'scatter'> => ({
    data,
    showLine: true,
    pointRadius: 0,
    borderWidth: 2,
    ...more
  });

  function datasets(p: CurvePicture): ChartDataset<'scatter'>[] {
    const ink = colour('--ink');
    const film = colour('--sheet');
    const out: ChartDataset<'scatter'>[] = [];
    if (p.band) {
      const low = p.band.map((b) => ({ x: b.rpm, y: b.minDeg }));
      const high = p.band.map((b) => ({ x: b.rpm, y: b.maxDeg }));
      const edge = { borderColor: colour('--in'), borderWidth: 1, borderDash: [2, 3] };
      out.push(line(low, edge));
      out.push(
        line(high, { ...edge, fill: '-1', backgroundColor: `color-mix(in srgb, ${colour('--in')} 13%, transparent)` })
      );
    }
    if (p.ghost.length) out.push(line(p.ghost, { borderColor: colour('--rule'), borderWidth: 2.5 }));
    const claimed = p.predicted[0]?.band;
    if (claimed) {
      const edge = { borderColor: colour('--predicted'), borderWidth: 0.8, borderDash: [1, 3] };
      out.push(line(claimed.least, edge));
      out.push(
        line(claimed.most, {
          ...edge,
          fill: '-1',
          backgroundColor: `color-mix(in srgb, ${colour('--predicted')} 24%, transparent)`
        })
      );
    }
    for (const [k, c] of p.predicted.entries())
      out.push(
        line(
          c.points,
          k === 0
            ? { borderColor: colour('--predicted'), borderDash: [8, 5], borderWidth: 3 }
            : {
                borderColor: `color-mix(in srgb, ${colour('--predicted')} 45%, transparent)`,
                borderDash: [3, 4],
                borderWidth: 1.2
              }
        )
      );
    if (p.carriedFrom)
      out.push({
        data: [p.carriedFrom],
        pointStyle: 'line',
        pointRadius: 9,
        borderColor: colour('--unsure'),
        borderWidth: 3,
        showLine: false
      });
    const marks = { pointBorderColor: ink, pointBorderWidth: 1.8 };
    if (p.up.length)
      out.push(
        line(p.up, {
          borderColor: ink,
          borderWidth: 1.6,
          pointStyle: 'triangle',
          pointRadius: 5.5,
          pointBackgroundColor: ink,
          ...marks
        })
      );
    if (p.down.length)
      out.push({
        data: p.down,
        showLine: false,
        pointStyle: 'triangle',
        pointRotation: 180,
        pointRadius: 5.5,
        pointBackgroundColor: film,
        ...marks
      });
    if (p.target.length)
      out.push({
        data: p.target,
        showLine: false,
        pointRadius: 8,
        pointBackgroundColor: 'transparent',
        pointBorderColor: colour('--target'),
        pointBorderWidth: 2.6
      });
    if (p.idleRpm !== null)
      out.push(
        line(
          [
            { x: p.idleRpm, y: 0 },
            { x: p.idleRpm, y: 90 }
          ],
          { borderColor: colour('--ink-2'), borderDash: [2, 4], borderWidth: 1.2 }
        )
      );
    if (here)
      out.push({
        data: [here],
        showLine: false,
        pointRadius: 11,
        pointBackgroundColor: 'transparent',
        pointBorderColor: colour('--predicted'),
        pointBorderWidth: 3
      });
    return out;
  }
  const top = $derived(
    Math.ceil(
      (Math.max(
        20,
        ...picture.up.map((q) => q.y),
        ...picture.target.map((q) => q.y),
        ...(picture.band ?? []).map((b) => b.maxDeg),
        ...picture.predicted.flatMap((c) => c.points.map((q) => q.y))
      ) +
        3) /
        10
    ) * 10
  );

  function scales(most: number, high: number) {
    const x = axisLook('engine speed, rpm');
    const y = axisLook('degrees before TDC, no vacuum');
    return {
      x: {
        ...x,
        min: 0,
        max: most,
        ticks: { ...x.ticks, callback: (v: number | string) => formatSpeed(Number(v)) }
      },
      y: { ...y, min: 0, max: high, ticks: { ...y.ticks, callback: (v: number | string) => `${v}°` } }
    };
  }

  onMount(() => {
    const off = chartOn(
      canvas,
      () => ({
        type: 'scatter',
        data: { datasets: datasets(picture) },
        options: {
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          scales: scales(picture.maxRpm, top),
          onResize: () => setTimeout(() => drawn++),
          plugins: { tooltip: { enabled: false } }
        }
      }),
      (made) => {
        chart = made;
        ready = true;
        drawn++;
      }
    );
    return () => {
      chart = null;
      off();
    };
  });
  $effect(() => {
    const next = datasets(picture);
    // the scale keeps still under a hand that drags
    const dragged = untrack(() => held) !== null;
    const look = scales(picture.maxRpm, dragged ? stillTop : top);
    if (!dragged) stillTop = top;
    if (!chart) return;
    return afterFrame(() => {
      if (!chart) return;
      chart.data.datasets = next;
      chart.options.scales = look;
      chart.update('none');
      drawn++;
    });
  });

  const place = (p: Point) => {
    void drawn;
    const s = chart?.scales;
    return s ? { left: s['x']!.getPixelForValue(p.x), top: s['y']!.getPixelForValue(p.y) } : null;
  };
  const half = (deg: number) => Math.round(Math.min(70, Math.max(-10, deg)) * 2) / 2;

  const grip = (k: number): Grip => ({
    place: (e) => {
      const box = canvas.getBoundingClientRect();
      return { x: e.clientX - box.left, y: e.clientY - box.top };
    },
    take: () => void (held = k),
    drag: (p) => chart && ontarget?.(k, half(chart.scales['y']!.getValueForPixel(p.y)!)),
    drop: () => (held = null),
    // half a degree a step, two degrees with Shift or Page
    step: (by) =>
      Number.isFinite(by) && ontarget?.(k, half(picture.target[k]!.y + Math.sign(by) * (Math.abs(by) === 1 ? 0.5 : 2)))
  });
  function walk(e: KeyboardEvent) {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[e.key];
    if (by === undefined || all.length === 0) return;
    e.preventDefault();
    stands = stands === null ? 0 : (stands + by + all.length) % all.length;
  }
</script>

<div>
  <!-- the measured points are walked with the arrow keys and said below; targets are sliders of their own -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <div
    class="chart"
    style="height: {height}px"
    role="group"
    aria-label={label}
    tabindex="0"
    data-ready={ready}
    onkeydown={walk}
    onblur={() => (stands = null)}
  >
    <canvas bind:this={canvas} aria-hidden="true"></canvas>
    {#if ready && ontarget}
      {#each picture.target as t, k (k)}
        {@const p = place(t)}
        {#if p}
          <span
            class="target"
            style="left: {p.left}px; top: {p.top}px"
            role="slider"
            tabindex="0"
            aria-label="Target at {formatSpeed(t.x)} rpm"
            aria-valuemin="-10"
            aria-valuemax="70"
            aria-valuenow={t.y}
            aria-valuetext="{t.y} degrees before TDC"
            {@attach gripped(() => grip(k))}
          ></span>
        {/if}
      {/each}
    {/if}
  </div>
  <p class="key">
    {#if picture.up.length}<span>▲ measured going up</span>{/if}
    {#if picture.down.length}<span>▽ coming down</span>{/if}
    {#if picture.band}<span class="in">▒ limits</span>{/if}
    {#if picture.predicted.length}<span class="pre"
        >╌ predicted: {picture.predicted[0]!.label}{picture.predicted.length > 1 ? '; the others fine' : ''}{picture
          .predicted[0]!.band
          ? ', shaded where it claims to hold'
          : ''}</span
      >{/if}
    {#if picture.target.length}<span class="tar">◯ target{ontarget ? ': drag, or arrow keys' : ''}</span>{/if}
    {#if picture.ghost.length}<span>— the job before</span>{/if}
    {#if picture.carriedFrom}<span class="uns">beyond {picture.carriedFrom.y.toFixed(1)}° not measured, carried on</span
      >{/if}
  </p>
  <p class="only-read" aria-live="polite">
    {#if here}Point {stands! + 1} of {all.length}, going {here.way}: {formatSpeed(here.x)} rpm, {here.y.toFixed(1)} degrees{/if}
  </p>
</div>

<style>
  .chart {
    position: relative;
    width: 100%;
  }
  .target {
    position: absolute;
    width: 44px;
    height: 44px;
    transform: translate(-50%, -50%);
    border-radius: 50%;
    cursor: ns-resize;
    touch-action: none;
  }
  .key {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 16px;
    font-size: var(--t1);
    color: var(--ink);
    margin: 2px 0 8px;
  }
  .in {
    color: var(--in);
  }
  .pre {
    color: var(--predicted);
    font-weight: 600;
  }
  .tar {
    color: var(--target);
    font-weight: 600;
  }
  .uns {
    color: var(--unsure);
    font-weight: 600;
  }
</style>
