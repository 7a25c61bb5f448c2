<script lang="ts">
  import { goto } from '$app/navigation';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  let { data } = $props();
  const keys: [string, string][] = [['N', 'new engine']];
</script>

<svelte:head><title>Engines · Nemrik</title></svelte:head>
<Frame {keys} onkey={(e) => e.key.toLowerCase() === 'n' && goto('/engines/new')}>
  <main id="main">
    <div class="top">
      <h1>
        {data.engines.length === 0
          ? 'No engine yet'
          : data.engines.length === 1
            ? 'One engine is kept here'
            : `${data.engines.length} engines are kept here`}
      </h1>
      <a class="button first" href="/engines/new">New engine <kbd>N</kbd></a>
    </div>
    {#each data.engines as e (e.id)}
      <a class="row" href="/engines/{e.id}"
        ><b>{e.name}</b><span class="quiet">{e.summary}</span><span class="quiet n"
          >{e.values} values on the data sheet</span
        ></a
      >
    {:else}
      <p class="quiet">An engine with its data sheet comes first: every job, limit and setting follows from it.</p>
    {/each}
  </main>
</Frame>

<style>
  main {
    background: var(--sheet);
    padding: 16px 24px;
  }
  .top {
    display: flex;
    justify-content: space-between;
    flex-wrap: wrap;
    gap: 10px;
    margin-bottom: 10px;
  }
  .row {
    display: grid;
    grid-template-columns: 240px 1fr auto;
    gap: 2px 18px;
    min-height: 48px;
    align-items: center;
    text-decoration: none;
    border-top: 1px solid var(--rule);
  }
  .row b {
    font-size: var(--t4);
    font-weight: 660;
  }
  .n {
    font-size: var(--t2);
  }
  @media (max-width: 620px) {
    .row {
      grid-template-columns: 1fr;
      padding: 8px 0;
    }
  }
</style>
