<script lang="ts">
  import { adviceText, shared, type Part, type Remedy } from '$core/job/narrow.ts';

  /** What makes up a figure's ±, source by source, and what would narrow it most, worked out. */
  let { parts, remedies, pm, open }: { parts: Part[]; remedies: Remedy[]; pm: (u: number) => string; open: boolean } =
    $props();
  const sum = $derived(shared(parts));
  // svelte-ignore state_referenced_locally
  let opened = $state(open);
</script>

{#if sum.shares.length}
  <details {open} ontoggle={(e) => (opened = e.currentTarget.open)}>
    <summary>What the ± is made of</summary>
    {#if opened || open}
      <p class="note" data-testid="advice">{adviceText(parts, remedies, pm)}</p>
      <table data-testid="budget">
        <caption class="only-read">What makes up the uncertainty</caption>
        <thead><tr><th>doubt comes from</th><th class="n">±</th><th class="n">share</th></tr></thead>
        <tbody>
          {#each sum.shares as s (s.name)}
            <tr
              ><td>{s.name}</td><td class="n">{pm(s.u).replace(/^± /, '')}</td><td class="n"
                >{(100 * s.share).toFixed(0)} %</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    {/if}
  </details>
{/if}

<style>
  details {
    margin-top: 8px;
  }
  summary {
    min-height: 32px;
    cursor: pointer;
    font-size: var(--t2);
    color: var(--ink-2);
  }
  td {
    padding: 3px 10px 3px 0;
  }
</style>
