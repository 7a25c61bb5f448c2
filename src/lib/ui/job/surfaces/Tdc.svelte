<script lang="ts">
  import type { Reading } from '$core/job/replay.ts';
  import { dwellOf } from '$core/job/tdc-work.ts';
  import { words } from '$core/job/index.ts';
  import { slider } from '$core/crank/slider.ts';
  import { choiceOf, sliderOf } from '$core/sheets/engine.ts';
  import { wrap180 } from '$core/angles.ts';
  import type { Prefs } from '$lib/prefs.ts';
  import PistonDial from '../../instruments/piston/PistonDial.svelte';
  import { lengthText } from '../../units.ts';
  import ReadingText from '../ReadingText.svelte';
  import Result from '../Result.svelte';
  import type { ReadingLine } from '../line.svelte.ts';
  import type { JobSession } from '../session.svelte.ts';
  import type { JobView } from '../view.svelte.ts';

  interface Props {
    session: JobSession;
    view: JobView;
    line: ReadingLine;
    prefs: Prefs;
    onamend: (r: Reading) => void;
  }
  let { session, view, line, prefs, onamend }: Props = $props();

  const tdc = $derived(session.state.tdc);
  const len = $derived(lengthText(prefs));
  const geometry = $derived(sliderOf(session.engine));
  const drawn = $derived(geometry ? slider(geometry) : null);
  const gauge = (kind: string) =>
    session.gaugesOf(kind).find((g) => g.id === line.chosenGauge[kind]) ?? session.gaugesOf(kind)[0] ?? null;
  // before any reading the dwell is that of the gauges in hand
  const dwell = $derived(tdc.dwell ?? dwellOf(geometry, gauge('dial'), gauge('wheel')));
  const runs = $derived(choiceOf(session.engine, 'runningDirection') === 'ccw' ? -1 : 1);
  const zero = $derived(tdc.found?.tdcWheelDeg ?? 0);
  const marks = $derived(
    tdc.rows.flatMap((r) => [
      ...(r.before ? [{ deg: wrap180(r.before.value - zero), label: 'before' }] : []),
      ...(r.after ? [{ deg: wrap180(r.after.value - zero), label: 'after' }] : [])
    ])
  );
  const stands = $derived(
    view.place.crankDeg === null ? (marks[marks.length - 1]?.deg ?? -18) : wrap180(view.place.crankDeg)
  );
  const help = $derived.by(() => {
    const f = tdc.found!;
    const limit =
      tdc.withinDeg === null
        ? 'The data sheet sets no limit on how well true TDC must be known.'
        : `${sentence(session.engine.values.tdcWithinDeg!.source)} asks for ± ${tdc.withinDeg}°.`;
    const far = tdc.rows.find((r) => r.farOff);
    const spread = `Spread of the pairs ${f.spreadDeg.toFixed(2)}°.`;
    if (far)
      return `${limit} ${spread} Pair ${far.n} pulls: look whether the wheel slipped, or take it again coming up slowly.`;
    if (tdc.verdict && tdc.verdict.state !== 'in') return `${limit} ${spread} Take one more pair, or a finer wheel.`;
    return `${limit} ${spread}`;
  });
  const sentence = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);
  function swap(before: Reading, after: Reading) {
    const reason = 'before and after swapped';
    const unit = (r: Reading) => ({ text: r.text, defaultUnit: r.unit, gaugeId: r.gauge?.id ?? null });
    session.say({ kind: 'amend', replaces: before.id, basis: before.basis, reason, ...unit(after) });
    session.say({ kind: 'amend', replaces: after.id, basis: after.basis, reason, ...unit(before) });
  }
</script>

<p class="way">
  Way chosen: <b>two-sided by dial</b>{#if tdc.depth}&nbsp;at {len(tdc.depth.value, 2)} down{/if}.
  {#if dwell}{words.dwellText(dwell, len)}{/if}
</p>
<div class="fig">
  {#if drawn?.ok}
    <PistonDial
      slider={drawn.out}
      deg={stands}
      {runs}
      dwellDeg={dwell?.dwellDeg ?? null}
      {marks}
      depthText={tdc.depth ? len(tdc.depth.value, 2) : null}
      dwellLabel={dwell ? `flat top ± ${(dwell.dwellDeg / 2).toFixed(1)}°:\nthis dial sees\nnothing move` : null}
    />
  {/if}
  <div class="read">
    {#if tdc.depth}<p class="small">
        Depth <ReadingText reading={tdc.depth} {prefs} unsent={session.unsent.has(tdc.depth.id)} {onamend} />
      </p>{/if}
    <table>
      <caption class="only-read">Pairs of wheel readings</caption>
      <thead
        ><tr
          ><th>pair</th><th class="n">before</th><th class="n">after</th><th class="n">middle</th><th
            ><span class="only-read">remark</span></th
          ></tr
        ></thead
      >
      <tbody>
        {#each tdc.rows as r (r.n)}
          <tr>
            <td>{r.n}</td>
            <td class="n"
              >{#if r.before}<ReadingText
                  reading={r.before}
                  {prefs}
                  unsent={session.unsent.has(r.before.id)}
                  {onamend}
                />{/if}</td
            >
            <td class="n"
              >{#if r.after}<ReadingText
                  reading={r.after}
                  {prefs}
                  unsent={session.unsent.has(r.after.id)}
                  {onamend}
                />{:else}<span class="quiet">next</span>{/if}</td
            >
            <td class="n">{r.middleDeg === null ? '' : `${r.middleDeg.toFixed(2)}°`}</td>
            <td
              >{#if r.farOff}<span class="off">far off</span>{/if}{#if r.error}<span class="off">swapped?</span
                >{/if}</td
            >
          </tr>
          {#if r.error && r.before && r.after}
            <tr
              ><td colspan="5" class="off"
                >{r.error.message}
                <button class="link" onclick={() => swap(r.before!, r.after!)}>Swap the two</button></td
              ></tr
            >
          {/if}
        {:else}
          <tr
            ><td colspan="5" class="quiet"
              >No pair yet. {tdc.nextSlot === 'depth'
                ? 'Type how far down the dial stands first.'
                : 'Type the wheel before the top, then after it.'}</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
    {#if tdc.error}<p class="off" role="alert">{tdc.error.message}</p>{/if}
    {#if tdc.found}
      <Result
        value="{tdc.found.tdcWheelDeg.toFixed(2)}°"
        pm="{words.plusMinus(tdc.found.uDeg)}°"
        verdict={tdc.verdict?.state ?? null}
        {help}
      />
      <p class="small quiet">Wheel at true TDC; standard uncertainty {tdc.found.uDeg.toFixed(2)}°.</p>
    {/if}
  </div>
</div>

<style>
  .way {
    font-size: 14px;
    color: var(--ink-2);
    margin-bottom: 12px;
    max-width: 76ch;
  }
  .way b {
    color: var(--ink);
  }
  .fig {
    display: grid;
    grid-template-columns: minmax(220px, 0.85fr) 1fr;
    gap: 22px;
    align-items: start;
  }
  .off {
    color: var(--unsure);
    font-weight: 600;
  }
  @media (max-width: 620px) {
    .fig {
      grid-template-columns: 1fr;
    }
  }
</style>
