<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { dateText } from '../../../reader/dates.ts';
  import ReadingText from '../../job/ReadingText.svelte';

  let { session, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.scatter);
</script>

<table>
  <caption class="only-read">Scatter at steady speeds</caption>
  <thead><tr><th class="n">rpm</th><th class="n">width of the band</th><th class="n">limit</th></tr></thead>
  <tbody>
    {#each w.rows as r (r.rpm.id)}
      <tr
        ><td class="n"><ReadingText reading={r.rpm} {prefs} unsent={session.unsent.has(r.rpm.id)} {onamend} /></td><td
          class="n"
          >{#if r.spread}<ReadingText
              reading={r.spread}
              {prefs}
              unsent={session.unsent.has(r.spread.id)}
              {onamend}
            />{:else}next{/if}</td
        ><td class="n quiet">{w.mostDeg === null ? 'none on the data sheet' : `${w.mostDeg}°`}</td></tr
      >
    {:else}<tr><td colspan="3" class="quiet">No scatter read yet: type a speed, then the width of the band.</td></tr
      >{/each}
  </tbody>
</table>
<p class="note">
  {w.explainedDeg === null
    ? 'What float and backlash explain is not known: no float was measured on this engine, or the gear is not on its data sheet.'
    : `The timing may wander by ${w.explainedDeg.toFixed(2)}° through ${w.explainedBy} as measured on ${dateText(w.explainedAt!, prefs)}.`}
</p>
