<script lang="ts">
  import type { Part, Remedy } from '$core/job/narrow.ts';
  import DoubtFold from './DoubtFold.svelte';
  import DoubtTable from './DoubtTable.svelte';

  /** What makes up a figure's ± and what would narrow it, where anything does. */
  let { parts, remedies, pm, open }: { parts: Part[]; remedies: Remedy[]; pm: (u: number) => string; open: boolean } =
    $props();
</script>

{#if parts.some((p) => p.u > 0)}
  <DoubtFold {open}><DoubtTable {parts} {remedies} {pm} /></DoubtFold>
{/if}
