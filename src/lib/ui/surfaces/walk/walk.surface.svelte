<script lang="ts">
  import { walkRows } from '$core/domains/walk/walk.ts';
  import { timeText } from '$lib/reader/dates.ts';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const rows = $derived(walkRows(session.state));
  const left = $derived(rows.filter((r) => r.still).length);
</script>

<div class="beside" style="--first: 1.25fr">
  <div>
    {#if rows.length}<p class="big" class:out={left > 0} role="status">
        {rows.length - left} of {rows.length} off
      </p>{/if}
    <Readings {session} {stepId} {line} {prefs} {onamend} />
  </div>
  <table data-testid="walk">
    <caption class="only-read">What this job had on or in</caption>
    <thead><tr><th>was on or in</th><th>now</th><th>by</th></tr></thead>
    <tbody>
      {#each rows as r (r.flag)}
        <tr class:still={r.still}
          ><td>{r.on}</td><td><b>{r.still ? `still ${r.on}` : r.off}</b></td><td class="quiet"
            >{r.by ? `${r.by.person}, ${timeText(r.by.at, prefs)}` : r.still ? '' : 'said by hand'}</td
          ></tr
        >
      {:else}<tr><td colspan="3" class="quiet">This job put nothing on or in.</td></tr>{/each}
    </tbody>
  </table>
</div>

<style>
  .big {
    font-stretch: 76%;
    font-weight: 640;
    font-size: var(--t6);
    line-height: 1.2;
    margin: 0 0 8px;
  }
  .out,
  .still b {
    color: var(--out);
  }
</style>
