<script lang="ts">
  import { untrack } from 'svelte';
  import type { Reading } from '$core/job/replayed.ts';
  import type { SweepWork } from '$core/domains/curves/sweep-work.ts';
  import { formatSpeed } from '$core/units/format.ts';
  import { plusMinus } from '$core/job/words.ts';
  import Verdict from '../primitives/Verdict.svelte';

  /** Points of a sweep with their limits and verdicts. */
  let { sweep, onamend }: { sweep: SweepWork; onamend?: ((r: Reading) => void) | undefined } = $props();
  const judged = $derived.by(() => {
    let k = 0;
    return sweep.points.map((p) => ({ p, j: p.deg === null ? null : (sweep.compare?.points[k++] ?? null) }));
  });
  /** A long sweep, as a file brings it, stands with its last points: all of them at once would hold the screen up. */
  const MOST = 60;
  let all = $state(false);
  const shown = $derived(all || judged.length <= MOST ? judged : judged.slice(-MOST));
  /** points that come many at once, as from a file, are put down a few a frame */
  const A_FRAME = 6;
  let down = $state(untrack(() => shown.length));
  const rows = $derived(shown.length - down > A_FRAME ? shown.slice(0, down + A_FRAME) : shown);
  $effect(() => {
    const now = rows.length;
    if (now === down) return;
    const frame = requestAnimationFrame(() => (down = now));
    return () => cancelAnimationFrame(frame);
  });
</script>

{#if shown.length < judged.length}
  <p class="small quiet">
    The last {MOST} of {judged.length} points.
    <button class="link" onclick={() => (all = true)}>Show all of them</button>
  </p>
{/if}
<table>
  <caption>Points of the sweep, each {plusMinus(sweep.uDeg, 1)}°</caption>
  <thead
    ><tr><th>way</th><th class="n">rpm</th><th class="n">timing</th><th class="n">limits</th><th>verdict</th></tr
    ></thead
  >
  <tbody>
    <!-- by their place: as the last of many move on, the rows stay and only say something else -->
    {#each rows as { p, j }, place (place)}
      <tr>
        <td class="quiet">{p.dir}</td>
        <td class="n"
          >{#if onamend}<button class="link" onclick={() => onamend(p.speed)}>{formatSpeed(p.rpm)}</button
            >{:else}{formatSpeed(p.rpm)}{/if}</td
        >
        <td class="n"
          >{#if p.deg === null}next{:else if onamend && p.timing}<button class="link" onclick={() => onamend(p.timing!)}
              >{p.deg.toFixed(1)}°</button
            >{:else}{p.deg.toFixed(1)}°{/if}</td
        >
        <td class="n quiet">{j?.minDeg == null ? '' : `${j.minDeg.toFixed(1)}\u2013${j.maxDeg!.toFixed(1)}°`}</td>
        <td
          >{#if j && j.state !== 'unjudged'}<Verdict state={j.state} size={13} short />{:else if j}<span class="quiet"
              >no limits here</span
            >{/if}</td
        >
      </tr>
    {:else}
      <tr><td colspan="5" class="quiet">No point yet: type a speed, then the timing there.</td></tr>
    {/each}
  </tbody>
</table>

<style>
  caption {
    text-align: left;
    font-size: var(--t1);
    color: var(--ink-2);
  }
  .n {
    white-space: nowrap;
  }
  td,
  th {
    padding-right: 7px;
  }
  td {
    padding-top: 3px;
    padding-bottom: 3px;
  }
</style>
