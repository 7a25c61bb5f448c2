<script lang="ts">
  import { numberOf } from '$core/engine/engine.ts';
  import { plusMinus } from '$core/job/texts.ts';
  import { formatSpeed, formatTiming } from '$core/units/format.ts';
  import Verdict from '../../primitives/Verdict.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const run = $derived(session.state.work.magneto.run);
  const limits = $derived([numberOf(session.engine, 'runMinBtdc'), numberOf(session.engine, 'runMaxBtdc')]);
  const rideOut = $derived(numberOf(session.engine, 'rideOutRpm'));
</script>

<Readings {session} {stepId} {line} {prefs} {onamend} />
<dl class="pairs" data-testid="run-spark">
  {#if run}<dt>Running spark</dt>
    <dd>
      {formatTiming(run.value, 1)}
      {plusMinus(run.u, 1)}°
      {#if run.verdict}<Verdict state={run.verdict.state} size={13} />{:else}<span class="quiet"
          >no limit on the data sheet</span
        >{/if}
    </dd>{/if}
  {#if run?.raw !== undefined}<dt>As read on the mark</dt>
    <dd>{formatTiming(run.raw, 1)}</dd>{/if}
  {#if limits[0] !== undefined && limits[1] !== undefined}<dt>May lie</dt>
    <dd>{formatTiming(limits[0], 0)} to {formatTiming(limits[1], 0)}</dd>{/if}
  {#if rideOut !== undefined}<dt>The coupling rides out above</dt>
    <dd>{formatSpeed(rideOut)} rpm</dd>{/if}
</dl>
<p class="note">Below that speed the coupling holds the spark back on purpose, and what is read is no running spark.</p>
