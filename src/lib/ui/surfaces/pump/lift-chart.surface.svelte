<script lang="ts">
  import { numberOf } from '$core/engine/engine.ts';
  import { formatTiming, timingLimits } from '$core/units/format.ts';
  import { lengthText } from '../../../reader/units.ts';
  import type { SurfaceProps } from '../props.ts';
  import LiftCurve from './LiftCurve.svelte';

  let { session, prefs }: SurfaceProps = $props();
  const c = $derived(session.state.work.liftChart);
  const len = $derived(lengthText(prefs));
  const bare = (s: string | null) => (s ?? '').toUpperCase().replace(/[^A-Z0-9]/g, '');
  const letters = $derived(
    Array.from({ length: Math.max(bare(c.pumpCode).length, bare(c.chartCode).length) }, (_, k) => [
      bare(c.pumpCode)[k] ?? '\u00a0',
      bare(c.chartCode)[k] ?? '\u00a0'
    ])
  );
  const limits = $derived({
    min: numberOf(session.engine, 'pumpMinBtdc') ?? null,
    max: numberOf(session.engine, 'pumpMaxBtdc') ?? null
  });
</script>

<div class="drawn">
  <div>
    <table class="codes">
      <caption>Plate and heading, letter by letter</caption>
      <tbody>
        <tr
          ><th scope="row">plate</th>{#each letters as [a, b], k (k)}<td class:off={a !== b}>{a}</td>{/each}</tr
        >
        <tr
          ><th scope="row">heading</th>{#each letters as [a, b], k (k)}<td class:off={a !== b}>{b}</td>{/each}</tr
        >
      </tbody>
    </table>
    {#if c.problem}<p class="note" role="alert">{c.problem.message}</p>{/if}
    {#if c.kind === 'lift-to-closure' && c.target}
      <dl class="pairs">
        <dt>The port closes at</dt>
        <dd class="want"><b>{len(c.target.liftMm, 2)}</b></dd>
        <dt>with the crank at</dt>
        <dd>{formatTiming(c.target.btdc)}</dd>
        {#if limits.min !== null || limits.max !== null}<dt>Limits</dt>
          <dd>{timingLimits(limits.min, limits.max)}</dd>{/if}
      </dl>
    {/if}
    {#if c.points.length}<table>
        <caption class="only-read">Points of the chart</caption>
        <thead><tr><th class="n">before TDC</th><th class="n">lift</th></tr></thead>
        <tbody>
          {#each c.points as p (p.btdc)}<tr><td class="n">{p.btdc}°</td><td class="n">{len(p.liftMm, 2)}</td></tr
            >{/each}
          {#if c.target}<tr class="want"
              ><td class="n">{c.target.btdc}° wanted</td><td class="n">{len(c.target.liftMm, 3)}</td></tr
            >{/if}
        </tbody>
      </table>{/if}
  </div>
  <LiftCurve chart={c} {limits} />
</div>
<p class="note">
  {c.kind === 'lift-at-tdc'
    ? 'The chart gives the lift that stands when the crank is at TDC, for each timing.'
    : c.kind === 'lift-to-closure'
      ? 'One lift, the same at every timing: where the crank stands as the dial shows it, coming forward, is the timing.'
      : 'What the maker\u2019s lift means is not known: read the legend before anything is turned into degrees.'}
</p>

<style>
  .codes {
    width: auto;
    margin-bottom: 10px;
  }
  .codes caption {
    text-align: left;
    font-size: var(--t2);
    color: var(--ink-2);
  }
  .codes td {
    font-weight: 640;
    text-align: center;
    min-width: 20px;
    padding: 4px 3px;
  }
  .off {
    color: var(--out);
    box-shadow: inset 0 -3px 0 var(--out);
  }
  .want,
  .want td {
    font-weight: 640;
    color: var(--target);
  }
</style>
