<script lang="ts">
  import { gripped, type Grip } from '../grip.ts';
  import { wrap360 } from '$core/numerics/angles.ts';
  import { bearingArc, bearingOf, bearingPoint, blockSpan, CENTRE, ringBlock } from './cap-geometry.ts';

  interface Props {
    min: number;
    max: number;
    /** a trial, not what was logged */
    trial: boolean;
    onchange?: ((min: number, max: number) => void) | undefined;
  }
  let { min, max, trial, onchange }: Props = $props();

  const R = CENTRE.radius + 22;
  const span = $derived(blockSpan(min, max));

  function set(which: 'min' | 'max', bearing: number) {
    const b = wrap360(Math.round(bearing));
    if (which === 'min') onchange?.(b, max);
    else onchange?.(min, b);
  }
  const grip = (which: 'min' | 'max'): Grip => ({
    drag: (p) => set(which, bearingOf(p.x, p.y)),
    step: (by) => Number.isFinite(by) && set(which, (which === 'min' ? min : max) + by)
  });
</script>

<pattern id="blocked" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
  <path d="M0 0V7" class="hatch" />
</pattern>
<path d={ringBlock(min - span, min, R - 10, R + 12)} class="block" fill="url(#blocked)" />
<path d={ringBlock(max, max + span, R - 10, R + 12)} class="block" fill="url(#blocked)" />
<path d={bearingArc(min, max, R)} class="free" class:trial />
{#if onchange}
  {#each [['min', min, 'free from'], ['max', max, 'free to']] as const as [which, b, name] (which)}
    {@const p = bearingPoint(b, R)}
    <circle
      cx={p.x}
      cy={p.y}
      r="9"
      class="handle"
      role="slider"
      tabindex="0"
      aria-label="Housing {name}, bearing"
      aria-valuemin="0"
      aria-valuemax="359"
      aria-valuenow={Math.round(b)}
      aria-valuetext="{Math.round(b)} degrees"
      {@attach gripped(() => grip(which))}
    />
  {/each}
{/if}

<style>
  .hatch {
    stroke: var(--ink-2);
    stroke-width: 1.2;
  }
  .block {
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .free {
    fill: none;
    stroke: var(--in);
    stroke-width: 2.4;
    stroke-dasharray: 2 5;
  }
  .free.trial {
    stroke: var(--predicted);
  }
  .handle {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2.2;
    cursor: grab;
    touch-action: none;
  }
</style>
