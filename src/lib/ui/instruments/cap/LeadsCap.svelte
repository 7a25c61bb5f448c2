<script lang="ts">
  import { wrap360 } from '$core/numerics/angles.ts';
  import { gripped, type Grip, type Spot } from '../grip.ts';
  import { bearingOf, bearingPoint, CENTRE, SIZE, turnArrow } from './cap-geometry.ts';

  /** The cap from above with the lead of each tower; a lead can be moved to another tower, which then takes its place. */
  interface Props {
    /** what each tower's lead goes to, clockwise; null while it is not read */
    leads: readonly (number | null)[];
    /** what each should go to; left out: nothing is said of it */
    expected?: readonly number[];
    wrong: readonly number[];
    /** the tower that is read next */
    next: number | null;
    /** where the first tower stands */
    firstDeg: number;
    rotor: 'cw' | 'ccw' | undefined;
    label: string;
    /** a lead was moved from one tower to another */
    onmove?: (from: number, to: number) => void;
  }
  let { leads, expected, wrong, next, firstDeg, rotor, label, onmove }: Props = $props();
  const n = $derived(leads.length);
  const at = (k: number, r: number) => bearingPoint(wrap360(firstDeg + (k * 360) / n), r);
  const runs = $derived(rotor ? turnArrow(rotor, 215, 40, CENTRE.radius + 16) : null);
  const RADIUS = CENTRE.radius - 26;
  /** the lead in hand, and where it is */
  let held = $state.raw<{ tower: number; at: Spot } | null>(null);
  const nearest = (s: Spot) => Math.round((wrap360(bearingOf(s.x, s.y) - firstDeg) * n) / 360) % n;

  function grip(tower: number): Grip | null {
    if (!onmove || leads[tower] === null) return null;
    return {
      take: (spot) => void (held = { tower, at: spot }),
      drag: (spot) => (held = { tower, at: spot }),
      drop: (whole) => {
        const to = held && nearest(held.at);
        held = null;
        if (whole && to !== null) move(tower, to);
      },
      step: (by) => move(tower, (tower + Math.sign(by) + n) % n)
    };
  }
  function move(from: number, to: number) {
    if (to !== from && leads[to] !== null) onmove!(from, to);
  }
</script>

<svg class="drawing" viewBox="0 0 {SIZE.width} {SIZE.height}" role={onmove ? 'group' : 'img'} aria-label={label}>
  <text x={CENTRE.cx} y="15" class="label">front of engine</text>
  <circle cx={CENTRE.cx} cy={CENTRE.cy} r={CENTRE.radius} class="body" />
  {#each leads as lead, k (k)}
    {@const p = held?.tower === k ? held.at : at(k, RADIUS)}
    {@const q = at(k, RADIUS - 34)}
    {@const bad = wrong.includes(k)}
    {#if held?.tower === k}<circle cx={at(k, RADIUS).x} cy={at(k, RADIUS).y} r="15" class="thin" />{/if}
    {#if onmove && lead !== null}
      <g
        class="grip"
        role="slider"
        tabindex="0"
        aria-label="Lead of cylinder {lead}"
        aria-valuemin="1"
        aria-valuemax={n}
        aria-valuenow={k + 1}
        aria-valuetext="on tower {k + 1}; an arrow changes it with its neighbour"
        {@attach gripped(() => grip(k))}
      >
        <circle cx={p.x} cy={p.y} r="24" class="hit" />
        <circle cx={p.x} cy={p.y} r="15" class="tower" class:bad />
        <text x={p.x} y={p.y + 5} class="number" class:bad>{lead}</text>
      </g>
    {:else}
      <circle cx={p.x} cy={p.y} r="15" class="tower" class:bad class:next={k === next} />
      <text x={p.x} y={p.y + 5} class="number" class:bad>{lead ?? '·'}</text>
    {/if}
    {#if expected}<text x={q.x} y={q.y + 5} class="want">{expected[k]}</text>{/if}
  {/each}
  {#if runs}
    <path d={runs.d} class="line" />
    <path d="M-7 -5 L5 0 L-7 5Z" class="head" transform={runs.head} />
    <text x="8" y={SIZE.height - 10} class="label start"
      >rotor runs {rotor === 'cw' ? 'clockwise' : 'anticlockwise'}</text
    >
  {/if}
</svg>

<style>
  .label {
    text-anchor: middle;
  }
  .tower.bad {
    stroke: var(--out);
    stroke-width: 3.4;
  }
  .tower.next {
    stroke: var(--target);
    stroke-dasharray: 4 3;
  }
  .number.bad {
    fill: var(--out);
  }
  .want {
    font-size: var(--t1);
    text-anchor: middle;
    fill: var(--ink-2);
  }
  .line {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1.6;
  }
  .head {
    fill: var(--ink-2);
  }
  .hit {
    fill: transparent;
  }
  .grip {
    cursor: grab;
    touch-action: none;
    outline: none;
  }
  .grip:focus-visible .hit {
    stroke: var(--target);
    stroke-width: 2;
  }
</style>
