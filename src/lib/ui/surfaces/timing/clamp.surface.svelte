<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { clampWork } from '$core/domains/timing/clamp-work.ts';
  import { plusMinus } from '$core/job/words.ts';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(clampWork(session.state));
</script>

<Readings {session} {stepId} {line} {prefs} {onamend} />
<p class="note">
  {#if w.torque}Clamp bolt {w.torque.nm.toFixed(1)}
    {plusMinus(w.torque.u, 1)} N·m; the data sheet wants {w.torque.wantedNm} N·m.{:else if session.engine.values['clampTorqueNm']}No
    torque read yet.{:else}Not judged: the data sheet has no torque for the clamp. Enter it with its source.{/if}
  With an extension on the wrench, L from the drive to the grip and E the extension in line with it, set torque·L/(L + E).
</p>
{#if w.moved}
  <p class="note" data-testid="moved">
    Timing after the clamp less before it: {w.moved.deg.toFixed(2)}° {plusMinus(w.moved.u)}°{w.moved.real
      ? ', more than the readings can err by.'
      : ', no more than the readings can err by.'}
  </p>
{/if}
