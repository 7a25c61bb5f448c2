<script lang="ts">
  import { readAt, readBy } from '$core/job/readings.ts';
  import { replacedText, type Reading } from '$core/job/replayed.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import { timeText } from '../../reader/dates.ts';
  import { understood } from '../../reader/units.ts';

  interface Props {
    reading: Reading;
    prefs: Prefs;
    unsent: boolean;
    onamend: (r: Reading) => void;
  }
  let { reading, prefs, unsent, onamend }: Props = $props();
  const text = $derived(understood(reading, reading.quantity, prefs));
  const last = $derived(reading.replaced[reading.replaced.length - 1]);
  const time = $derived(timeText(readAt(reading), prefs));
</script>

<button
  class="reading"
  class:unsent
  title="{readBy(reading)}, {time}{reading.gauge ? `, ${reading.gauge.name}` : ''}"
  aria-label="{text}, by {readBy(reading)}{unsent ? ', unsent' : ''}. Amend"
  onclick={() => onamend(reading)}
  >{text}{#if unsent}<span class="mark"> unsent</span>{/if}{#if last}<s>{replacedText(last)}</s>{/if}</button
>

<style>
  .reading {
    min-height: 26px;
    padding: 0;
    border: 0;
    background: none;
    font-weight: inherit;
    cursor: pointer;
    text-align: inherit;
    text-decoration: underline;
    text-decoration-color: var(--rule);
    text-underline-offset: 4px;
  }
  .unsent {
    text-decoration-style: dashed;
    text-decoration-color: var(--unsure);
  }
  .mark {
    color: var(--unsure);
    font-size: var(--t1);
    font-weight: 600;
  }
  s {
    margin-left: 6px;
    font-size: var(--t1);
    color: var(--ink-2);
  }
</style>
