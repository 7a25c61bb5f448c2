<script lang="ts">
  import type { Tally } from '$core/job/tally.ts';
  import type { Reading } from '$core/job/replayed.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import ReadingText from '../job/ReadingText.svelte';
  import type { JobSession } from '../job/session.svelte.ts';

  /** A count of a step: how many are there of how many, a place of the tray for each, and a tap for the next. */
  interface Props {
    session: JobSession;
    stepId: string;
    count: Tally;
    prefs: Prefs;
    sayable: boolean;
    onamend: (r: Reading) => void;
  }
  let { session, stepId, count: t, prefs, sayable, onamend }: Props = $props();
  /** beyond this a row of places tells less than the figure */
  const MOST_PLACES = 24;
  const places = $derived(Math.max(t.of ?? 0, t.n ?? 0));
  const left = $derived(t.of === null ? null : t.of - (t.n ?? 0));
  const said = $derived.by(() => {
    if (t.ofWhat === null) return t.n === null ? 'none counted yet' : '';
    if (left === null) return 'not counted out yet';
    if (left === 0) return t.of === 0 ? 'there were none' : 'all are there';
    return left < 0 ? `${-left} too many` : `${left} still ${t.each ? 'to read' : 'to come'}`;
  });
  const one = () =>
    session.say({
      kind: 'reading',
      step: stepId,
      slot: t.slot.slot,
      quantity: 'count',
      text: String((t.n ?? 0) + 1),
      defaultUnit: '',
      gaugeId: null
    });
</script>

<td class="n count">
  {#if t.last}<ReadingText reading={t.last} {prefs} unsent={session.unsent.has(t.last.id)} {onamend} />{:else}{t.n ??
      0}{/if}
  {#if t.of !== null}of {t.of}{/if}
</td>
<td>
  <div class="now">
    <span class="said" class:out={left !== null && left < 0} role="status">{said}</span>
    {#if sayable && !t.each && (left === null || left > 0)}
      <button class="button" onclick={one}>one more</button>
    {/if}
  </div>
  {#if places > 0 && places <= MOST_PLACES}
    <span class="tray" aria-hidden="true">
      {#each { length: places }, k (k)}<i class:here={k < (t.n ?? 0)} class:over={t.of !== null && k >= t.of}
        ></i>{/each}
    </span>
  {/if}
</td>

<style>
  .count {
    font-weight: 640;
    white-space: nowrap;
  }
  .said {
    font-size: var(--t2);
  }
  .now {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 4px 10px;
  }
  .button {
    flex: none;
  }
  .tray {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    margin-top: 4px;
  }
  i {
    width: 16px;
    height: 16px;
    border: 1.5px dashed var(--ink-2);
  }
  .here {
    border: 0;
    background: var(--ink);
  }
  .over {
    background: var(--out);
  }
  .out {
    color: var(--out);
  }
</style>
