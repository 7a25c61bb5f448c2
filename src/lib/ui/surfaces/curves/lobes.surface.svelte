<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { plusMinus } from '$core/job/words.ts';
  import { listOf } from '$core/engine/engine.ts';
  import LobeCircle from '../../curves/LobeCircle.svelte';
  import Verdict from '../../primitives/Verdict.svelte';
  import ReadingText from '../../job/ReadingText.svelte';

  let { session, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.lobes);
  const order = $derived(listOf(session.engine, 'firingOrder') ?? []);
</script>

<div class="beside" style="--first: 0.9fr">
  <LobeCircle out={w.out} cylinders={order} toleranceDeg={w.toleranceDeg} />
  <div>
    <table>
      <caption class="only-read">Firing points in firing order</caption>
      <thead><tr><th>cylinder</th><th class="n">fires at</th><th class="n">off its place</th></tr></thead>
      <tbody>
        {#each order as c, k (c)}
          {@const r = w.rows[k]}
          {@const e = w.out?.errors[k]}
          <tr class:next={k === w.rows.length}>
            <td>{c}</td>
            <td class="n"
              >{#if r}<ReadingText
                  reading={r.reading}
                  {prefs}
                  unsent={session.unsent.has(r.reading.id)}
                  {onamend}
                />{:else}<span class="quiet">to read</span>{/if}</td
            >
            <td class="n" class:bad={e && w.toleranceDeg !== null && Math.abs(e.errorDeg) > w.toleranceDeg}
              >{e
                ? `${Math.abs(e.errorDeg).toFixed(2)}° ${e.errorDeg > 0 ? 'late' : e.errorDeg < 0 ? 'early' : ''}`
                : ''}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
    {#if w.out}
      <dl class="pairs" data-testid="lobes">
        <dt>Run-out, dashed</dt>
        <dd>{w.out.runOutDeg.toFixed(2)}° at {w.out.runOutPhaseDeg.toFixed(0)}°</dd>
        <dt>of the error it explains</dt>
        <dd>{(100 * w.out.explained).toFixed(0)} %</dd>
        <dt>Furthest off its place</dt>
        <dd>
          {w.out.maxErrorDeg.toFixed(2)}
          {plusMinus(w.uDeg)}° {#if w.verdict}<Verdict state={w.verdict.state} size={13} />{/if}
        </dd>
        <dt>Most the data sheet allows</dt>
        <dd>{w.toleranceDeg}°</dd>
      </dl>
      <p class="note">
        A bent shaft or worn bush pushes the errors round like a wave once a turn; what the wave does not explain is
        error of single lobes. Distributor degrees: twice as much at the crank.
      </p>
    {/if}
  </div>
</div>

<style>
  .next {
    box-shadow: inset 3px 0 0 var(--target);
  }
  .next td:first-child {
    padding-left: 9px;
  }
  .bad {
    color: var(--out);
    font-weight: 640;
  }
</style>
