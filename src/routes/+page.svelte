<script lang="ts">
  import { onMount } from 'svelte';
  import { goto, invalidateAll } from '$app/navigation';
  import Field from '$lib/ui/primitives/Field.svelte';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  import Graduation from '$lib/ui/primitives/Graduation.svelte';
  import { dayText, timeText } from '$lib/reader/dates.ts';

  let { data } = $props();
  let at = $state(0);
  // svelte-ignore state_referenced_locally
  let find = $state(data.find);
  let field = $state<HTMLInputElement>();

  const shown = $derived.by(() => {
    const words = find.toLowerCase().split(/\s+/).filter(Boolean);
    return data.jobs.filter((j) =>
      words.every((w) => `${j.engine} ${j.summary} ${j.sheet} ${j.next} ${j.waitsText}`.toLowerCase().includes(w))
    );
  });
  const helped = $derived(data.jobs.filter((j) => j.waits === 'helper'));
  const held = $derived(data.jobs.filter((j) => j.waits === 'value' || j.waits === 'lock'));
  const lately = $derived(
    data.jobs
      .filter((j) => j.lastAt !== null)
      .sort((a, b) => b.lastAt!.localeCompare(a.lastAt!))
      .slice(0, 4)
  );
  const count = (n: number) =>
    ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten'][n] ?? String(n);
  const headline = $derived(
    data.total === 0
      ? data.find
        ? `No job matches “${data.find}”`
        : 'Nothing is on the floor'
      : data.ready === 0
        ? 'Nothing can go on by itself'
        : data.ready === 1
          ? 'One job can go on now'
          : `${count(data.ready)} jobs can go on now`
  );

  const pageAt = (page: number) => {
    const q = new URLSearchParams();
    if (data.filter) q.set('who', data.filter);
    if (data.find) q.set('find', data.find);
    if (page > 1) q.set('page', String(page));
    const text = q.toString();
    return text ? `/?${text}` : '/';
  };
  /** What is not on this page is looked for on all of them. */
  const everywhere = (words: string) => goto(words.trim() ? `/?find=${encodeURIComponent(words.trim())}` : '/');

  onMount(() => {
    let last = 0;
    const live = new EventSource('/api/live');
    let timer: ReturnType<typeof setTimeout>;
    live.onmessage = () => {
      // many rows may change at once, as after an upgrade: the floor follows every other second
      clearTimeout(timer);
      timer = setTimeout(
        () => {
          last = performance.now();
          void invalidateAll();
        },
        Math.max(250, last + 2000 - performance.now())
      );
    };
    return () => {
      clearTimeout(timer);
      live.close();
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
      field?.focus();
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
          <h1>{headline}</h1>
          <p class="quiet">
            {count(data.total)}
            {data.total === 1 ? 'job' : 'jobs'}; what can be done now stands first.
          </p>
        </div>
        <form method="get" class="no-print">
          <Field
            label="Jobs of"
            unseen
            name="who"
            options={[['', 'everyone’s jobs'], ...data.people.map((p) => [p.name, `${p.name}’s jobs`] as const)]}
            bind:value={() => data.filter ?? '', (who) => goto(who ? `/?who=${encodeURIComponent(who)}` : '/')}
          />
          <a class="button first" href="/jobs/new">New job <kbd>N</kbd></a>
        </form>
      </div>
      {#each shown as j, k (j.id)}
        <a class="row" class:on={k === at} id="row-{k}" href="/jobs/{j.id}" onfocus={() => (at = k)}>
          <div>
            <b>{j.engine}</b>
            <span class="quiet small">{j.summary ? `${j.summary} · ` : ''}{j.sheet}</span>
            <Graduation done={j.done} total={j.total} />
          </div>
          <div>
            {#if j.behind}<span class="next quiet">being worked out …</span>{:else}
              <span class="next">{j.next}</span>
              <span class="waits {j.waits}">{j.waitsText}</span>{/if}
          </div>
          <div class="day">{j.promisedOn ? dayText(j.promisedOn) : ''}<br />{j.done} of {j.total} steps</div>
        </a>
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
      {#if data.pages > 1}
        <nav class="pages" aria-label="Pages of the floor">
          {#if data.page > 1}<a class="button" href={pageAt(data.page - 1)}>Page before</a>{/if}
          <span>page {data.page} of {data.pages}</span>
          {#if data.page < data.pages}<a class="button" href={pageAt(data.page + 1)}>Next page</a>{/if}
        </nav>
      {/if}
    </main>
    <aside aria-label="The day">
      <h2>
        {helped.length
          ? `A helper is needed on ${helped.length === 1 ? 'one job' : `${helped.length} jobs`}`
          : 'No job waits for a helper'}
      </h2>
      {#each helped as j (j.id)}<p class="slot"><b>{j.engine}</b> {j.next}</p>{/each}
      {#if held.length}
        <h2>Held up</h2>
        {#each held as j (j.id)}<p class="slot"><b>{j.engine}</b> {j.waitsText}</p>{/each}
      {/if}
      {#if lately.length}
        <h2>Lately</h2>
        {#each lately as j (j.id)}<p class="slot">
            <b>{j.engine}</b>
            {j.lastBy}, {timeText(j.lastAt!, data.prefs)}
          </p>{/each}
      {/if}
    </aside>
  </div>
  {#snippet foot()}
    <div class="line">
      <label class="only-read" for="find">Find a job</label>
      <input
        id="find"
        bind:this={field}
        bind:value={find}
        placeholder="find"
        autocomplete="off"
        onkeydown={(e) => {
          if (e.key === 'Enter' && shown[0]) void goto(`/jobs/${shown[0].id}`);
          else if (e.key === 'Enter' && data.pages > 1) void everywhere(find);
          if (e.key === 'Escape') {
            find = '';
            field?.blur();
          }
        }}
      />
      <span class="soft">{find ? `${shown.length} found, Enter opens the first` : 'type words to find a job'}</span>
      <span class="keys" aria-hidden="true"
        ><kbd>N</kbd> new job <kbd>J</kbd> <kbd>K</kbd> move <kbd>Enter</kbd> open <kbd>?</kbd> keys</span
      >
    </div>
  {/snippet}
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
  .row {
    display: grid;
    grid-template-columns: 232px 1fr 104px;
    gap: 0 18px;
    margin: 0 -24px;
    padding: 11px 24px 12px;
    text-decoration: none;
    border-top: 1px solid var(--rule);
  }
  .row:last-of-type {
    border-bottom: 1px solid var(--rule);
  }
  .row.on {
    box-shadow: inset 4px 0 0 var(--target);
  }
  .row:focus-visible {
    outline-offset: -3px;
  }
  .row b {
    display: block;
    font-size: var(--t4);
    font-weight: 660;
    line-height: 1.2;
  }
  .row :global(svg) {
    margin-top: 6px;
  }
  .next {
    display: block;
    font-size: var(--t4);
    line-height: 1.25;
  }
  .waits {
    font-size: var(--t2);
    color: var(--unsure);
  }
  .waits.ready,
  .waits.signed {
    color: var(--in);
  }
  .day {
    text-align: right;
    font-size: var(--t2);
    color: var(--ink-2);
  }
  .pages {
    display: flex;
    align-items: center;
    gap: 14px;
    margin-top: 14px;
    color: var(--ink-2);
  }
  .empty {
    margin-top: 30px;
    font-size: var(--t4);
  }
  aside {
    padding: 16px 18px;
    overflow: auto;
  }
  aside h2 {
    margin: 0 0 4px;
  }
  aside h2:not(:first-child) {
    margin-top: 22px;
  }
  .slot {
    padding: 7px 0;
    border-bottom: 1px solid var(--rule);
    font-size: var(--t2);
    color: var(--ink-2);
  }
  .slot b {
    color: var(--ink);
    margin-right: 4px;
  }
  .line {
    display: flex;
    align-items: center;
    gap: 18px;
    min-height: 62px;
    padding: 6px 18px;
  }
  input {
    width: 230px;
    border: 0;
    border-bottom: 2px solid var(--on-line);
    background: none;
    color: var(--on-line);
    font-stretch: 76%;
    font-size: var(--t7);
    font-weight: 600;
    padding: 0;
    border-radius: 0;
  }
  input::placeholder {
    color: #93a59c;
    opacity: 1;
  }
  input:focus-visible {
    outline: none;
    border-bottom-color: var(--caret);
    box-shadow: 0 2px 0 var(--caret);
  }
  .soft,
  .keys {
    color: var(--on-line-2);
  }
  .keys {
    margin-left: auto;
    font-size: var(--t2);
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
    .keys {
      display: none;
    }
  }
  @media (max-width: 620px) {
    .row {
      grid-template-columns: 1fr auto;
      gap: 4px 12px;
    }
    .row > div:nth-child(2) {
      grid-column: 1 / -1;
      grid-row: 2;
    }
    .soft {
      display: none;
    }
  }
</style>
