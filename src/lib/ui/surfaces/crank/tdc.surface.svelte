<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { dwellText } from '$core/domains/crank/dwell-text.ts';
  import type { Reading } from '$core/job/replayed.ts';
  import { dwellOf } from '$core/domains/crank/tdc-work.ts';
  import { words } from '$core/job/index.ts';
  import { trayInHand } from '$core/tray/hands.ts';
  import { slider } from '$core/calculations/piston/slider.ts';
  import { choiceOf, lastMarkOf, sliderOf } from '$core/engine/engine.ts';
  import { wrap180 } from '$core/numerics/angles.ts';
  import PistonDial from '../../instruments/piston/PistonDial.svelte';
  import { dateText } from '../../../reader/dates.ts';
  import { lengthText } from '../../../reader/units.ts';
  import ReadingText from '../../job/ReadingText.svelte';
  import Result from '../../job/Result.svelte';
  import Lazy from '../../primitives/Lazy.svelte';
  import DoubtFold from '../DoubtFold.svelte';
  import TdcPairs from './TdcPairs.svelte';

  let { session, view, line, prefs, onamend }: SurfaceProps = $props();

  const tdc = $derived(session.state.work.tdc);
  const len = $derived(lengthText(prefs));
  const geometry = $derived(sliderOf(session.engine));
  const drawn = $derived(geometry ? slider(geometry) : null);
  const gauge = (kind: string) => {
    const all = session.gaugesOf(kind);
    const g = all.find((x) => x.id === line.chosenGauge[kind]) ?? all[0];
    return g ? trayInHand(g) : null;
  };
  // before any reading the dwell is that of the gauges in hand
  const dwell = $derived(tdc.dwell ?? dwellOf(geometry, gauge('dial'), gauge('wheel')));
  const runs = $derived(choiceOf(session.engine, 'runningDirection') === 'ccw' ? -1 : 1);
  /** the other ways to true TDC have no sum that could be taken apart */
  const takenApart = $derived(tdc.input !== null && (tdc.pairs ?? tdc.fit?.found ?? null) !== null);
  const zero = $derived(tdc.found?.tdcWheelDeg ?? 0);
  const rel = (r: Reading) => wrap180(r.value - zero);
  const marks = $derived([
    ...tdc.rows.flatMap((r) => [
      ...(r.before ? [{ deg: rel(r.before), label: 'before' }] : []),
      ...(r.after ? [{ deg: rel(r.after), label: 'after' }] : []),
      ...(r.middleDeg === null ? [] : [{ deg: wrap180(r.middleDeg - zero), label: 'middle' }])
    ]),
    ...tdc.tops.map((r) => ({ deg: rel(r), label: 'middle' })),
    ...(tdc.fit?.rows ?? []).map((r) => ({ deg: rel(r.wheel), label: rel(r.wheel) < 0 ? 'before' : 'after' }))
  ]);
  const sides = $derived(marks.filter((m) => m.label !== 'middle'));
  const stands = $derived(
    view.place.crankDeg === null
      ? (sides[sides.length - 1]?.deg ?? (tdc.tops.length ? 0 : -18))
      : wrap180(view.place.crankDeg)
  );
  const trusted = $derived(lastMarkOf(session.engine));
  const sentence = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);
  const help = $derived.by(() => {
    const limit =
      tdc.withinDeg === null
        ? 'The data sheet sets no limit on how well true TDC must be known.'
        : `${sentence(session.engine.values.tdcWithinDeg!.source)} asks for ± ${tdc.withinDeg}°.`;
    return [limit, ...detail()].join(' ');
  });
  function detail(): string[] {
    const short = tdc.verdict !== null && tdc.verdict.state !== 'in';
    if (tdc.pairs) {
      const far = tdc.rows.filter((r) => r.farOff).map((r) => r.n);
      const pulls =
        far.length === 1
          ? `Pair ${far[0]} pulls: look whether the wheel slipped, or take it again coming up slowly.`
          : far.length === 2
            ? 'The two pairs lie further apart than the gauges explain: look whether the wheel slipped, and take a third.'
            : short
              ? 'See below what narrows it most.'
              : '';
      return [`Spread of the pairs ${tdc.pairs.spreadDeg.toFixed(2)}°.`, pulls];
    }
    const fitted = tdc.fit?.found?.result;
    if (fitted) {
      const n = fitted.outliers.length;
      return [
        `Scatter about the curve ${(1000 * fitted.rmsMm).toFixed(0)} µm${n ? `, ${n} reading${n > 1 ? 's' : ''} thrown out` : ''}.`,
        short ? 'Take more readings, further from the top.' : ''
      ];
    }
    if (tdc.method === 'mark' && trusted)
      return [
        `As the job of ${dateText(trusted.at, prefs)} found the mark. Nothing proves that it has not moved since.`
      ];
    if (tdc.method === 'rod') return ['A rough guide: by this, only the side of the top is known.'];
    return [short ? 'The flat top hides it: take pairs for anything finer.' : ''];
  }
