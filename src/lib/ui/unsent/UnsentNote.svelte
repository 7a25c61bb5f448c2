<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { timeText } from '$lib/reader/dates.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import { pageKeptAt } from '../live/kept-pages.ts';
  import { unsent } from './unsent.svelte.ts';

  /** What of this device the server has not taken, on whatever page one is; the job in hand says its own itself. */
  const here = $derived(page.url.pathname === `/jobs/${page.params.id}` ? page.params.id : undefined);
  const others = $derived(unsent.entries.filter((w) => w.jobId !== here));
  const refused = $derived(others.filter((w) => w.refused));
  const waiting = $derived(others.filter((w) => !w.refused));
  let last = $state<string | null>(null);
  onMount(() => {
    last = pageKeptAt();
  });
  const count = (n: number) => (n === 1 ? 'one thing' : `${n} things`);
</script>

{#if last && !here}
  <span class="unsent" role="status">last known state, of {timeText(last, page.data.prefs as Prefs)}</span>
{/if}
{#if waiting.length && unsent.away}
  <span role="status"
    ><a class="unsent" href="/jobs/{waiting[0]!.jobId}">{count(waiting.length)} unsent, sent again by itself</a></span
  >
{/if}
{#if refused.length}
  <span role="status"
    ><a class="unsent" href="/jobs/{refused[0]!.jobId}">{count(refused.length)} not taken: look at it</a></span
  >
{/if}

<style>
  .unsent {
    display: inline-flex;
    align-items: center;
    min-height: 32px;
    padding: 0 10px;
    font-size: var(--t2);
    font-weight: 600;
    color: var(--unsure);
    border-left: 4px solid var(--unsure);
    text-decoration: none;
    white-space: nowrap;
  }
</style>
