<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { choiceOf, listOf, numberOf } from '$core/engine/engine.ts';
  import { formatClock } from '$core/units/format.ts';
  import Cap from '../../instruments/cap/Cap.svelte';
  import ToothTicks from '../../instruments/cap/ToothTicks.svelte';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const rows = $derived(session.state.work.witness);
  const order = $derived(listOf(session.engine, 'firingOrder'));
  const rotor = $derived(choiceOf(session.engine, 'rotorDirection') as 'cw' | 'ccw' | undefined);
  const mark = $derived(rows[0]!.before?.value ?? null);
  const now = $derived(rows[0]!.after?.value ?? null);
</script>

<div class="beside" style="--first: 0.9fr">
  {#if order && rotor}
    <Cap
      {order}
      {rotor}
      ratio={numberOf(session.engine, 'ratio') ?? null}
      firingDeg={listOf(session.engine, 'firingOffsets')}
      firstBearing={mark}
      rotorBearing={now ?? mark}
    >
      <ToothTicks
        teeth={[]}
        best={mark}
        housing={rows[1]!.after?.value ?? rows[1]!.before?.value ?? null}
        start={null}
      />
    </Cap>
  {/if}
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    <table>
      <caption class="only-read">Witness marks before and now</caption>
      <thead><tr><th>mark</th><th class="n">before</th><th class="n">now</th></tr></thead>
      <tbody>
        {#each rows as r (r.what)}
          <tr>
            <td
              >{r.what}{#if r.meaning}<div class="quiet small">{r.meaning}</div>{/if}</td
            >
            <td class="n">{r.before ? `${r.before.value.toFixed(0)}° (${formatClock(r.before.value)})` : 'not made'}</td
            >
            <td class="n">{r.after ? `${r.after.value.toFixed(0)}°` : '–'}</td>
          </tr>
        {/each}
        <tr
          ><td>Firing order, rotor</td><td class="n" colspan="2"
            >{order?.join('-') ?? 'not known'}, {rotor === 'cw'
              ? 'clockwise'
              : rotor === 'ccw'
                ? 'anticlockwise'
                : 'direction not known'}</td
          ></tr
        >
      </tbody>
    </table>
  </div>
</div>

<style>
  table {
    margin-top: 12px;
  }
</style>
