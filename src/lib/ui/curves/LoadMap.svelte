<script lang="ts">
  import { curveTotal } from '$core/calculations/curve/curve-total.ts';
  import { type Knot } from '$core/calculations/curve/knots.ts';
  import { formatSpeed } from '$core/units/format.ts';

  interface Props {
    initialBtdc: number;
    centrifugal: Knot[];
    vacuum: { kpa: number; deg: number }[];
    idle: { rpm: number; kpa: number } | null;
    cruise: { rpm: number; kpa: number } | null;
    maxRpm: number;
  }
  let { initialBtdc, centrifugal, vacuum, idle, cruise, maxRpm }: Props = $props();

  const maxKpa = $derived(
    Math.ceil(Math.max(40, ...vacuum.map((v) => v.kpa), idle?.kpa ?? 0, cruise?.kpa ?? 0) / 10) * 10
  );
  const speeds = $derived(Array.from({ length: 10 }, (_, k) => Math.round((maxRpm * (k + 1)) / 10 / 50) * 50));
  const kpas = $derived(Array.from({ length: 6 }, (_, k) => Math.round((maxKpa * (5 - k)) / 5)));
  const X0 = 64;
  const W = 700;
  const ROW = 46;
  const COL = $derived((W - X0) / speeds.length);
  const total = (at: { rpm: number; kpa: number }[]) => {
    const r = curveTotal({ initialBtdc, centrifugal, vacuum, at });
    return r.ok ? r.out.rows : [];
  };
  const cells = $derived(kpas.map((kpa) => total(speeds.map((rpm) => ({ rpm, kpa })))));
  const most = $derived(Math.max(1, ...cells.flat().map((c) => c.total)));
  const x = (rpm: number) => X0 + Math.min(1, rpm / maxRpm) * (W - X0) - COL / 2;
  const y = (kpa: number) => 20 + ROW / 2 + (1 - kpa / maxKpa) * ROW * (kpas.length - 1);
  const places = $derived([
    ...(idle ? [{ name: 'idle', ...idle }] : []),
    ...(cruise ? [{ name: 'cruise', ...cruise }] : []),
    { name: 'full load', rpm: maxRpm, kpa: 0 }
  ]);
  const figures = $derived(total(places.map(({ rpm, kpa }) => ({ rpm, kpa }))));
</script>

<svg
  class="drawing"
  viewBox="0 0 {W + 10} {ROW * kpas.length + 62}"
  role="img"
  aria-label="Load map: total timing over speed and depression; the figures at idle, cruise and full load stand in the table below"
>
  {#each cells as row, r (r)}
    <text x={X0 - 10} y={20 + r * ROW + ROW / 2 + 5} class="axis end">{kpas[r]} kPa</text>
    {#each row as c, k (k)}
      <rect
        x={X0 + k * COL}
        y={20 + r * ROW}
        width={COL}
        height={ROW}
        class="cell"
        style="fill-opacity: {(0.04 + 0.3 * (c.total / most)).toFixed(3)}"
      />
    {/each}
  {/each}
  {#each speeds as s, k (s)}
    <text x={X0 + k * COL + COL / 2} y={20 + kpas.length * ROW + 18} class="axis">{formatSpeed(s)}</text>
  {/each}
  <text x={W} y={20 + kpas.length * ROW + 36} class="axis end">engine speed, rpm</text>
  {#if idle && cruise}
    <path d="M{x(idle.rpm)} {y(idle.kpa)}L{x(cruise.rpm)} {y(cruise.kpa)}L{x(maxRpm)} {y(0)}" class="way" />
  {/if}
  {#each cells as row, r (r)}{#each row as c, k (k)}
      <text x={X0 + k * COL + COL / 2} y={20 + r * ROW + ROW - 8} class="figure">{c.total.toFixed(0)}°</text>
    {/each}{/each}
  {#each places as p (p.name)}
    <circle cx={x(p.rpm)} cy={y(p.kpa)} r="7" class="place" />
    <text x={x(p.rpm)} y={y(p.kpa) - 12} class="name">{p.name}</text>
  {/each}
</svg>
<table>
  <caption class="only-read">Total timing at idle, cruise and full load</caption>
  <thead
    ><tr
      ><th>at</th><th class="n">rpm</th><th class="n">kPa</th><th class="n">initial</th><th class="n">weights</th><th
        class="n">vacuum</th
      ><th class="n">total</th></tr
    ></thead
  >
  <tbody>
    {#each places as p, k (p.name)}
      {@const f = figures[k]}
      {#if f}
        <tr
          ><td>{p.name}</td><td class="n">{formatSpeed(p.rpm)}</td><td class="n">{p.kpa}</td><td class="n"
            >{f.initial.toFixed(1)}°</td
          ><td class="n">{f.centrifugal.toFixed(1)}°</td><td class="n">{f.vacuum.toFixed(1)}°</td><td class="n"
            ><b>{f.total.toFixed(1)}°</b></td
          ></tr
        >
      {/if}
    {/each}
  </tbody>
</table>
{#if !idle || !cruise}<p class="quiet small">
    Depression at idle and at cruise are not on the data sheet: those places are left out.
  </p>{/if}

<style>
  svg {
    max-width: 860px;
  }
  .cell {
    fill: var(--ink);
    stroke: var(--sheet);
    stroke-width: 1;
  }
  .figure {
    paint-order: stroke;
    stroke: var(--sheet);
    stroke-width: 2px;
    stroke-opacity: 0.6;
    font-size: var(--t2);
    text-anchor: middle;
    fill: var(--ink);
  }
  .axis {
    font-size: var(--t1);
    text-anchor: middle;
    fill: var(--ink-2);
  }
  .end {
    text-anchor: end;
  }
  .way {
    fill: none;
    stroke: var(--target);
    stroke-width: 2.4;
  }
  .place {
    fill: var(--sheet);
    stroke: var(--target);
    stroke-width: 3;
  }
  .name {
    font-size: var(--t2);
    font-weight: 640;
    text-anchor: middle;
    fill: var(--target);
    paint-order: stroke;
    stroke: var(--sheet);
    stroke-width: 4px;
  }
</style>
