<script lang="ts">
  import type { Snippet } from 'svelte';
  let { children, role }: { children: Snippet; role?: 'alert' } = $props();
</script>

<div class="caution" {role}>
  <svg width="22" height="20" viewBox="0 0 22 20" aria-hidden="true"
    ><path d="M11 1 21 19H1Z" /><path d="M11 7v6M11 15v2" /></svg
  >
  <div>{@render children()}</div>
</div>

<style>
  .caution {
    display: flex;
    gap: 10px;
    align-items: flex-start;
    margin-bottom: 8px;
    border: 1.5px solid var(--ink);
    border-left-width: 9px;
    padding: 7px 12px;
    font-size: var(--t2);
    background: repeating-linear-gradient(-45deg, var(--band-a) 0 7px, var(--band-b) 7px 14px);
  }
  svg {
    flex-shrink: 0;
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
</style>
