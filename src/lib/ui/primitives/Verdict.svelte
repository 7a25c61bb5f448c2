<script lang="ts">
  import type { VerdictState } from '$core/calculations/verdict/verdict.ts';
  let { state, size = 18, short = false }: { state: VerdictState; size?: number; short?: boolean } = $props();
  const word = $derived({ in: 'in', out: 'out', unsure: short ? 'too close' : 'too close to call' }[state]);
</script>

<!-- a word with a mark beside it: the colour alone never says it -->
<span class={state}>
  <svg width={size} height={size} viewBox="0 0 18 18" aria-hidden="true">
    {#if state === 'in'}
      <path d="M3 9.5l4 4.5 8-10" />
    {:else if state === 'out'}
      <path d="M4 4l10 10M14 4L4 14" />
    {:else}
      <circle cx="9" cy="9" r="7.8" stroke-width="2" />
      <text x="9" y="13.3" text-anchor="middle" font-size="12.5" font-weight="700">?</text>
    {/if}
  </svg>{word}
</span>

<style>
  span {
    font-weight: 650;
    white-space: nowrap;
  }
  svg {
    vertical-align: -3px;
    margin-right: 6px;
    fill: none;
    stroke: currentColor;
    stroke-width: 2.6;
  }
  text {
    fill: currentColor;
    stroke: none;
  }
  .in {
    color: var(--in);
  }
  .out {
    color: var(--out);
  }
  .unsure {
    color: var(--unsure);
  }
</style>
