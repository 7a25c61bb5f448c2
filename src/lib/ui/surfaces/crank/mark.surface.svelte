<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { words } from '$core/job/index.ts';
  import { choiceOf, numberOf } from '$core/engine/engine.ts';
  import { wheelTicks } from '$core/calculations/wheel/wheel-ticks.ts';
  import { dateText } from '../../../reader/dates.ts';
  import { lengthText } from '../../../reader/units.ts';
  import RimMark from '../../instruments/rim/RimMark.svelte';
  import Result from '../../job/Result.svelte';

  let { session, prefs }: SurfaceProps = $props();
  const mark = $derived(session.state.work.mark);
  const tdc = $derived(session.state.work.tdc.found);
  const damper = $derived(numberOf(session.engine, 'damperDiameterMm'));
  const arcMm = $derived(
    mark && damper
      ? Math.abs(
          wheelTicks({ diameterMm: damper, fromDeg: mark.errorDeg, toDeg: mark.errorDeg, stepDeg: 1 }).ticks[0]!.arcMm
        )
      : null
  );
  const help = $derived.by(() => {
    if (!mark) return '';
    const s = mark.since;
    const change = !s
      ? ''
      : s.moved
        ? ` The job of ${dateText(s.earlier.at, prefs)} found ${Math.abs(s.earlier.errorDeg).toFixed(2)}° ${s.earlier.errorDeg > 0 ? 'early' : 'late'}: a change beyond both uncertainties. Look at the ring’s bond line; do not trust the mark until it is replaced or marked anew.`
        : ` No change since ${dateText(s.earlier.at, prefs)} that the gauges could show.`;
    const side = mark.errorDeg > 0 ? 'advanced' : 'retarded';
    const arc = arcMm === null ? '' : ` On this damper that is ${lengthText(prefs)(arcMm, 1)} along the rim.`;
    if (Math.abs(mark.errorDeg) <= 2 * mark.uDeg) return `Less than its uncertainty: keep the mark.${arc}${change}`;
    return `A strobe on this mark reads ${Math.abs(mark.errorDeg).toFixed(2)}° too ${side}. It is taken off every reading from here on.${arc}${change}`;
  });
  /** clockwise from the front: the top of the rim goes to the right, and to the left for who looks from the rear */
  const runs = $derived(choiceOf(session.engine, 'runningDirection'));
  const runsRight = $derived(runs === undefined ? null : (runs === 'cw') === (prefs.view === 'front'));
</script>

<RimMark errorDeg={mark?.errorDeg ?? null} uDeg={mark?.uDeg ?? 0} {runsRight} view={prefs.view} name="mark" />
{#if mark}
  <div class="mark">
    <Result
      value="{Math.abs(mark.errorDeg).toFixed(2)}° {mark.errorDeg > 0 ? 'early' : mark.errorDeg < 0 ? 'late' : ''}"
      pm="{words.plusMinus(mark.uDeg)}°"
      {help}
    />
    <p class="small quiet">
      {tdc
        ? `What the mark reads with the crank at true TDC: the wheel was zeroed on the mark and shows ${tdc.tdcWheelDeg.toFixed(2)}° there.`
        : 'As an earlier job found it; true TDC was not found on this one.'}
    </p>
  </div>
{/if}

<style>
  .mark {
    max-width: 560px;
  }
</style>
