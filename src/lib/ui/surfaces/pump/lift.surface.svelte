<script lang="ts">
  import { numberOf } from '$core/engine/engine.ts';
  import { lengthPm, plusMinus } from '$core/job/texts.ts';
  import { dateText } from '$lib/reader/dates.ts';
  import { formatTiming, timingLimits, timingPm } from '$core/units/format.ts';
  import { lengthText } from '../../../reader/units.ts';
  import PumpSection from '../../instruments/pump/PumpSection.svelte';
  import Verdict from '../../primitives/Verdict.svelte';
  import Doubt from '../Doubt.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';
  import ClosureCurve from './ClosureCurve.svelte';
  import Falling from './Falling.svelte';
  import LiftCurve from './LiftCurve.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.lifts[stepId]!);
  const chart = $derived(session.state.work.liftChart);
  const proof = $derived(session.sheet.steps.find((s) => s.id === stepId)?.role === 'lift-proof');
  const len = $derived(lengthText(prefs));
  const engine = $derived(session.engine);
  const ratio = $derived(numberOf(engine, 'pumpRatio'));
  const slot = $derived.by(() => {
    const [advance, retard] = [numberOf(engine, 'slotAdvanceDeg'), numberOf(engine, 'slotRetardDeg')];
    return advance === undefined || retard === undefined || ratio === undefined
      ? null
      : { advance: advance / ratio, retard: retard / ratio };
  });
  /** lift for a degree of the crank, from the slope as it was measured */
  const slopeText = ({ degPerMm, uDegPerMm }: { degPerMm: number; uDegPerMm: number }) =>
    `${lengthPm(len, 1 / degPerMm, uDegPerMm / degPerMm ** 2)} a degree`;
  function next(slot: string) {
    line.prefer = slot;
    document.getElementById('reading')?.focus();
  }
  const dial = $derived(session.gaugesOf('dial').find((g) => g.perRevMm !== null));
  const limits = $derived({
    min: numberOf(engine, 'pumpMinBtdc') ?? null,
    max: numberOf(engine, 'pumpMaxBtdc') ?? null
  });
  const left = $derived(
    (['spare-low', 'spare-high'] as const).map(
      (s) => session.state.readings.findLast((r) => r.slot === s)?.value ?? null
    )
  );
  /** the travel that was read ends before the lift that is wanted */
  const tooShort = $derived(left[1] !== null && chart.target !== null && w.lift === null && left[1]! <= 0);
</script>

<div class="drawn">
  <div>
    <PumpSection
      points={chart.points}
      liftMm={w.lift?.mm ?? null}
      wantedMm={chart.target?.liftMm ?? null}
      perRevMm={dial?.perRevMm ?? 1}
      text={(mm) => len(mm, 2)}
    />
    <dl class="pairs under" data-testid="lift-timing">
      {#if w.timing}<dt><b>Timed</b></dt>
        <dd class="wraps">
          <b>{timingPm(w.timing.btdc, w.timing.uDeg, 2)}</b>
          {#if w.timing.verdict}<Verdict state={w.timing.verdict.state} size={14} />{:else}<span class="quiet"
              >not judged: no limit on the data sheet</span
            >{/if}
        </dd>
        {#if w.drift && !proof}<dt>Drift</dt>
          <dd class="wraps">
            {Math.abs(w.drift.deg).toFixed(1)}° {plusMinus(w.drift.uDeg, 1)}° {w.drift.real
              ? w.drift.deg > 0
                ? 'earlier'
                : 'later'
              : '(within its doubt)'} since {dateText(w.drift.at, prefs)}
          </dd>{/if}
        {#if w.timing.verdict}<dt>Limits</dt>
          <dd>{timingLimits(limits.min, limits.max)}</dd>{/if}{/if}
      {#if w.zero && w.zero.n > 1}<dt>Zero within</dt>
        <dd>{lengthPm(len, w.zero.spreadMm, w.zero.u)}</dd>{/if}
      {#if w.lift}<dt>Lift</dt>
        <dd>{lengthPm(len, w.lift.mm, w.lift.u)}</dd>{/if}
      {#if w.stands}<dt>Crank stands</dt>
        <dd>{timingPm(w.stands.btdc, w.stands.uDeg)}</dd>{/if}
      {#if w.means}<dt>By the chart</dt>
        <dd>{formatTiming(w.means.btdc, 2)}</dd>{/if}
      {#if w.closure}<dt>Port closes at</dt>
        <dd>{len(w.closure.closureMm, 2)}</dd>
        {#if w.slopeMmPerDeg !== null && w.closure.slope}<dt>Slope here</dt>
          <dd class="wraps">{slopeText(w.closure.slope)}</dd>{/if}{/if}
    </dl>
  </div>
  <div>
    <Falling work={w} {session} {prefs} {onamend} onnext={() => next('falling')} />
    <Readings {session} {stepId} {line} {prefs} {onamend} without={['falling']} />
    {#if tooShort}<p class="note" role="alert">
        The dial has no travel left above: mount it anew before the crank comes forward.
      </p>{/if}
    {#if w.timing}
      <Doubt parts={w.timing.parts} remedies={[]} pm={(u) => `± ${(2 * u).toFixed(2)}°`} open={false} />
    {/if}
  </div>
</div>
{#if w.closure}
  <ClosureCurve closure={w.closure} timing={w.timing} wantedBtdc={chart.targetBtdc} {limits} />
{:else}
  <LiftCurve {chart} {limits} work={w} {slot} height={230} />
{/if}

<style>
  /* under the drawing a figure and its doubt stay on one line */
  .under {
    grid-template-columns: auto minmax(0, 1fr);
  }
  .under > dd:not(.wraps) {
    white-space: nowrap;
  }
</style>
