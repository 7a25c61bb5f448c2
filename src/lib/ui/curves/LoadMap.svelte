<script lang="ts">
  import { curveTotal } from '$core/calculations/curve/curve-total.ts';
  import { type Knot } from '$core/calculations/curve/knots.ts';
  import { formatSpeed } from '$core/units/format.ts';
  import { FINE, timingLines } from './load-lines.ts';

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
  const rpms = $derived(Array.from({ length: 5 }, (_, k) => Math.round((maxRpm * (k + 1)) / 5 / 50) * 50));
  const kpas = $derived(Array.from({ length: maxKpa / 10 + 1 }, (_, k) => 10 * k));
  const [X0, X1, TOP, FOOT] = [64, 668, 44, 300];
  const total = (at: { rpm: number; kpa: number }[]) => {
    const r = curveTotal({ initialBtdc, centrifugal, vacuum, at });
    return r.ok ? r.out.rows : [];
  };
  const field = $derived(
    Array.from({ length: FINE.along * FINE.up }, (_, n) => ({
      rpm: (maxRpm * (n % FINE.along)) / (FINE.along - 1),
      kpa: (maxKpa * Math.floor(n / FINE.along)) / (FINE.up - 1)
    }))
  );
  const lines = $derived(timingLines(total(field).map((c) => c.total)));
  const x = (rpm: number) => X0 + Math.min(1, rpm / maxRpm) * (X1 - X0);
  const y = (kpa: number) => FOOT - (kpa / maxKpa) * (FOOT - TOP);
  const path = (run: [number, number][]) =>
    'M' + run.map(([along, up]) => `${x(along * maxRpm).toFixed(1)} ${y(up * maxKpa).toFixed(1)}`).join('L');
  const places = $derived([
    ...(idle ? [{ name: 'idle', ...idle }] : []),
    ...(cruise ? [{ name: 'cruise', ...cruise }] : []),
    { name: 'full load', rpm: maxRpm, kpa: 0 }
  ]);
  const figures = $derived(total(places.map(({ rpm, kpa }) => ({ rpm, kpa }))));
</script>

<svg
  class="drawing glance"
  viewBox="0 0 700 {FOOT + 44}"
  role="img"
  aria-label="Load map: lines of equal total timing over speed and depression; the figures at idle, cruise and full load stand in the table below"
>
  <path d="M{X0} {TOP}V{FOOT}H{X1}" class="frame" />
  {#each kpas as kpa (kpa)}
    <path d="M{X0 - 5} {y(kpa)}H{X0}" class="frame" />
    <text x={X0 - 10} y={y(kpa) + 5} class="axis end">{kpa}</text>
  {/each}
  {#each rpms as rpm (rpm)}
    <path d="M{x(rpm)} {FOOT}V{FOOT + 5}" class="frame" />
    <text x={x(rpm)} y={FOOT + 20} class="axis">{formatSpeed(rpm)}</text>
  {/each}
  <text x={X1} y={FOOT + 38} class="axis end">engine speed, rpm</text>
  <text x={X0 - 46} y={TOP - 24} class="axis start">depression, kPa</text>
  {#each lines as l (l.deg)}
    {#each l.runs as run, k (k)}<path d={path(run)} class="equal" />{/each}
  {/each}
  {#if idle && cruise}
    <path d="M{x(idle.rpm)} {y(idle.kpa)}L{x(cruise.rpm)} {y(cruise.kpa)}L{x(maxRpm)} {y(0)}" class="way" />
  {/if}
  {#each lines as l (l.deg)}
    {#if l.at}<text x={x(l.at[0] * maxRpm)} y={y(l.at[1] * maxKpa) + 5} class="figure">{l.deg}°</text>{/if}
  {/each}
  {#each places as p (p.name)}
    <circle cx={x(p.rpm)} cy={y(p.kpa)} r="7" class="place" />
    <text x={x(p.rpm) - (p.rpm >= maxRpm ? 12 : 0)} y={y(p.kpa) - 12} class="name" class:end={p.rpm >= maxRpm}
      >{p.name}</text
    >
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
  .frame {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1.2;
  }
  .equal {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  .figure {
    paint-order: stroke;
    stroke: var(--sheet);
    stroke-width: 6px;
    font-size: var(--t2);
    text-anchor: middle;
    fill: var(--ink);
  }
  .axis {
    font-size: var(--t1);
    text-anchor: middle;
    fill: var(--ink-2);
  }
  .start {
    text-anchor: start;
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
  .name:not(.end) {
    text-anchor: middle;
  }
  .name {
    font-size: var(--t2);
    font-weight: 640;
    fill: var(--target);
    paint-order: stroke;
    stroke: var(--sheet);
    stroke-width: 4px;
  }
</style>
