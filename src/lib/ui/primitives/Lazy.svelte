<script lang="ts" generics="P extends Record<string, unknown>">
  import type { Component } from 'svelte';

  /**
   * Shows a component that is fetched only when it is needed: parts of a view that most steps never show, so that the
   * view itself stays light.
   */
  let { load, props }: { load: () => Promise<{ default: Component<P> }>; props: P } = $props();
</script>

{#await load()}
  <p class="quiet small" role="status">Loading …</p>
{:then part}
  {@const Part = part.default}
  <Part {...props} />
{:catch}
  <p role="alert">
    This part of the view could not be loaded. <button class="link" onclick={() => location.reload()}
      >Load the page again</button
    >
  </p>
{/await}
