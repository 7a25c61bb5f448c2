<script lang="ts">
  import { choiceOf, numberOf } from '$core/engine/engine.ts';
  import CouplingEnd from '../../instruments/magneto/CouplingEnd.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const c = $derived(session.state.work.magneto.coupling);
  const teeth = $derived(numberOf(session.engine, 'magnetoGearTeeth'));
  const wanted = $derived(numberOf(session.engine, 'couplingBearing') ?? null);
</script>

<div class="drawn">
  <CouplingEnd
    {wanted}
    found={c?.found ?? null}
    pitchDeg={teeth === undefined ? null : 360 / teeth}
    direction={choiceOf(session.engine, 'magnetoDirection') === 'ccw' ? 'ccw' : 'cw'}
  />
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    {#if c}
      <dl class="pairs" data-testid="coupling">
        <dt>Must stand</dt>
        <dd>{c.wanted.toFixed(0)}°</dd>
        <dt>Stands off</dt>
        <dd>{Math.abs(c.offDeg).toFixed(1)}° {c.offDeg > 0 ? 'clockwise' : c.offDeg < 0 ? 'anticlockwise' : ''}</dd>
        {#if c.tooth}<dt>A tooth moves it</dt>
          <dd>{c.tooth.pitchDeg.toFixed(2)}°</dd>
          <dt>Nearest</dt>
          <dd>
            {c.tooth.moveTeeth === 0
              ? 'as it is'
              : `${Math.abs(c.tooth.moveTeeth)} ${c.tooth.moveTeeth > 0 ? 'on, clockwise' : 'back, anticlockwise'}`}
          </dd>
          <dt>Left over</dt>
          <dd>{Math.abs(c.tooth.leftDeg).toFixed(1)}°</dd>{/if}
      </dl>
    {/if}
    <p class="note">A coupling is read to half a tooth at best: it finds the tooth, the snap finds the timing.</p>
  </div>
</div>
