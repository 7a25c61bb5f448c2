<script lang="ts">
  import { timeText } from '$lib/reader/dates.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import { dayOf, type FloorJob } from './floor.ts';

  let { jobs, prefs }: { jobs: readonly FloorJob[]; prefs: Prefs } = $props();
  const day = $derived(dayOf(jobs));
</script>

<aside aria-label="The day">
  <h2>
    {day.helped.length
      ? `A helper is needed on ${day.helped.length === 1 ? 'one job' : `${day.helped.length} jobs`}`
      : day.open
        ? 'Whether a job waits for a helper is being worked out'
        : 'No job waits for a helper'}
  </h2>
  {#each day.helped as j (j.id)}<p class="slot"><b>{j.engine}</b> {j.next}</p>{/each}
  {#if day.held.length}
    <h2>Held up</h2>
    {#each day.held as j (j.id)}<p class="slot"><b>{j.engine}</b> {j.waitsText}</p>{/each}
  {/if}
  {#if day.lately.length}
    <h2>Lately</h2>
    {#each day.lately as j (j.id)}<p class="slot">
        <b>{j.engine}</b>
        {j.lastBy}, {timeText(j.lastAt!, prefs)}
      </p>{/each}
  {/if}
</aside>

<style>
  aside {
    padding: 16px 18px;
    overflow: auto;
  }
  h2 {
    margin: 0 0 4px;
  }
  h2:not(:first-child) {
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
</style>
