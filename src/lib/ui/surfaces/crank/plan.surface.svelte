<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { passedBy, passedText, planLacks } from '$core/domains/crank/plan-words.ts';
  import * as crankWords from '$core/domains/crank/words.ts';
  import { cycleDegOf, listOf } from '$core/engine/engine.ts';
  import { referenceSource } from '$core/job/reference.ts';
  import { formatTiming } from '$core/units/format.ts';
  import ReadingText from '../../job/ReadingText.svelte';
  import Cylinders from './Cylinders.svelte';

  let { session, view, line, prefs, stepId, onamend }: SurfaceProps = $props();

  const target = $derived(session.state.reference);
  const source = $derived(referenceSource(session.sheet, session.engine, session.state.readings));
  const plan = $derived(view.planSaid);
  const moves = $derived(
    plan && view.target ? crankWords.planText(plan, prefs.view, view.target, cycleDegOf(session.engine)) : []
  );
  const stands = $derived(session.readings(stepId));
  const past = $derived(passedBy(view.target, view.place, cycleDegOf(session.engine)));
  const backlash = $derived(session.state.work.slack.deg);
</script>

{#if view.place.crankDeg === null}
  <p class="quiet">Where the crank stands is not known. Read the wheel and type it, or turn the dial to it.</p>
{:else if !plan}
  <p class="quiet">
    {planLacks(session.state)}
  </p>
{:else}
  <ol class="moves" data-testid="plan">
    {#each moves as m, k (k)}
      {@const s = plan.steps[k]}
      <li class:still={!s}>
        {#if s}<span class="big">{s.degrees.toFixed(1)}°</span>{/if}
        <span class="say">{m}</span>
      </li>
    {/each}
  </ol>
  {#if past !== null && plan.steps.length}
    <p class="past" data-testid="passed">
      {passedText(past, session.state.schools.overshoot.option, backlash)}
    </p>
  {:else}
    <p class="small quiet">
      Passing the target is an ordinary thing: read the wheel where you stand, type it, and the next move follows.
    </p>
  {/if}
  {#if view.place.lastMove === 'unknown'}<p class="small quiet">
      The last movement is not known, so slack is taken up first.
    </p>{/if}
{/if}
<div class="typed">
  <fieldset>
    <legend>The next figure was reached</legend>
    {#each [[undefined, 'going forward'], ['back', 'going back'], ['unsure', 'I cannot say how']] as const as [value, label] (label)}
      <label
        ><input type="radio" name="came" checked={line.prefer === value} onchange={() => (line.prefer = value)} />
        {label}</label
      >
    {/each}
  </fieldset>
  {#if stands.length}
    <p class="small">
      Stood at: {#each stands as r (r.id)}<span class="stood"
          ><ReadingText reading={r} {prefs} unsent={session.unsent.has(r.id)} {onamend} /></span
        >{/each}
    </p>
  {/if}
</div>
{#if view.place.crankDeg !== null && listOf(session.engine, 'firingOrder')}<Cylinders
    engine={session.engine}
    place={view.place}
  />{/if}
{#if target !== null}<p class="small quiet">
    Target {formatTiming(target, Number.isInteger(target) ? 0 : 1)}{source ? `, ${source}` : ''}.
  </p>{/if}

<style>
  .moves {
    max-width: 660px;
  }
  .moves li {
    display: grid;
    grid-template-columns: 170px 1fr;
    gap: 16px;
    align-items: center;
    border-top: 1.5px solid var(--ink);
    padding: 12px 0;
  }
  .moves li.still {
    grid-template-columns: 1fr;
  }
  .big {
    font-stretch: 76%;
    font-weight: 640;
    font-size: var(--t9);
    line-height: 1;
    color: var(--target);
  }
  .say {
    font-size: var(--t4);
    font-weight: 600;
    line-height: 1.3;
  }
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 0 20px;
  }
  fieldset label {
    min-height: 40px;
    display: flex;
    align-items: center;
    gap: 8px;
    font-size: var(--t2);
  }
  input {
    width: 18px;
    height: 18px;
    accent-color: var(--ink);
  }
  legend {
    float: left;
    font-size: var(--t2);
    line-height: 40px;
    color: var(--ink-2);
  }
  .past {
    font-size: var(--t4);
    font-weight: 600;
    max-width: 62ch;
  }
  .stood {
    margin-right: 12px;
  }
  @media (max-width: 520px) {
    .moves li {
      grid-template-columns: 1fr;
      gap: 4px;
    }
  }
</style>
