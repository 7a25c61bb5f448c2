<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import type { Match } from '$core/calculations/curve/curve-match.ts';
  import { matchOf } from '$core/domains/recurve/by-hand.ts';
  import { matchInput, predict, type RecurveWork } from '$core/domains/recurve/recurve-work.ts';
  import type { SweepWork } from '$core/domains/curves/sweep-work.ts';
  import { formatSpeed } from '$core/units/format.ts';
  import type { Engine } from '$core/engine/engine.ts';
  import type { StockItem } from '$core/tray/part-kinds.ts';
  import CurveChart from './CurveChart.svelte';
  import CurveFiles from './CurveFiles.svelte';
  import { toldApart } from '$core/domains/recurve/prediction-band.ts';
  import { picture } from '../../reader/curve-picture.ts';
  import { ghostOf, predictedBand, predictedPoints } from './curve-series.ts';
  import { Matcher } from './matcher.svelte.ts';
  import { dateText, type Clock } from '../../reader/dates.ts';
  import SpringSearch from './SpringSearch.svelte';
  import type { TargetHand } from './target.svelte.ts';
  import Springs from '../instruments/springs/Springs.svelte';
  import type { Put } from '../instruments/springs/springs-geometry.ts';
  import { carriedOn, figuresOf, fitOf } from './match-words.ts';

  interface Props {
    engine: Engine;
    sweep: SweepWork | null;
    work: RecurveWork;
    stock: StockItem[];
    hand: TargetHand;
    clock: Clock;
    height?: number;
    ontake?: ((m: Match) => void) | undefined;
  }
  let { engine, sweep, work, stock, hand, clock, height = 360, ontake }: Props = $props();
  const input = $derived(matchInput(work, sweep?.baseline, stock, hand.points));
  const matcher = new Matcher();
  /** the springs on their plate lie below the curve: a page stands sooner without them, and nothing in them works before */
  let here = $state(false);
  onMount(() => {
    here = true;
    return () => matcher.close();
  });
  // every change of target, tray or limits asks again; the worker answers the newest question
  $effect(() => {
    const question = input;
    if (question) untrack(() => matcher.ask(question));
  });
  let picked = $state(0);
  const looked = $derived.by(() => {
    const all = matcher.result?.ranked ?? [];
    return { all, chosen: Math.min(picked, Math.max(0, all.length - 1)) };
  });
  /** springs and stop put in by hand on the drawing, until the search looks at another pick */
  let put = $derived.by((): Put | null => {
    void looked;
    return null;
  });
  const item = (id: string) =>
    stock.find((s) => s.id === id) ?? [...work.springs, ...(work.stop ? [work.stop] : [])].find((s) => s.id === id);
  const name = (id: string) => item(id)?.name ?? id;
  const match = $derived(looked.all[looked.chosen] ?? null);
  const inNow = $derived(put ?? (match ? { a: match.springs[0], b: match.springs[1], stop: match.stop } : null));
  const outcome = (a: string, b: string, stop: string, of = sweep) => {
    const [one, two] = [item(a), item(b)];
    return predict(of, work, one && two ? [one, two] : [], item(stop)?.deg);
  };
  /** picks against the first: what both predictions share, the doubt of the measured curve, drops out of the difference */
  const apart = $derived.by((): (boolean | null)[] => {
    const alone = sweep && { ...sweep, uBaselineRpm: 0 };
    const foreseen = looked.all.map((m) => {
      const c = outcome(...m.springs, m.stop, alone);
      return c?.ok ? { curve: c.out, initialBtdc: m.initialBtdc } : null;
    });
    const speeds = hand.points.map((p) => p.rpm);
    return foreseen.map((f, k) => (k === 0 || !f || !foreseen[0] ? true : toldApart(foreseen[0], f, speeds)));
  });
  const swapped = $derived(inNow ? outcome(inNow.a, inNow.b, inNow.stop) : null);
  /** the search's figures for what was put in by hand; null where the stop lies beyond what was measured */
  const judged = $derived(put && input ? matchOf(input, { springs: [put.a, put.b], stop: put.stop }) : null);
  const held = (id: string) => input?.tray.springs.find((s) => s.id === id)?.count ?? 0;
  const short = $derived(
    put && input
      ? [...new Set([put.a, put.b])].filter((id) => held(id) < (put!.a === put!.b ? 2 : 1)).map((id) => name(id))
      : []
  );
  const initial = $derived((put ? judged : match)?.initialBtdc ?? sweep?.initialBtdc ?? 0);
  const others = $derived(
    looked.all.flatMap((m, k) => {
      const c = k === looked.chosen ? null : outcome(...m.springs, m.stop);
      return c?.ok ? [{ label: `${k + 1}`, points: predictedPoints(c.out, m.initialBtdc, 5000) }] : [];
    })
  );
  const pic = $derived(
    picture(engine, sweep, {
      ghost: ghostOf(engine.earlier?.['curve']?.output),
      target: hand.points.map((p) => ({ x: p.rpm, y: p.deg })),
      predicted: swapped?.ok
        ? [
            {
              label: inNow ? `${name(inNow.a)} + ${name(inNow.b)}, ${name(inNow.stop)}` : '',
              points: predictedPoints(swapped.out, initial, 5000),
              band: predictedBand(swapped.out, initial, 5000)
            },
            ...others
          ]
        : [],
      carriedFrom:
        swapped?.ok && swapped.out.extrapolatedFromDeg !== null
          ? {
              x: swapped.out.points.find((p) => p.deg >= swapped.out.extrapolatedFromDeg!)!.rpm,
              y: swapped.out.extrapolatedFromDeg + initial
            }
          : null
    })
  );
  /** the widest of what the prediction claims, two standard uncertainties of a speed */
  const claimed = $derived(
    swapped?.ok && swapped.out.points.every((p) => p.uRpm !== undefined)
      ? Math.max(...swapped.out.points.map((p) => 2 * p.uRpm!))
      : null
  );
  const trust = $derived.by(() => {
    const m = engine.earlier?.['model'];
    return m ? { rmsDeg: m.value, at: m.at } : null;
  });
  const taken = $derived(
    work.springs.length === 2 && work.stop
      ? `${work.springs
          .map((s) => s.id)
          .sort()
          .join(' ')} ${work.stop.id}`
      : undefined
  );
