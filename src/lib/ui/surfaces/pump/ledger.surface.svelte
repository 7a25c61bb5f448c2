<script lang="ts">
  import { numberOf } from '$core/engine/engine.ts';
  import { plusMinus } from '$core/job/texts.ts';
  import LedgerArcs from '../../instruments/pump/LedgerArcs.svelte';
  import Verdict from '../../primitives/Verdict.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.ledger);
  const [min, max] = $derived([numberOf(session.engine, 'pumpMinBtdc'), numberOf(session.engine, 'pumpMaxBtdc')]);
  const within = $derived(min !== undefined && max !== undefined ? (max - min) / 2 : null);
  const source = (name: string) => session.engine.values[name]?.source ?? '';
  function onoffset(btdc: number) {
    line.open({ for: 'figure' }, `${btdc.toFixed(1)} before`);
    line.prefer = 'offset-decided';
    document.getElementById('reading')?.focus();
  }
</script>

<div class="drawn">
  <div>
    <LedgerArcs
      lockBtdc={w.lockBtdc}
      offsetBtdc={w.offsetBtdc}
      targetBtdc={w.targetBtdc}
      withinDeg={within}
      onoffset={session.state.closed ? undefined : onoffset}
    />
    {#if w.crankSetBtdc !== null}<p class="note">
        With this pump the crank must stand {w.crankSetBtdc === 0
          ? 'at TDC'
          : `${w.crankSetBtdc.toFixed(2)}° before TDC`} when the gear is pressed on.
      </p>{/if}
  </div>
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    <table data-testid="ledger">
      <caption class="only-read">The ledger</caption>
      <thead><tr><th>term</th><th class="n">before</th><th>source</th></tr></thead>
      <tbody>
        <tr
          ><td>Pump, at its lock</td><td class="n">{w.lockBtdc === null ? '' : `${w.lockBtdc.toFixed(2)}°`}</td><td
            class="quiet">{w.lockFrom === 'read' ? 'its tag, read on this job' : source('lockBtdc')}</td
          ></tr
        >
        <tr
          ><td>Crank, when the gear is pressed on</td><td class="n"
            >{w.offsetBtdc === null ? '' : `${w.offsetBtdc.toFixed(2)}°`}</td
          ><td class="quiet"
            >{w.offsetFrom === 'decided'
              ? 'decided on this job'
              : w.offsetFrom === 'way'
                ? 'all of it in the pump, as chosen'
                : source('gearOffsetBtdc')}</td
          ></tr
        >
        {#if w.total}
          <tr class="sum"
            ><td>Together</td><td class="n"
              >{w.total.btdc.toFixed(2)}{w.total.uDeg === null ? '°' : ` ${plusMinus(w.total.uDeg, 2)}°`}</td
            ><td
              >{#if w.total.verdict}<Verdict state={w.total.verdict.state} size={13} />{:else}<span class="quiet"
                  >its doubt is known once TDC is found</span
                >{/if}</td
            ></tr
          >
        {/if}
        <tr
          ><td>Wanted</td><td class="n">{w.targetBtdc === null ? '' : `${w.targetBtdc.toFixed(2)}°`}</td><td
            class="quiet">{source('pumpBtdc')}</td
          ></tr
        >
      </tbody>
    </table>
  </div>
</div>
<p class="note">Keep every decimal until the sum is made; drag the end of the arc to try an offset, Enter logs it.</p>

<style>
  .sum td {
    font-weight: 640;
    border-top: 1.5px solid var(--ink);
  }
</style>
