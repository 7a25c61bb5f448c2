<script lang="ts">
  import type { Snippet } from 'svelte';
  import { formatClock } from '$core/units/format.ts';
  import { bearingPoint, CENTRE, ROTOR, SIZE, terminals, turnArrow } from './cap-geometry.ts';

  interface Props {
    order: number[];
    rotor: 'cw' | 'ccw';
    ratio: number | null;
    firingDeg?: number[] | undefined;
    /** bearing of number one's tower; null: not read yet, drawn at the front */
    firstBearing: number | null;
    /** bearing of the rotor; null: pointing at number one */
    rotorBearing?: number | null;
    /** which way to turn the housing, and how it is said */
    housing?: { turn: 'cw' | 'ccw' | 'none'; text: string } | null;
    /** what a step draws on the cap: free arc, tooth choices, slot and tang */
    children?: Snippet;
    /** says what the layers show */
    also?: string;
  }
  let {
    order,
    rotor,
    ratio,
    firingDeg,
    firstBearing,
    rotorBearing = null,
    housing = null,
    children,
    also = ''
  }: Props = $props();

  const first = $derived(firstBearing ?? 0);
  const towers = $derived(terminals(order, rotor, first, firingDeg, ratio));
  const runs = $derived(turnArrow(rotor, 215, 40, CENTRE.radius + 16));
  const move = $derived(
    housing && housing.turn !== 'none' ? turnArrow(housing.turn, 60, 50, CENTRE.radius + 20) : null
  );
  const size = $derived(order.length > 8 ? 10 : 13);
</script>

<svg
  class="drawing"
  viewBox="0 0 {SIZE.width} {SIZE.height}"
  role={children ? 'group' : 'img'}
  aria-label="Cap from above: terminals {order.join(', ')} in firing order, rotor runs {rotor === 'cw'
    ? 'clockwise'
    : 'anticlockwise'}{housing ? `; ${housing.text}` : ''}{also ? `; ${also}` : ''}"
>
  <text x={CENTRE.cx} y="15" class="label">front of engine</text>
  <path d="M{CENTRE.cx} 21v14M{CENTRE.cx - 4} 30l4 5 4-5" class="line" />
  <circle cx={CENTRE.cx} cy={CENTRE.cy} r={CENTRE.radius} class="body" />
  <circle cx={CENTRE.cx} cy={CENTRE.cy} r={CENTRE.radius - 12} class="thin" />
  {#each towers as t, k (t.cylinder)}
    {@const p = bearingPoint(t.bearing, CENTRE.radius - 26)}
    <circle cx={p.x} cy={p.y} r={size} class="tower" class:first={k === 0} />
    <text x={p.x} y={p.y + 5} class="number" class:first={k === 0}>{t.cylinder}</text>
  {/each}
  <path
    d={ROTOR}
    class="rotor"
    class:assumed={rotorBearing === null}
    transform="translate({CENTRE.cx} {CENTRE.cy}) rotate({rotorBearing ?? first}) scale(1 0.72)"
  />
  <circle cx={CENTRE.cx} cy={CENTRE.cy} r="13" class="body" />
  <circle cx={CENTRE.cx} cy={CENTRE.cy} r="3" class="hub" />
  <path d={runs.d} class="line second" />
  <path d="M-7 -5 L5 0 L-7 5Z" class="head second" transform={runs.head} />
  <text x="8" y={SIZE.height - 26} class="label start second">rotor runs</text>
  <text x="8" y={SIZE.height - 10} class="label start second">{rotor === 'cw' ? 'clockwise' : 'anticlockwise'}</text>
  {@render children?.()}
  {#if move}
    <path d={move.d} class="move" />
    <path d="M-10 -8 L6 0 L-10 8Z" class="head" transform={move.head} />
  {/if}
  <text x={SIZE.width - 6} y={SIZE.height - 10} class="label end" class:second={firstBearing === null}>
    {firstBearing === null ? 'number one not placed yet' : `number one at ${formatClock(first)} (${first.toFixed(0)}°)`}
  </text>
</svg>

<style>
  .label {
    text-anchor: middle;
    fill: var(--ink);
  }
  .label.end {
    text-anchor: end;
    font-weight: 620;
  }
  .label.second {
    fill: var(--ink-2);
    font-weight: 400;
  }
  .line.second {
    stroke: var(--ink-2);
  }
  .tower.first {
    fill: var(--ink);
  }
  .number {
    font-size: var(--t2);
    font-weight: 680;
    text-anchor: middle;
    fill: var(--ink);
  }
  .number.first {
    fill: var(--sheet);
  }
  .rotor {
    fill: var(--ink);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .rotor.assumed {
    fill: none;
    stroke: var(--predicted);
    stroke-dasharray: 4 3;
  }
  .move {
    fill: none;
    stroke: var(--target);
    stroke-width: 5;
  }
  .head {
    fill: var(--target);
  }
  .head.second {
    fill: var(--ink-2);
  }
</style>
