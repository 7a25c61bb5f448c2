<script lang="ts">
  import type { Intervals } from '$core/calculations/curve/curve-interval.ts';
  import { rad } from '$core/numerics/angles.ts';

  interface Props {
    out: Intervals | null;
    cylinders: number[];
    toleranceDeg: number | null;
  }
  let { out, cylinders, toleranceDeg }: Props = $props();
  const R = 104;
  const n = $derived(cylinders.length);
  /** errors are drawn this many times larger */
  const times = $derived(out ? Math.max(4, Math.min(40, Math.floor(40 / Math.max(0.5, out.maxErrorDeg)))) : 10);
  const at = (deg: number, r: number) => ({ x: 170 + r * Math.sin(rad(deg)), y: 165 - r * Math.cos(rad(deg)) });
  const rows = $derived(
    cylinders.map((c, k) => {
      const error = out?.errors[k]?.errorDeg ?? 0;
      const even = (360 * k) / n;
      return {
        c,
        error,
        even,
        p: at(even, R),
        q: at(even, R + error * times),
        label: at(even, R + 58),
        bad: toleranceDeg !== null && Math.abs(error) > toleranceDeg
      };
    })
  );
  const runOut = $derived.by(() => {
    if (!out) return '';
    return Array.from({ length: 73 }, (_, k) => {
      const a = k * 5;
      const e = out.runOutDeg * Math.cos(rad(a - out.runOutPhaseDeg));
      const p = at(a, R + e * times);
      return `${k ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`;
    }).join('');
  });
</script>

<figure>
  <svg
    class="drawing"
    viewBox="0 -8 340 352"
    role="img"
    aria-label="Errors of the sparks round the distributor{out ? `, run-out ${out.runOutDeg.toFixed(2)} degrees` : ''}"
  >
    <circle cx="170" cy="165" r={R} class="even" />
    {#if toleranceDeg !== null && out}
      <circle cx="170" cy="165" r={R + toleranceDeg * times} class="tol" />
      <circle cx="170" cy="165" r={Math.max(4, R - toleranceDeg * times)} class="tol" />
    {/if}
    {#if out}<path d={runOut} class="run" />{/if}
    {#each rows as r (r.c)}
      <path d="M{r.p.x} {r.p.y}L{r.q.x} {r.q.y}" class="off" class:bad={r.bad} />
      <circle cx={r.q.x} cy={r.q.y} r="7" class="spark" class:bad={r.bad} />
      <text x={r.label.x} y={r.label.y + 5} class="cylinder">{r.c}</text>
    {/each}
  </svg>
  <figcaption>Outward is late, inward early. Dashed: the run-out alone. Dotted: the tolerance.</figcaption>
</figure>

<style>
  figure {
    margin: 0;
  }
  svg {
    max-width: 380px;
  }
  .even {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .tol {
    fill: none;
    stroke: var(--in);
    stroke-dasharray: 2 4;
    stroke-width: 1.4;
  }
  .run {
    fill: none;
    stroke: var(--predicted);
    stroke-width: 2;
    stroke-dasharray: 6 4;
  }
  .off {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .spark {
    fill: var(--ink);
  }
  .bad {
    stroke: var(--out);
    fill: var(--out);
  }
  .cylinder {
    font-size: var(--t3);
    font-weight: 660;
    text-anchor: middle;
    fill: var(--ink);
  }
  figcaption {
    font-size: var(--t2);
    color: var(--ink-2);
  }
</style>