</script>

<div class="room">
  <div class="recurve">
    <div class="curve">
      <CurveChart
        picture={pic}
        label="Measured, limits, target and predicted curve of {engine.name}; the figures stand in the tables beside"
        {height}
        ontarget={(k, d) => hand.set(k, d)}
      />
      {#if swapped && !swapped.ok}<p class="problem" role="alert">{swapped.error.message}</p>{/if}
      {#if swapped?.ok && swapped.out.unstableFromDeg !== null}
        <p class="problem" role="alert">
          From {swapped.out.unstableFromDeg.toFixed(1)}° on the weights snap out instead of moving steadily: not this
          pair.
        </p>
      {/if}
    </div>
    <div class="search">
      <SpringSearch
        {input}
        lacks={work.lacks}
        {name}
        count={(id) => stock.find((s) => s.id === id)?.count ?? 0}
        {matcher}
        {apart}
        bind:chosen={picked}
        {ontake}
        {taken}
      />
    </div>
    <div class="bench">
      {#if here}
        <Springs
          springs={stock.filter((s) => s.kind === 'spring')}
          stops={stock.filter((s) => s.kind === 'stop')}
          chosen={inNow}
          onput={(p) => (put = p)}
          byHand={put !== null}
          ontake={ontake && judged && short.length === 0 ? () => ontake(judged) : undefined}
        >
          {#if judged && put}
            <p class="judged" aria-live="polite">
              <b class:bad={judged.violations.length > 0}>{fitOf(judged)}</b>
              {figuresOf(judged, item(put.stop)?.deg ?? 0)}
            </p>
          {:else if put && swapped?.ok && swapped.out.extrapolatedFromDeg !== null}
            {@const over =
              input?.limits.totalMaxBtdc !== undefined && initial + swapped.out.fullDeg > input.limits.totalMaxBtdc}
            <p class="judged" aria-live="polite">
              <b class:bad={over}>{over ? 'total above its limit' : 'beyond what was measured'}</b>
              {carriedOn(swapped.out, initial)}. Sweep on to where the advance stops, then it can be judged and taken.
            </p>
          {/if}
          {#if short.length}
            <p class="problem">There are not enough of {short.join(' and ')} in the tray.</p>
          {/if}
        </Springs>
      {/if}
    </div>
    <div class="why">
      <CurveFiles picture={pic} title="{engine.name} recurve" />
      <p>
        At every degree of advance the weights balance the springs, and their pull grows with speed squared alone, so
        this distributor’s own measured curve tells what other springs will do without any measure of its weights.
        Friction and a worn stop it cannot see: measure again afterwards.
        {#if claimed !== null}The curve drawn claims its speeds to ± {formatSpeed(claimed)} rpm, by what is known of the springs
          and of the sweep.{/if}
        {#if swapped?.ok && swapped.out.points[0]?.uRpm === undefined}No band is claimed for it: how well the springs’
          rates and forces are known is not on the data sheet or in the tray.{/if}
      </p>
      <p>
        {trust
          ? `The last prediction for this engine missed by ${trust.rmsDeg.toFixed(1)}° rms (${dateText(trust.at, clock)}).`
          : 'No prediction for this engine has been measured against yet.'}
      </p>
    </div>
  </div>
</div>

<style>
  .room {
    container-type: inline-size;
  }
  .recurve {
    display: grid;
    grid-template: 'curve search' auto 'bench search' auto 'why search' 1fr / minmax(300px, 1fr) minmax(270px, 0.72fr);
    gap: 12px 22px;
    align-items: start;
  }
  .recurve > :global(*) {
    min-width: 0;
  }
  .curve {
    grid-area: curve;
  }
  .search {
    grid-area: search;
  }
  .bench {
    grid-area: bench;
  }
  .why {
    grid-area: why;
    font-size: var(--t2);
    color: var(--ink-2);
  }
  .why p {
    margin: 6px 0;
  }
  /* with room beside the chart, what is pulled stands next to what it moves */
  @container (min-width: 900px) {
    .recurve {
      grid-template: 'curve search' auto 'curve bench' auto 'why bench' 1fr / minmax(300px, 1fr) minmax(270px, 0.72fr);
    }
  }
  @container (max-width: 600px) {
    .recurve {
      grid-template: 'curve' 'search' 'bench' 'why' / minmax(0, 1fr);
    }
  }
  .judged {
    margin: 0;
    font-size: var(--t2);
  }
  .bad {
    color: var(--out);
  }
  .problem {
    color: var(--out);
    font-weight: 600;
  }
</style>
