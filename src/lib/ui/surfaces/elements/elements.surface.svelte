<script lang="ts">
  import { plusMinus } from '$core/job/texts.ts';
  import { lengthText } from '../../../reader/units.ts';
  import ElementsCircle from '../../instruments/pump/ElementsCircle.svelte';
  import ReadingText from '../../job/ReadingText.svelte';
  import Verdict from '../../primitives/Verdict.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.elements[stepId]!);
  const len = $derived(lengthText(prefs));
  const shims = $derived(w.rows.some((r) => r.shimMm !== null));
</script>

<div class="drawn">
  <ElementsCircle rows={w.rows} withinDeg={w.withinDeg} />
  <div>
    <table data-testid="elements">
      <caption class="only-read">Elements in firing order</caption>
      <thead
        ><tr
          ><th>element</th><th class="n">should</th><th class="n">read</th><th class="n">off by</th>{#if shims}<th
              class="n">shims</th
            >{/if}<th>verdict</th></tr
        ></thead
      >
      <tbody>
        {#each w.rows as r (r.element)}
          <tr
            ><td>{r.element}</td><td class="n">{r.nominalDeg.toFixed(1)}°</td><td class="n"
              >{#if r.reading}<ReadingText
                  reading={r.reading}
                  {prefs}
                  unsent={session.unsent.has(r.reading.id)}
                  {onamend}
                />{:else}next{/if}</td
            ><td class="n"
              >{r.errorDeg === null
                ? ''
                : `${Math.abs(r.errorDeg).toFixed(2)}° ${r.errorDeg > 0.005 ? 'late' : r.errorDeg < -0.005 ? 'early' : ''}`}</td
            >{#if shims}<td class="n"
                >{r.shimMm === null
                  ? ''
                  : Math.abs(r.shimMm) < 1e-9
                    ? 'as they are'
                    : `${len(Math.abs(r.shimMm), 2)} ${r.shimMm > 0 ? 'thicker' : 'thinner'}`}</td
              >{/if}<td
              >{#if r.verdict}<Verdict state={r.verdict.state} size={13} short />{/if}</td
            ></tr
          >
        {:else}<tr><td colspan="5" class="quiet">The firing order is not on the data sheet.</td></tr>{/each}
      </tbody>
    </table>
    <p class="note">
      {w.withinDeg === null
        ? 'What an element may stand off is not on the data sheet.'
        : `Each may stand off ± ${w.withinDeg}° of the pump.`}
      {w.uDeg === null
        ? ''
        : w.scatterUnknown
          ? 'How this hand scatters is not known: no error is called in. Name the gauge, or read it once more.'
          : `An error is known to ${plusMinus(w.uDeg, 2)}°.`}
      {w.over ? `Earlier rounds: ${w.over} readings, kept in the log.` : ''}
    </p>
  </div>
</div>
