<script lang="ts">
  import { onMount } from 'svelte';
  import { goto, invalidateAll } from '$app/navigation';
  import Day from '$lib/ui/floor/Day.svelte';
  import FindLine from '$lib/ui/floor/FindLine.svelte';
  import { countText, floorHeadline, jobsWith } from '$lib/ui/floor/floor.ts';
  import JobRow from '$lib/ui/floor/JobRow.svelte';
  import { follow } from '$lib/ui/live/live.ts';
  import Field from '$lib/ui/primitives/Field.svelte';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  import Pages from '$lib/ui/primitives/Pages.svelte';

  let { data } = $props();
  let at = $state(0);
  // svelte-ignore state_referenced_locally
  let find = $state(data.find);
  let line = $state<FindLine>();
  const shown = $derived(jobsWith(data.jobs, find));

  /** What is not on this page is looked for on all of them. */
  const everywhere = (words: string) => goto(words.trim() ? `/?find=${encodeURIComponent(words.trim())}` : '/');
  const enter = () =>
    shown[0] ? void goto(`/jobs/${shown[0].id}`) : data.pages > 1 ? void everywhere(find) : undefined;

  onMount(() => {
    let last = 0;
    let timer: ReturnType<typeof setTimeout>;
    let first = true;
    const leave = follow(() => {
      // the page is as new as the line that has just opened
      if (first) return void (first = false);
      // many rows may change at once, as after an upgrade: the floor follows every other second
      clearTimeout(timer);
      timer = setTimeout(
        () => {
          last = performance.now();
          void invalidateAll();
        },
        Math.max(250, last + 2000 - performance.now())
      );
    });
    return () => {
      clearTimeout(timer);
      leave();
    };
  });

  const keys: [string, string][] = [
    ['N', 'new job'],
    ['J', 'next row'],
    ['K', 'row before'],
    ['Enter', 'open the row'],
    ['/', 'find']
  ];
  function focusRow(n: number) {
    at = Math.min(shown.length - 1, Math.max(0, n));
    document.getElementById(`row-${at}`)?.focus();
  }
  function key(e: KeyboardEvent) {
    const k = e.key.toLowerCase();
    if (k === 'j') focusRow(document.activeElement?.id.startsWith('row-') ? at + 1 : at);
    else if (k === 'k') focusRow(at - 1);
    else if (k === 'n') void goto('/jobs/new');
    else if (k === '/' || /^[a-z0-9]$/.test(k)) {
      line?.focus();
      if (k === '/') e.preventDefault();
    } else return;
    if (k === 'j' || k === 'k' || k === 'n') e.preventDefault();
  }
</script>

<svelte:head><title>Floor · Nemrik</title></svelte:head>

<Frame {keys} onkey={key}>
  <div class="floor">
    <main id="main" tabindex="-1">
      <div class="top">
        <div>
          <h1>{floorHeadline(data)}</h1>
          <p class="quiet">
            {countText(data.total)}
            {data.total === 1 ? 'job' : 'jobs'}; what can be done now stands first.
          </p>
        </div>
        <form method="get" class="no-print">
          <Field
            label="Jobs of"
            unseen
            name="who"
            options={[
              ['', 'everyone’s jobs'],
              ...(data.people ?? []).map((p) => [p.name, `${p.name}’s jobs`] as const)
            ]}
            bind:value={() => data.filter ?? '', (who) => goto(who ? `/?who=${encodeURIComponent(who)}` : '/')}
          />
          <a class="button first" href="/jobs/new">New job <kbd>N</kbd></a>
        </form>
      </div>
      {#if data.backup}<p class="trouble" role="alert">
          {data.backup} To make one by hand: <code>./nemrik backup --nightly</code>
        </p>{/if}
      {#each shown as job, k (job.id)}
        <JobRow {job} id="row-{k}" on={k === at} onfocus={() => (at = k)} />
      {:else}
        {#if data.total || data.find}
          <p class="empty">
            No job{data.pages > 1 ? ' on this page' : ''} matches “{find}”.
            {#if data.pages > 1}<button class="link" onclick={() => everywhere(find)}>Look on all pages</button>{/if}
            <button class="link" onclick={() => ((find = ''), void everywhere(''))}>Show all</button>
          </p>
        {:else}
          <p class="empty">
            Start with an engine and its data sheet, then open a job on it. <a href="/engines">Engines</a> ·
            <a href="/jobs/new">New job</a>
          </p>
        {/if}
      {/each}
      <Pages of="the floor" page={data.page} pages={data.pages} />
    </main>
    <Day jobs={data.jobs} prefs={data.prefs} />
  </div>
  {#snippet foot()}<FindLine bind:this={line} bind:find found={shown.length} onenter={enter} />{/snippet}
</Frame>

<style>
  .floor {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 330px;
    min-height: 0;
  }
  main {
    padding: 16px 24px;
    background: var(--sheet);
    border-right: 1.5px solid var(--ink);
    overflow: auto;
  }
  main:focus {
    outline: none;
  }
  .top {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 10px 20px;
    margin-bottom: 8px;
  }
  form {
    display: flex;
    gap: 10px;
  }
  .trouble {
    margin: 0 0 10px;
    padding: 8px 12px;
    border: 1.5px solid var(--out);
    overflow-wrap: anywhere;
  }
  .empty {
    margin-top: 30px;
    font-size: var(--t4);
  }
  @media (max-width: 900px) {
    .floor {
      grid-template-columns: minmax(0, 1fr);
      align-content: start;
    }
    main {
      border-right: 0;
      border-bottom: 1.5px solid var(--ink);
    }
  }
</style>
