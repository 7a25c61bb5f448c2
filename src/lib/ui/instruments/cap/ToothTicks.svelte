<script lang="ts">
  import { wrap360 } from '$core/numerics/angles.ts';
  import { bearingArc, bearingPoint, CENTRE, ROTOR } from './cap-geometry.ts';

  interface Props {
    /** rotor bearings that the teeth offer */
    teeth: number[];
    best: number | null;
    /** bearing of the housing's datum, as planned */
    housing: number | null;
    /** where to point the rotor before letting it down, and which way it turns while it drops */
    start: { bearing: number; turns: 'cw' | 'ccw'; to: number } | null;
  }
  let { teeth, best, housing, start }: Props = $props();
  const tick = (b: number, inner: number, outer: number) => {
    const p = bearingPoint(b, inner);
    const q = bearingPoint(b, outer);
    return `M${p.x.toFixed(1)} ${p.y.toFixed(1)}L${q.x.toFixed(1)} ${q.y.toFixed(1)}`;
  };
  const sweep = $derived(
    start === null || wrap360(start.to - start.bearing) === 0
      ? null
      : start.turns === 'cw'
        ? bearingArc(start.bearing, start.to, 62)
        : bearingArc(start.to, start.bearing, 62)
  );
  const label = (b: number, r: number) => bearingPoint(b, r);
</script>

{#each teeth as b, k (k)}<path d={tick(b, CENTRE.radius + 2, CENTRE.radius + 9)} class="tooth" />{/each}
{#if best !== null}<path d={tick(best, CENTRE.radius - 2, CENTRE.radius + 15)} class="best" />{/if}
{#if housing !== null}
  {@const p = bearingPoint(housing, CENTRE.radius + 9)}
  <rect x="-9" y="-10" width="18" height="20" class="lug" transform="translate({p.x} {p.y}) rotate({housing})" />
{/if}
{#if start}
  <path d={ROTOR} class="start" transform="translate({CENTRE.cx} {CENTRE.cy}) rotate({start.bearing}) scale(1 0.72)" />
  {#if sweep}<path d={sweep} class="start" />{/if}
  {@const q = label(start.bearing, 74)}
  <circle cx={q.x} cy={q.y} r="3" class="dot" />
{/if}

<style>
  .tooth {
    stroke: var(--ink-2);
    stroke-width: 1.4;
  }
  .best {
    stroke: var(--target);
    stroke-width: 3.6;
  }
  .lug {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .start {
    fill: none;
    stroke: var(--predicted);
    stroke-width: 1.6;
    stroke-dasharray: 4 3;
  }
  .dot {
    fill: var(--predicted);
  }
</style>
