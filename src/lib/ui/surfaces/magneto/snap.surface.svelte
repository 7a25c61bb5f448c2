<script lang="ts">
  import { torqueText } from '$core/job/torque.ts';
  import { choiceOf, numberOf } from '$core/engine/engine.ts';
  import { lagText } from '$core/domains/magneto/words.ts';
  import { plusMinus } from '$core/job/texts.ts';
  import { formatTiming } from '$core/units/format.ts';
  import SparkPlaces from '../../instruments/magneto/SparkPlaces.svelte';
  import Verdict from '../../primitives/Verdict.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.magneto);
  const after = $derived(session.sheet.steps.find((s) => s.id === stepId)!.slots.some((s) => s.slot === 'snap-after'));
  const s = $derived(after ? w.snapAfter : w.snap);
  const heard = $derived(
    session.state.readings
      .filter((r) => r.slot === (after ? 'snap-after' : 'snap') && !r.setting?.earlier)
      .map((r) => r.value - (s?.raw === undefined ? 0 : s.raw - s.value))
  );
  const limits = $derived([numberOf(session.engine, 'snapMinBtdc'), numberOf(session.engine, 'snapMaxBtdc')]);
</script>

<div class="drawn">
  <SparkPlaces
    runBtdc={numberOf(session.engine, 'runBtdc') ?? null}
    snapBtdc={w.lag?.snapBtdc ?? null}
    lagCrankDeg={w.lag?.lagCrankDeg ?? null}
    heard={s ? { btdc: s.value, u: s.u } : null}
    readings={heard}
    direction={choiceOf(session.engine, 'runningDirection') === 'ccw' ? 'ccw' : 'cw'}
  />
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    <dl class="pairs" data-testid="snap">
      {#if s}<dt>Heard, the mean of {s.n}</dt>
        <dd>
          {formatTiming(s.value, 1)}
          {plusMinus(s.u, 1)}°
          {#if s.verdict}<Verdict state={s.verdict.state} size={13} />{/if}
        </dd>{/if}
      {#if s?.raw !== undefined}<dt>As read on the mark</dt>
        <dd>{formatTiming(s.raw, 1)}</dd>{/if}
      {#if limits[0] !== undefined && limits[1] !== undefined}<dt>May lie</dt>
        <dd>{formatTiming(limits[0], 0)} to {formatTiming(limits[1], 0)}</dd>{/if}
      {#if w.torque && after}<dt>Flange</dt>
        <dd class="wraps">{torqueText(w.torque, 'torque of the flange')}</dd>{/if}
    </dl>
    {#if lagText(session.state)}<p
        class={w.lag?.kickback ? 'kick' : 'note'}
        role={w.lag?.kickback ? 'alert' : undefined}
      >
        {lagText(session.state)}.
      </p>{/if}
  </div>
</div>

<style>
  .kick {
    font-weight: 640;
    color: var(--out);
  }
</style>
