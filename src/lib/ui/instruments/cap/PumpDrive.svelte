<script lang="ts">
  import { CENTRE } from './cap-geometry.ts';

  /** Tang of the drive and slot of the oil pump, both seen from above, in the middle of the cap. */
  let { tang, pumpSlot, symmetryDeg }: { tang: number | null; pumpSlot: number | null; symmetryDeg: number | null } =
    $props();
  const offset = $derived(symmetryDeg === 360 ? 5 : 0);
</script>

<circle cx={CENTRE.cx} cy={CENTRE.cy} r="38" class="pump" />
{#if pumpSlot !== null}
  <rect
    x="-7"
    y="-34"
    width="14"
    height="68"
    class="slot"
    transform="translate({CENTRE.cx} {CENTRE.cy}) rotate({pumpSlot}) translate({offset} 0)"
  />
{/if}
{#if tang !== null}
  {#if symmetryDeg === 60}
    <path
      d="M0 -26L22.5 -13V13L0 26L-22.5 13V-13Z"
      class="tang"
      transform="translate({CENTRE.cx} {CENTRE.cy}) rotate({tang})"
    />
  {:else}
    <rect
      x="-5"
      y="-30"
      width="10"
      height="60"
      class="tang"
      transform="translate({CENTRE.cx} {CENTRE.cy}) rotate({tang}) translate({offset} 0)"
    />
  {/if}
{/if}

<style>
  .pump {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .slot {
    fill: none;
    stroke: var(--target);
    stroke-width: 2.4;
    stroke-dasharray: 5 3;
  }
  .tang {
    fill: var(--ink);
    fill-opacity: 0.82;
  }
</style>
