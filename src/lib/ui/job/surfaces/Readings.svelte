<script lang="ts">
  import type { Reading } from '$core/job/replay.ts';
  import type { Prefs } from '$lib/prefs.ts';
  import ReadingText from '../ReadingText.svelte';
  import type { JobSession } from '../session.svelte.ts';

  let {
    session,
    stepId,
    prefs,
    onamend
  }: { session: JobSession; stepId: string; prefs: Prefs; onamend: (r: Reading) => void } = $props();
  const slots = $derived(session.sheet.steps.find((s) => s.id === stepId)?.slots ?? []);
  const readings = $derived(session.readings(stepId));
</script>

{#if slots.length}
  <table>
    <caption class="only-read">Figures of this step</caption>
    <thead><tr><th>figure</th><th class="n">read</th><th>by</th></tr></thead>
    <tbody>
      {#each slots as s (s.slot)}
        {@const mine = readings.filter((r) => r.slot === s.slot)}
        {#each mine as r (r.id)}
          <tr
            ><td>{s.label}</td><td class="n"
              ><ReadingText reading={r} {prefs} unsent={session.unsent.has(r.id)} {onamend} /></td
            ><td class="quiet">{r.by.name}</td></tr
          >
        {:else}
          <tr><td>{s.label}</td><td class="n quiet" colspan="2">{s.required ? 'needed' : 'if it is read'}</td></tr>
        {/each}
      {/each}
    </tbody>
  </table>
{/if}
