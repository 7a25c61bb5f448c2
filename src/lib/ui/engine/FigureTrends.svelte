<script lang="ts">
  import type { VerdictState } from '$core/calculations/verdict/verdict.ts';
  import { dateText, type Clock } from '$lib/reader/dates.ts';
  import Verdict from '../primitives/Verdict.svelte';

  interface Trend {
    title: string;
    rows: { jobId: string; at: string; text: string; verdict: string | null }[];
  }
  /** Figures from job to job, oldest first: what opens up, what grows lazy. */
  let { trends, clock }: { trends: Trend[]; clock: Clock } = $props();
</script>

{#each trends as t (t.title)}
  <h2>{t.title}</h2>
  <ol>
    {#each t.rows as r (r.jobId)}
      <li>
        <a href="/jobs/{r.jobId}">{dateText(r.at, clock)}</a>
        <span>{r.text}</span>
        {#if r.verdict}<Verdict state={r.verdict as VerdictState} size={13} />{/if}
      </li>
    {/each}
  </ol>
{/each}

<style>
  h2 {
    margin-top: 12px;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0 10px;
    padding: 4px 0;
    border-bottom: 1px solid var(--hair);
    font-size: var(--t2);
  }
  a {
    min-height: 24px;
  }
</style>
