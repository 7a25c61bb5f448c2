<script lang="ts">
  import { lengthText } from '../../../reader/units.ts';
  import PumpSection from '../../instruments/pump/PumpSection.svelte';
  import type { PanelProps } from '../props.ts';
  import { placeText } from '$core/domains/crank/words.ts';
  import { cycleDegOf } from '$core/engine/engine.ts';
  import { NOWHERE } from '$core/domains/crank/crank-place.ts';

  /** The pump's element as it stands, and where the crank is. */
  let { session, prefs }: PanelProps = $props();
  const len = $derived(lengthText(prefs));
  const chart = $derived(session.state.work.liftChart);
  const last = $derived(Object.values(session.state.work.lifts).findLast((w) => w.lift) ?? null);
  const dial = $derived(session.gaugesOf('dial').find((g) => g.perRevMm !== null));
  const place = $derived(session.state.work.crank ?? NOWHERE);
</script>

<PumpSection
  points={chart.points}
  liftMm={last?.lift?.mm ?? null}
  wantedMm={chart.target?.liftMm ?? null}
  perRevMm={dial?.perRevMm ?? 1}
  text={(mm) => len(mm, 2)}
  small
/>
<p class="here" role="group" aria-label="Crank">
  <span class="quiet">Crank</span> <b>{placeText(place, cycleDegOf(session.engine))}</b>
</p>

<style>
  .here {
    font-size: var(--t3);
  }
</style>
