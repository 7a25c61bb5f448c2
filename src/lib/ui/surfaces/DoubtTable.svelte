<script lang="ts">
  import { adviceText, shared, type Part, type Remedy } from '$core/job/narrow.ts';

  /** What makes up a figure's ±, source by source, and what would narrow it most, worked out. */
  let { parts, remedies, pm }: { parts: Part[]; remedies: Remedy[]; pm: (u: number) => string } = $props();
</script>

<p class="note" data-testid="advice">{adviceText(parts, remedies, pm)}</p>
<table data-testid="budget">
  <caption class="only-read">What makes up the uncertainty</caption>
  <thead><tr><th>doubt comes from</th><th class="n">±</th><th class="n">share</th></tr></thead>
  <tbody>
    {#each shared(parts).shares as s (s.name)}
      <tr
        ><td>{s.name}</td><td class="n">{pm(s.u).replace(/^± /, '')}</td><td class="n"
          >{(100 * s.share).toFixed(0)} %</td
        ></tr
      >
    {/each}
  </tbody>
</table>

<style>
  td {
    padding: 3px 10px 3px 0;
  }
</style>
