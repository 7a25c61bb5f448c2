<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { biasOf, USUAL_BIAS_DEG } from '$core/domains/timing/bias.ts';
  import { turnWord } from '$core/job/words.ts';
  import { lengthText } from '../../../reader/units.ts';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const b = $derived(biasOf(session.state));
  const len = $derived(lengthText(prefs));
</script>

<Readings {session} {stepId} {line} {prefs} {onamend} />
{#if b && b.deg !== 0}
  <p class="move" data-testid="bias">
    Housing {b.move.housingDeg.toFixed(2)}° {turnWord(b.move.turn as 'cw' | 'ccw')} (from above){b.move.rimMm ===
    undefined
      ? ''
      : `, ${len(b.move.rimMm, 2)} at the rim`}.
  </p>
{/if}
<p class="note">
  {USUAL_BIAS_DEG}° is a rule of thumb; type another figure to use it. It is logged as a bias, not as a setting, and the
  strobe clears it.
</p>

<style>
  .move {
    font-size: var(--t4);
    font-weight: 640;
    color: var(--target);
    margin: 10px 0;
  }
</style>
