<script lang="ts">
  import { goto } from '$app/navigation';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  import Field from '$lib/ui/primitives/Field.svelte';
  import Pages from '$lib/ui/primitives/Pages.svelte';

  let { data } = $props();
  const keys: [string, string][] = [
    ['N', 'new engine'],
    ['/', 'find']
  ];
  function key(e: KeyboardEvent) {
    if (e.key.toLowerCase() === 'n') void goto('/engines/new');
    else if (e.key === '/') {
      e.preventDefault();
      document.getElementById('find')?.focus();
    }
  }
</script>

<svelte:head><title>Engines · Nemrik</title></svelte:head>
<Frame {keys} onkey={key}>
  <main id="main">
    <div class="top">
      <h1>
        {#if data.find}{data.total === 0 ? 'No' : data.total}
          {data.total === 1 ? 'engine' : 'engines'} with “{data.find}”
        {:else if data.total === 0}No engine yet
        {:else if data.total === 1}One engine is kept here
        {:else}{data.total} engines are kept here{/if}
      </h1>
      {#if data.find || data.pages > 1}
        <form method="get" class="no-print">
          <Field label="Find" beside id="find" name="find" maxlength={100} value={data.find} />
          <button class="button">Find</button>
          {#if data.find}<a class="button" href="/engines">Show all</a>{/if}
        </form>
      {/if}
      <a class="button first" href="/engines/new">New engine <kbd>N</kbd></a>
    </div>
    {#each data.engines as e (e.id)}
      <a class="row" href="/engines/{e.id}"
        ><b>{e.name}</b><span class="quiet">{e.summary}</span><span class="quiet n"
          >{e.values} values on the data sheet</span
        ></a
      >
    {:else}
      {#if !data.find}<p class="quiet">
          An engine with its data sheet comes first: every job, limit and setting follows from it.
        </p>{/if}
    {/each}
    <Pages of="the engines" page={data.page} pages={data.pages} />
  </main>
</Frame>

<style>
  main {
    background: var(--sheet);
    padding: 16px 24px;
    overflow: auto;
  }
  .top {
    display: flex;
    justify-content: space-between;
    flex-wrap: wrap;
    gap: 10px;
    margin-bottom: 10px;
  }
  form {
    display: flex;
    gap: 10px;
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
