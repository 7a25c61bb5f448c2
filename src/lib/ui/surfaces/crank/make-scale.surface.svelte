<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { tapeDrawing } from '$core/calculations/wheel/printed-scale.ts';
  import { wheelMeasure } from '$core/calculations/wheel/wheel-measure.ts';
  import { wheelTicks } from '$core/calculations/wheel/wheel-ticks.ts';
  import { numberOf } from '$core/engine/engine.ts';
  import ScaleSvg from '../../primitives/PrintedScale.svelte';
  import { lengthText } from '../../../reader/units.ts';
  import Readings from '../Readings.svelte';

  let { session, stepId, prefs, onamend }: SurfaceProps = $props();
  const len = $derived(lengthText(prefs));
  const damper = $derived(numberOf(session.engine, 'damperDiameterMm') ?? null);
  const tape = $derived(
    damper === null ? null : tapeDrawing({ diameterMm: damper, fromBtdc: -10, toBtdc: 40, stepDeg: 2 })
  );
  const check = $derived(session.readings(stepId).findLast((r) => r.slot === 'check') ?? null);
  const rims = $derived(session.readings(stepId).filter((r) => r.slot === 'rim'));
  const mark = $derived(session.state.work.mark);
  const toMark = $derived(
    mark && damper
      ? Math.abs(
          wheelTicks({ diameterMm: damper, fromDeg: mark.errorDeg, toDeg: mark.errorDeg, stepDeg: 1 }).ticks[0]!.arcMm
        )
      : null
  );
</script>

{#if damper !== null && tape}
  <p>
    One degree is <b>{len(tape.mmPerDeg, 3)}</b> on this rim of {len(damper, 1)}.
    {#if mark && toMark !== null}The new zero lies <b>{len(toMark, 2)}</b> along the rim {mark.errorDeg > 0
        ? 'after'
        : 'before'} the old mark, in the running direction.{/if}
  </p>
  <ScaleSvg drawing={tape} label="Timing tape from 10 after to 40 before, for a rim of {damper} mm" />
  <p class="ways">
    <a class="button first" href="/scales.pdf?kind=tape&diameter={damper}&from=-10&to=40&step=2">Tape as PDF, 1:1</a>
    <a class="button" href="/scales?kind=tape&diameter={damper}&from=-10&to=40&step=2">Other range, SVG, degree wheel</a
    >
  </p>
{/if}
<Readings {session} {stepId} {prefs} {onamend} />
{#if check}
  {@const off = check.value - 100}
  <p class="finding" class:bad={Math.abs(off) > 0.2}>
    {Math.abs(off) > 0.2
      ? `The paper is ${Math.abs(off).toFixed(2)} mm too ${off > 0 ? 'long' : 'short'} in 100: over 40° the tape would read ${Math.abs(0.4 * off).toFixed(2)}° wrong. Print at 100 %, not fitted to the page.`
      : 'The paper is true: within 0.2 mm in 100.'}
  </p>
{/if}
{#if damper !== null}
  {#each rims as r (r.id)}<p class="small">
      {len(r.value, 2)} along the rim is {wheelMeasure({ diameterMm: damper, arcMm: r.value }).deg.toFixed(2)}°.
    </p>{/each}
{/if}

<style>
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    margin: 10px 0;
  }
  .finding {
    margin-top: 8px;
    font-weight: 600;
    color: var(--in);
  }
  .finding.bad {
    color: var(--out);
  }
</style>
