<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { turnWord } from '$core/job/words.ts';
  import { listOf } from '$core/engine/engine.ts';
  import Cap from '../../instruments/cap/Cap.svelte';
  import PumpDrive from '../../instruments/cap/PumpDrive.svelte';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const t = $derived(session.state.work.tooth);
  const order = $derived(listOf(session.engine, 'firingOrder'));
  const e = $derived(t.engage);
  const range = $derived(t.symmetryDeg === null || t.ratio === null ? null : t.symmetryDeg / t.ratio);
  const fits = $derived(t.symmetryDeg === null ? null : Math.round(360 / t.symmetryDeg));
</script>

<div class="beside" style="--first: 0.9fr">
  {#if order && t.rotor}
    <Cap
      {order}
      rotor={t.rotor}
      ratio={t.ratio}
      firingDeg={listOf(session.engine, 'firingOffsets')}
      firstBearing={t.rotorTargetDeg}
      rotorBearing={t.observed?.bearingDeg ?? null}
      also={t.tang && t.slot ? `tang at ${t.tang.value.toFixed(0)} degrees, slot at ${t.slot.value.toFixed(0)}` : ''}
    >
      <PumpDrive tang={t.tang?.value ?? null} pumpSlot={t.slot?.value ?? null} symmetryDeg={t.symmetryDeg} />
    </Cap>
  {/if}
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    {#if e}
      <dl class="pairs" data-testid="drop">
        {#if e.aligned}
          <dt>Slot and tang</dt>
          <dd>line up: let it down</dd>
        {:else}
          <dt>Either turn the pump’s slot</dt>
          <dd>{Math.abs(e.slotTurnDeg).toFixed(1)}° {turnWord(e.slotTurn as 'cw' | 'ccw')}</dd>
          <dt>or turn the crank forward until it drops</dt>
          <dd>{e.crankToDropDeg.toFixed(1)}°</dd>
          <dt>and on to the setting</dt>
          <dd>{e.crankToTargetDeg.toFixed(1)}°</dd>
          <dt>in all</dt>
          <dd>{e.totalCrankDeg.toFixed(1)}°</dd>
        {/if}
      </dl>
    {/if}
    {#if fits !== null && range !== null}
      <p class="note">
        This drive fits {fits === 1 ? 'one way only' : `${fits} ways`}: it must drop within {range.toFixed(0)}° of the
        crank.
        <b>Beyond that, stop: something else holds it up.</b> Never pull it down with the clamp.
      </p>
    {/if}
  </div>
</div>

<style>
  .note {
    margin: 10px 0;
    font-size: var(--t2);
    max-width: 50ch;
  }
</style>
