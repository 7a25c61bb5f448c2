<script lang="ts">
  import * as crankWords from '$core/domains/crank/words.ts';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { words } from '$core/job/index.ts';
  import { cycleDegOf, valvesOf } from '$core/engine/engine.ts';
  import TwoLapDial from '$lib/ui/instruments/two-lap-dial/TwoLapDial.svelte';
  import { JobSession } from '$lib/ui/job/session.svelte.ts';
  import { JobView } from '$lib/ui/job/view.svelte.ts';
  import { lengthText } from '$lib/reader/units.ts';
  import UnsentNote from '$lib/ui/unsent/UnsentNote.svelte';
  import { inField } from '$lib/ui/keys/keys.ts';

  let { data } = $props();
  // svelte-ignore state_referenced_locally
  const session = new JobSession(data, () => null);
  const view = new JobView(session, () => data.prefs);
  onMount(() => session.connect());
  const v = $derived(view.selected);
  const plan = $derived(['tdc', 'plan', 'strokes', 'proof', 'lift'].includes(v.step.surface) ? view.plan : null);
  const first = $derived(plan?.steps[0] ?? null);
  const pace = $derived(first === null ? '' : first.degrees <= 2 ? 'stop' : first.degrees <= 15 ? 'slower' : '');
  const cycle = $derived(cycleDegOf(session.engine));
  const placed = $derived(crankWords.placeText(view.place, cycle));
  const sure = $derived(view.place.uDeg === null ? '' : ` ${words.plusMinus(view.place.uDeg, 1)}°`);
  const stroke = $derived(view.place.crankDeg === null || view.place.strokeKnown ? '' : ', stroke not proved');
  const back = $derived(`/jobs/${data.job.id}`);
</script>

<svelte:head><title>{data.engine.name}, across the bay · Nemrik</title></svelte:head>
<svelte:window onkeydown={(e) => !inField(e) && (e.key === 'Escape' || e.key.toLowerCase() === 'b') && goto(back)} />
<main id="main">
  <p class="quiet">{data.engine.name} · {v.step.title} <UnsentNote /></p>
  {#if first && plan}
    <div class="turn">
      <div class="told">
        <h1>
          Turn {words.turnWord(first.turn)} <small>seen from the {data.prefs.view}</small>
        </h1>
        <div class="big">
          <!-- over the top, its head where the turn ends: to the right clockwise, to the left anticlockwise -->
          <svg viewBox="0 0 120 84" aria-hidden="true" class:ccw={first.turn === 'ccw'} data-turn={first.turn}
            ><path d="M14 74A46 46 0 0 1 104 56" /><path class="head" d="M84 50L107 80L119 44Z" /></svg
          >
          <p class="figure" aria-live="polite">{first.degrees.toFixed(1)}°</p>
        </div>
        <p class="say">
          {pace ? `${pace} … ` : ''}{plan.steps.length > 1 ? 'well past the target first' : view.target!.name}
        </p>
      </div>
      <div class="dial">
        <TwoLapDial
          cycleDeg={cycle}
          deg={view.place.crankDeg}
          strokeKnown={view.place.strokeKnown}
          targetDeg={view.target?.deg ?? null}
          {plan}
          valves={valvesOf(session.engine)}
          valueText={placed}
        />
        <p class="place">{placed}<span class="sure">{sure}</span>{stroke}</p>
      </div>
    </div>
  {:else}
    <h1>{words.headline(session.state, session.engine, v, lengthText(data.prefs))}</h1>
    <p class="say">{v.step.accept}</p>
  {/if}
  {#if session.state.interlocks.length}
    <!-- a bar is never parted between two lines: half of it may say the opposite -->
    <ul class="flag">
      {#each session.state.interlocks as r (r.id)}<li>{r.bar}</li>{/each}
    </ul>
  {/if}
  <p class="no-print"><a class="button" href={back}>Back to the job <kbd>B</kbd></a></p>
</main>

<style>
  main {
    min-height: 100vh;
    padding: 2vh 4vw;
    /* what the dial's laps are drawn on beside a job as well: one of them is the colour of the sheet */
    background: var(--film);
  }
  h1 {
    font-size: clamp(28px, 4.6vw, 72px);
  }
  .turn {
    display: grid;
    grid-template-columns: minmax(0, 1.9fr) minmax(240px, 1fr);
    gap: 3vw;
    align-items: center;
  }
  .dial {
    --dial: min(100%, 54vh);
  }
  .told {
    container-type: inline-size;
  }
  .big {
    display: flex;
    align-items: center;
    gap: 0.15em;
    /* the arrow and a figure of six signs fill the column */
    font-size: clamp(60px, 23cqi, 240px);
  }
  .big svg {
    height: 0.8em;
    fill: none;
    stroke: var(--target);
    stroke-width: 11;
    flex: none;
  }
  .big .head {
    fill: var(--target);
    stroke: none;
  }
  .big svg.ccw {
    transform: scaleX(-1);
  }
  @media (max-width: 700px) {
    .turn {
      grid-template-columns: 1fr;
    }
    .dial {
      max-width: 320px;
    }
  }
  h1 small {
    font-size: 0.45em;
    color: var(--ink-2);
    font-weight: 500;
  }
  .figure {
    font-stretch: 76%;
    font-weight: 640;
    font-size: 1em;
    line-height: 1;
    color: var(--target);
  }
  .say {
    font-size: clamp(20px, 3vw, 40px);
    line-height: 1.25;
    font-weight: 600;
    max-width: 40ch;
  }
  .place {
    font-size: clamp(18px, 2.2vw, 30px);
    color: var(--ink-2);
    margin: 2vh 0;
  }
  .sure {
    white-space: nowrap;
  }
  .flag {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin-bottom: 6px;
    font-size: clamp(18px, 2.4vw, 34px);
    font-weight: 600;
  }
  .flag li {
    background: var(--ink);
    color: var(--sheet);
    padding: 6px 16px;
  }
</style>
