<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { givenText } from '../../../reader/given.ts';

  let { session }: SurfaceProps = $props();
  const filled = $derived(session.sheet.words.fields.filter((f) => session.engine.values[f.name]));
</script>

<table>
  <caption class="only-read">Data sheet of {session.engine.name}</caption>
  <thead><tr><th>value</th><th class="n">given</th><th>source</th></tr></thead>
  <tbody>
    {#each filled as f (f.name)}
      <tr
        ><td>{f.label}</td><td class="n">{givenText(f, session.engine.values[f.name]!)}</td><td class="quiet"
          >{session.engine.values[f.name]!.source}</td
        ></tr
      >
    {/each}
  </tbody>
</table>
<p class="small"><a href="/engines/{session.engine.id}">Enter or correct values on the engine’s page</a></p>

<style>
  table {
    max-width: 640px;
  }
  p {
    margin-top: 8px;
  }
</style>
