<script lang="ts">
  let { keys, onclose }: { keys: [string, string][]; onclose: () => void } = $props();
  const everywhere: [string, string][] = [
    ['G F', 'to the floor'],
    ['G E', 'to the engines'],
    ['G T', 'to the tray'],
    ['?', 'these keys']
  ];
  let panel: HTMLElement;
  $effect(() => panel.focus());
</script>

<div bind:this={panel} class="keys no-print" role="dialog" aria-label="Keys" tabindex="-1">
  <h2>Keys</h2>
  <dl>
    {#each [...keys, ...everywhere] as [key, what] (key)}<dt><kbd>{key}</kbd></dt>
      <dd>{what}</dd>{/each}
  </dl>
  <button class="button" onclick={onclose}>Close</button>
</div>

<style>
  .keys {
    position: fixed;
    right: 0;
    top: 44px;
    z-index: 5;
    padding: 16px 18px 18px;
    width: min(340px, 100vw);
    max-height: calc(100vh - 120px);
    overflow: auto;
    background: var(--sheet);
    border: 1.5px solid var(--ink);
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 6px 14px;
    margin: 10px 0 14px;
  }
</style>
