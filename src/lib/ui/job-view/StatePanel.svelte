<script lang="ts">
  import { saidWithSight } from '$core/job/run-sheet.ts';
  import { NOWHERE } from '$core/domains/crank/place/place.ts';
  import * as crankWords from '$core/domains/crank/words.ts';
  import type { JobSession } from '../job/session.svelte.ts';
  import { settledFigures } from '$core/job/index.ts';
  import { cycleDegOf, valvesOf } from '$core/engine/engine.ts';
  import { resultText } from '$core/job/figure-text.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import Bar from './Bar.svelte';
  import CrankHere from './CrankHere.svelte';
  import Sayable from './Sayable.svelte';
  import TwoLapDial from '../instruments/two-lap-dial/TwoLapDial.svelte';
  import { panelOf } from '../surfaces/load.ts';
  import Lazy from '../primitives/Lazy.svelte';
  import Verdict from '../primitives/Verdict.svelte';
  import { lengthText } from '../../reader/units.ts';
  import type { Asking } from '../job/line.svelte.ts';
  import type { JobView } from '../job/view.svelte.ts';

  let {
    session,
    view,
    prefs,
    onview,
    onask
  }: {
    session: JobSession;
    view: JobView;
    prefs: Prefs;
    onview: (v: 'front' | 'rear') => void;
    onask: (asking: Asking) => void;
  } = $props();

  const state = $derived(session.state);
  const engine = $derived(session.engine);
  const cycle = $derived(cycleDegOf(engine));
  const place = $derived(view.placeSaid);
  const crank = $derived(state.work.crank ?? NOWHERE);
  const plan = $derived(view.plan);
  const figures = $derived(settledFigures(state));
  const len = $derived(lengthText(prefs));
  const valves = $derived(valvesOf(engine));
  const sentences = $derived(
    view.planSaid && view.target
      ? crankWords.planText(view.planSaid, prefs.view, view.target, cycleDegOf(session.engine))
      : []
  );
  /** a step that is about the next turn shows it itself: it is not said twice */
  const saidThere = $derived(view.selected.step.surface === 'plan');
  const turnable = $derived((state.work.tdc?.found ?? null) !== null || place.crankDeg !== null);
  const flags = $derived(session.sheet.words.flags);
  const turning = $derived(state.raised.some((r) => r.forbids.includes('turns-crank')));
  function tell(f: string, on: boolean) {
    const safe = flags[f]!.danger ? !on : on;
    if (saidWithSight(flags[f]!) && safe) onask({ for: 'seen', flag: f, on });
    else session.say({ kind: 'say', flag: f, on });
  }
  const panel = $derived(session.sheet.panel === undefined ? undefined : panelOf(session.sheet.panel));
  /** sheets of an engine stand on its dial; those of other things have a panel of their own, or none */
  const onDial = $derived(session.sheet.panel === undefined);
  const placed = $derived(crankWords.placeText(place, cycle));
</script>

{#snippet bars()}
  {#each state.interlocks as rule (rule.id)}
    <Bar {rule} {flags} on={state.flags} ontell={tell} onhappened={() => onask({ for: 'happened', rule: rule.id })} />
  {/each}
{/snippet}

<aside class="state" aria-label="Where the engine is">
  <div class="within">
    {#if panel}
      <!-- an instrument may be long: what must not be done stands above it -->
      {@render bars()}
      <Lazy load={panel} props={{ session, prefs, surface: view.selected.step.surface }} />
    {:else if onDial}
      <TwoLapDial
        cycleDeg={cycle}
        deg={crank.crankDeg}
        strokeKnown={crank.strokeKnown}
        targetDeg={view.target?.deg ?? null}
        {plan}
        {valves}
        valueText={placed}
        onturning={(d) => view.turning(d)}
        onturned={turnable ? (deg, travel) => view.turned(deg, travel) : undefined}
      />
      <CrankHere {session} {place} {prefs} />
      {#if sentences.length}
        {#if !saidThere}
          <!-- read out when the hand lets go, and not ten times a second before -->
          <div class="next" role="group" aria-label="How to turn" aria-live="polite" aria-busy={view.held}>
            {#each sentences as s, k (k)}<p>{s}</p>{/each}
          </div>
        {/if}
        <fieldset class="ends">
          <legend class="only-read">Viewing end</legend>
          {#each ['front', 'rear'] as const as v (v)}
            <label
              ><input type="radio" name="view-end" value={v} checked={prefs.view === v} onchange={() => onview(v)} />
              seen from the {v}</label
            >
          {/each}
        </fieldset>
      {/if}
    {/if}
    {#if !panel}
      {@render bars()}
      {#if crank.crankDeg !== null && !turning && !state.closed && onDial}
        <button class="link lost" onclick={() => session.say({ kind: 'crank', crankDeg: null, move: 'unknown' })}
          >The crank was turned, nobody counted</button
        >
      {/if}
    {/if}
    {#if !state.closed}<Sayable {session} ontell={tell} />{/if}
    {#if figures.length}
      <dl>
        {#each figures as f (f.key)}<dt>{f.label}</dt>
          <dd>
            {resultText(f, len)}
            {#if f.verdict}<Verdict state={f.verdict} size={14} />{/if}
          </dd>{/each}
      </dl>
      <p class="note">± is two standard uncertainties.</p>
    {/if}
  </div>
</aside>

<style>
  .state {
    border-left: 1.5px solid var(--ink);
    position: relative;
  }
  .within {
    padding: 4px 18px 14px;
    overflow: auto;
    display: flex;
    flex-direction: column;
    gap: 4px;
  }
  @media screen and (min-width: 901px) {
    /* its place is given from without: what changes in it lays out nothing else */
    .within {
      position: absolute;
      inset: 0;
      contain: strict;
    }
  }
  .next p {
    font-size: var(--t5);
    line-height: 1.25;
    font-weight: 620;
  }
  .next p + p {
    margin-top: 4px;
  }
  .ends {
    display: flex;
    flex-wrap: wrap;
    gap: 0 18px;
    font-size: var(--t2);
    color: var(--ink-2);
  }
  .ends label {
    min-height: 30px;
    display: flex;
    align-items: center;
    gap: 6px;
  }
  .ends input {
    width: 18px;
    height: 18px;
    accent-color: var(--ink);
  }
  .lost {
    align-self: flex-start;
    font-size: var(--t2);
  }
  dl {
    margin-top: 6px;
    display: grid;
    grid-template-columns: 1fr auto;
    font-size: var(--t2);
    border-top: 1.5px solid var(--ink);
  }
  dt,
  dd {
    padding: 5px 0;
    border-bottom: 1px solid var(--rule);
  }
  dt {
    color: var(--ink-2);
    padding-right: 8px;
  }
  dd {
    text-align: right;
    font-weight: 600;
  }
  .note {
    font-size: var(--t1);
    color: var(--ink-2);
  }
  @media (max-width: 900px) {
    .state {
      border-left: 0;
      border-top: 1.5px solid var(--ink);
    }
  }
</style>
