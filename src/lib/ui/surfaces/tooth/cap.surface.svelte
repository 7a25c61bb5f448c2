<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { wrap180 } from '$core/numerics/angles.ts';
  import { choiceOf, listOf, numberOf } from '$core/engine/engine.ts';
  import { formatClock } from '$core/units/format.ts';
  import Cap from '../../instruments/cap/Cap.svelte';
  import { terminals } from '../../instruments/cap/cap-geometry.ts';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const engine = $derived(session.engine);
  const order = $derived(listOf(engine, 'firingOrder'));
  const rotor = $derived(choiceOf(engine, 'rotorDirection') as 'cw' | 'ccw' | undefined);
  const tower = $derived(session.state.readings.findLast((r) => r.slot === 'tower') ?? null);
  const seen = $derived(session.state.readings.findLast((r) => r.slot === 'rotor') ?? null);
  const teeth = $derived(numberOf(engine, 'gearTeeth'));
  const off = $derived(tower && seen ? wrap180(seen.value - tower.value) : null);
  const ratio = $derived(numberOf(engine, 'ratio') ?? null);
  const firingDeg = $derived(listOf(engine, 'firingOffsets'));
  const towers = $derived(order && rotor ? terminals(order, rotor, tower?.value ?? 0, firingDeg, ratio) : []);
</script>

<div class="beside">
  {#if order && rotor}
    <Cap {order} {rotor} {ratio} {firingDeg} firstBearing={tower?.value ?? null} rotorBearing={seen?.value ?? null} />
  {:else}
    <p class="quiet">The cap is drawn once the data sheet holds the firing order and the rotor’s direction.</p>
  {/if}
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    {#if off !== null}
      <p class="finding">
        {#if Math.abs(off) < 0.5}The rotor points at number one’s tower{:else}The rotor stands {Math.abs(off).toFixed(
            0
          )}°
          {off > 0 ? 'clockwise of' : 'anticlockwise of'} number one’s tower{/if}{#if teeth}; half a tooth is {(
            180 / teeth
          ).toFixed(1)}°{/if}.
        {#if teeth && Math.abs(off) > 180 / teeth}<b
            >More than half a tooth: lift, move one tooth {off > 0 ? 'anticlockwise' : 'clockwise'}, let down again.</b
          >{:else if teeth}<b>Within half a tooth.</b>{/if}
      </p>
    {/if}
    {#if tower && towers.length}
      <table>
        <caption class="only-read">Towers in firing order</caption>
        <thead><tr><th>fires</th><th class="n">tower at</th><th class="n">clock</th></tr></thead>
        <tbody
          >{#each towers as t (t.cylinder)}<tr
              ><td>cylinder {t.cylinder}</td><td class="n">{t.bearing.toFixed(0)}°</td><td class="n"
                >{formatClock(t.bearing)}</td
              ></tr
            >{/each}</tbody
        >
      </table>
    {/if}
  </div>
</div>

<style>
  .finding {
    margin: 10px 0;
    max-width: 46ch;
  }
</style>
