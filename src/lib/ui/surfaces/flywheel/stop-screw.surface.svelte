<script lang="ts">
  import { numberOf } from '$core/engine/engine.ts';
  import { formatTiming } from '$core/units/format.ts';
  import StopScrew from '../../instruments/magneto/StopScrew.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const stop = $derived(session.state.work.flywheel.stop);
  const target = $derived(numberOf(session.engine, 'fullAdvanceBtdc') ?? null);
</script>

<div class="drawn">
  <StopScrew readings={stop.readings} turnsFromLast={stop.turnsFromLast} {target} />
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    <dl class="pairs" data-testid="stop">
      {#if target !== null}<dt>Wanted</dt>
        <dd>{formatTiming(target, 1)}</dd>{/if}
      {#if stop.degPerTurn !== null}<dt>A turn moves it</dt>
        <dd>{Math.abs(stop.degPerTurn).toFixed(2)}° {stop.degPerTurn > 0 ? 'earlier' : 'later'}</dd>{/if}
      {#if stop.turnsFromLast !== null}<dt>To go from the last reading</dt>
        <dd>
          {Math.abs(stop.turnsFromLast).toFixed(2)} ± {(2 * stop.uTurns!).toFixed(2)} turns {stop.turnsFromLast > 0
            ? 'on'
            : 'back'}
        </dd>{/if}
    </dl>
    {#if stop.problem}<p class="note" role="alert">{stop.problem.message}</p>{/if}
  </div>
</div>
