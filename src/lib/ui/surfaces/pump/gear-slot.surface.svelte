<script lang="ts">
  import { choiceOf, numberOf } from '$core/engine/engine.ts';
  import { gearText } from '$core/domains/pump/words.ts';
  import { plusMinus } from '$core/job/texts.ts';
  import { formatTiming } from '$core/units/format.ts';
  import { dateText } from '../../../reader/dates.ts';
  import { lengthText } from '../../../reader/units.ts';
  import GearSlot from '../../instruments/pump/GearSlot.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const g = $derived(session.state.work.gearSlot);
  const len = $derived(lengthText(prefs));
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const ratio = $derived(numberOf(session.engine, 'pumpRatio') ?? null);
  const direction = $derived(choiceOf(session.engine, 'pumpDirection') === 'ccw' ? 'ccw' : 'cw');
  const target = $derived(session.state.work.liftChart.target);
</script>

<div class="drawn">
  {#if g && ratio !== null}
    <GearSlot wantDeg={Math.sign(g.changeCrankDeg) * g.gearDeg} slot={g.slot} {direction} {ratio} />
  {/if}
  <div>
    {#if step.slots.length}<Readings {session} {stepId} {line} {prefs} {onamend} />{/if}
    {#if g}
      {#if step.role === 'drag'}<p class="say">{gearText(g, len)}.</p>{/if}
      <dl class="pairs" data-testid="gear-turn">
        <dt>At the crank</dt>
        <dd>
          {Math.abs(g.changeCrankDeg).toFixed(2)}° {g.changeCrankDeg > 0 ? 'earlier' : 'later'}
          {plusMinus(g.uCrankDeg, 2)}°
        </dd>
        <dt>At the gear</dt>
        <dd>{g.gearDeg.toFixed(2)}°</dd>
        {#if g.arcMm !== null}<dt>Along the bolt circle</dt>
          <dd>{len(g.arcMm, 2)}</dd>{/if}
        {#if target}<dt>Then the dial</dt>
          <dd>
            {len(target.liftMm, 2)} at {session.state.work.liftChart.kind === 'lift-at-tdc'
              ? 'TDC'
              : formatTiming(target.btdc, 0)}
          </dd>{/if}
        {#if g.drag}<dt>Tightening moved it</dt>
          <dd>
            {Math.abs(g.drag.deg).toFixed(2)}° {g.drag.deg >= 0 ? 'earlier' : 'later'}
            {plusMinus(g.drag.uDeg, 2)}°
          </dd>{/if}
      </dl>
      {#if g.enough === false}
        <p class="note" role="alert">
          The slot falls {g.shortCrankDeg.toFixed(2)}° of the crank short.
          {#if g.teeth}Move the gear {Math.abs(g.teeth.move)}
            {Math.abs(g.teeth.move) === 1 ? 'tooth' : 'teeth'}
            {g.teeth.move > 0 ? 'earlier' : 'later'} first: then {Math.abs(g.teeth.leftGearDeg).toFixed(2)}° of the gear {g
              .teeth.leftGearDeg >= 0
              ? 'earlier'
              : 'later'} are left for the slot.
          {:else}No whole tooth reaches it: stop, and look at marks, chart and data sheet again.{/if}
        </p>
      {:else if g.enough === null}<p class="note">
          What the slot has left is not on the data sheet: whether it reaches is not judged.
        </p>{/if}
      {#if g.usualDrag && !g.drag}
        <p class="note">
          On {dateText(g.usualDrag.at, prefs)} tightening moved it {Math.abs(g.usualDrag.deg).toFixed(1)}° {g.usualDrag
            .deg >= 0
            ? 'earlier'
            : 'later'}: allow for it before the bolts are nipped.
        </p>
      {/if}
    {:else}
      <p class="quiet">No timing was measured yet: read the lift and where the crank stands.</p>
    {/if}
  </div>
</div>

<style>
  .say {
    font-weight: 620;
    max-width: 46ch;
  }
</style>
