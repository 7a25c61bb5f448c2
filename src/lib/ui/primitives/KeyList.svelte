<script lang="ts">
  import { places } from '../keys/keys.ts';
  import Panel from './Panel.svelte';

  let { keys, onclose }: { keys: [string, string][]; onclose: () => void } = $props();
  const everywhere: [string, string][] = [
    ...places.map((p): [string, string] => [`G ${p.key.toUpperCase()}`, p.help]),
    ['?', 'these keys']
  ];
</script>

<Panel label="Keys" {onclose}>
  <h2>Keys</h2>
  <dl>
    {#each [...keys, ...everywhere] as [key, what] (key)}<dt><kbd>{key}</kbd></dt>
      <dd>{what}</dd>{/each}
  </dl>
</Panel>

<style>
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 6px 14px;
    margin: 10px 0 14px;
  }
</style>
