<script lang="ts">
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.risk);
  const bar = (p: number) => `${Math.round(p * 100)} of 100`;
</script>

<div class="beside" style="--second: 1fr">
  <Readings {session} {stepId} {line} {prefs} {onamend} />
  <table data-testid="shaft-risk">
    <caption class="only-read">What can go wrong with the shaft drawn in place</caption>
    <thead><tr><th>what can happen</th><th class="n">how often</th><th>because</th></tr></thead>
    <tbody>
      {#each w.rows as r (r.what)}
        <tr><td>{r.what}</td><td class="n">{r.p === null ? '' : bar(r.p)}</td><td class="quiet">{r.because}</td></tr>
      {/each}
      <tr class="sum"
        ><td>The case is opened after all</td><td class="n">{w.pSplit === null ? 'not known' : bar(w.pSplit)}</td><td
          class="quiet">at least one of these</td
        ></tr
      >
      {#if w.expected !== null}
        <tr
          ><td>Hours to expect in place</td><td class="n">{w.expected.toFixed(1)}</td><td class="quiet"
            >{w.hoursInPlace} and, as often as that, {w.hoursSplit} more</td
          ></tr
        >
      {/if}
    </tbody>
  </table>
</div>
<p class="note">
  How often each happens is this workshop’s own assumption, not a count. Whatever it says: with a ring unaccounted for,
  never draw the shaft in place; open the case.
</p>

<style>
  .sum td {
    font-weight: 640;
    border-top: 1.5px solid var(--ink);
  }
</style>
