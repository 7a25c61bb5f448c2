<script lang="ts">
  import type { Snippet } from 'svelte';

  /** Where a figure's ± is taken apart: folded away until it is asked for, or stands open where the figure is not sure. */
  let { open, children }: { open: boolean; children: Snippet } = $props();
  // svelte-ignore state_referenced_locally
  let opened = $state(open);
</script>

<details {open} ontoggle={(e) => (opened = e.currentTarget.open)}>
  <summary>What the ± is made of</summary>
  {#if opened || open}{@render children()}{/if}
</details>

<style>
  details {
    margin-top: 8px;
  }
  summary {
    min-height: 32px;
    cursor: pointer;
    font-size: var(--t2);
    color: var(--ink-2);
  }
</style>