</script>

<p class="way" role="note" aria-label="How to read it">
  {#if dwell && (tdc.method === 'pairs' || tdc.method === 'highest')}{dwellText(dwell, len)}{/if}
  {#if tdc.method === 'pairs' && tdc.depth}Read at {len(tdc.depth.value, 2)} down on this job.{/if}
  {#if tdc.method === 'stop'}Turn by hand until the piston just touches the stop, from either side; never force it.{/if}
  {#if tdc.method === 'rod'}<b>By hand only, and never let go of the rod:</b> one that jams breaks piston or thread. It shows
    which way the top lies and no more.{/if}
  {#if tdc.method === 'fit'}Every place of the crank counts; the curve of this engine’s own piston is laid through them.{/if}
</p>
<div class="fig" class:wide={tdc.method === 'fit'}>
  {#if drawn?.ok}
    <PistonDial
      slider={drawn.out}
      deg={stands}
      {runs}
      dwellDeg={tdc.method === 'stop' ? null : (dwell?.dwellDeg ?? null)}
      {marks}
      bare={tdc.method === 'fit'}
      depth={tdc.depth ? { mm: tdc.depth.value, text: len(tdc.depth.value, 2) } : null}
      dwellLabel={dwell && tdc.method !== 'stop'
        ? `flat top ± ${(dwell.dwellDeg / 2).toFixed(1)}°:\nthis dial sees\nnothing move`
        : null}
    />
  {/if}
  <div class="read" role="group" aria-label="Readings">
    {#if tdc.method === 'fit'}{@render answer()}{/if}
    {#if tdc.method === 'pairs' || tdc.method === 'stop'}<TdcPairs {session} {prefs} {onamend} />
    {:else if tdc.fit}<Lazy
        load={() => import('./TdcFit.svelte')}
        props={{ session, fit: tdc.fit, slider: drawn?.ok ? drawn.out : null, prefs, onamend }}
      />
    {:else if tdc.method === 'highest' || tdc.method === 'rod'}
      <table>
        <caption class="only-read">Readings at the highest point</caption>
        <thead><tr><th>no.</th><th class="n">wheel at the highest point</th></tr></thead>
        <tbody>
          {#each tdc.tops as r, k (r.id)}<tr
              ><td>{k + 1}</td><td class="n"
                ><ReadingText reading={r} {prefs} unsent={session.unsent.has(r.id)} {onamend} /></td
              ></tr
            >
          {:else}<tr><td colspan="2" class="quiet">None yet.</td></tr>{/each}
        </tbody>
      </table>
    {/if}
    {#if tdc.method !== 'fit'}{@render answer()}{/if}
  </div>
</div>

{#snippet answer()}
  {#if tdc.error}<p class="off" role="alert">{tdc.error.message}</p>{/if}
  {#if tdc.found}
    <Result
      value="{tdc.found.tdcWheelDeg.toFixed(2)}°"
      pm="{words.plusMinus(tdc.found.uDeg)}°"
      verdict={tdc.verdict?.state ?? null}
      {help}
    />
    <p class="small quiet">Wheel at true TDC; standard uncertainty {tdc.found.uDeg.toFixed(2)}°.</p>
    {#if tdc.found.scatterUnknown}<p class="off">
        Scatter not known: the ± is the gauges’ alone, and is never in.
      </p>{/if}
    {#if takenApart}<DoubtFold open={tdc.verdict !== null && tdc.verdict.state !== 'in'}
        ><Lazy load={() => import('./TdcDoubt.svelte')} props={{ tdc, session, len }} /></DoubtFold
      >{/if}
  {/if}
{/snippet}

<style>
  .way {
    font-size: var(--t2);
    color: var(--ink-2);
    margin-bottom: 12px;
    max-width: 76ch;
  }
  .way b {
    color: var(--ink);
  }
  .fig {
    display: grid;
    grid-template-columns: minmax(220px, 0.85fr) minmax(0, 1fr);
    gap: 22px;
    align-items: start;
  }
  .fig.wide {
    grid-template-columns: minmax(180px, 0.5fr) minmax(0, 1fr);
  }
  .off {
    color: var(--unsure);
    font-weight: 600;
  }
  @media (max-width: 620px) {
    .fig,
    .fig.wide {
      grid-template-columns: 1fr;
    }
  }
</style>
