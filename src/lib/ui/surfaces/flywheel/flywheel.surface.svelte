<script lang="ts">
  import { plusMinus } from '$core/job/texts.ts';
  import { lengthText } from '../../../reader/units.ts';
  import MarksWheel from '../../instruments/magneto/MarksWheel.svelte';
  import ReadingText from '../../job/ReadingText.svelte';
  import Verdict from '../../primitives/Verdict.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.flywheel);
  const len = $derived(lengthText(prefs));
</script>

<div class="drawn">
  <MarksWheel rows={w.rows} withinDeg={w.withinDeg} />
  <div>
    <table data-testid="marks">
      <caption class="only-read">Marks, cylinder by cylinder</caption>
      <thead
        ><tr
          ><th>cylinder</th><th class="n">from one</th><th class="n">read</th><th class="n">off by</th><th class="n"
            >at the rim</th
          ><th>verdict</th></tr
        ></thead
      >
      <tbody>
        {#each w.rows as r (r.cylinder)}
          <tr
            ><td>{r.cylinder}</td><td class="n">{r.expectedDeg.toFixed(0)}°</td><td class="n"
              >{#if r.found}<ReadingText
                  reading={r.found}
                  {prefs}
                  unsent={session.unsent.has(r.found.id)}
                  {onamend}
                />{:else}to find{/if}</td
            ><td class="n"
              >{r.errorDeg === null
                ? ''
                : `${Math.abs(r.errorDeg).toFixed(1)}° ${r.errorDeg > 0.05 ? 'late' : r.errorDeg < -0.05 ? 'early' : ''}`}</td
            ><td class="n">{r.errorMm === null ? '' : len(Math.abs(r.errorMm), 1)}</td><td
              >{#if r.verdict}<Verdict state={r.verdict.state} size={13} short />{/if}</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
    <p class="note">
      {w.withinDeg === null
        ? 'How far a mark may lie off is not on the data sheet.'
        : `A mark may lie off ± ${w.withinDeg}°.`}
      {w.uDeg === null ? '' : `An error is known to ${plusMinus(w.uDeg, 1)}°.`}
      {w.dropMm === null
        ? ''
        : `Each is marked ${len(w.dropMm, 2)} below its own top, coming up in the running direction.`}
      A cylinder may be measured again: the last counts, and how far both lie apart tells a wrong mark from a wrong set-up.
    </p>
  </div>
</div>

<style>
  td.n {
    white-space: nowrap;
  }
</style>
