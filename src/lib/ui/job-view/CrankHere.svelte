<script lang="ts">
  import { becauseText } from '$core/domains/crank/place/place-words.ts';
  import type { CrankPlace } from '$core/domains/crank/place/place.ts';
  import { placeText, waysInto } from '$core/domains/crank/words.ts';
  import { words } from '$core/job/index.ts';
  import { cycleDegOf } from '$core/engine/engine.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import type { JobSession } from '../job/session.svelte.ts';
  import Lazy from '../primitives/Lazy.svelte';

  /** Where the crank is believed to stand and why, in one line; what is not so can be said at once. */
  let { session, place, prefs }: { session: JobSession; place: CrankPlace; prefs: Prefs } = $props();
  const cycle = $derived(cycleDegOf(session.engine));
  const crank = $derived(session.state.work.crank);
  const ways = $derived(
    session.state.closed || !crank || crank.asks || crank.reading === null || !crank.strokeKnown || cycle === 360
      ? null
      : waysInto(session.state, crank.reading)
  );
  let contested = $state(false);
</script>

<p class="here" role="group" aria-label="Crank">
  <b>{placeText(place, cycle)}</b>
  {#if place.uDeg !== null}<span>{words.plusMinus(place.uDeg, 1)}°</span>{/if}
  {#if place.crankDeg !== null && !place.strokeKnown}<span class="unsure">stroke not proved</span>{/if}
  {#if place.crankDeg !== null && becauseText(place)}<span>{becauseText(place)}</span>{/if}
  {#if ways && !contested}<button class="link" onclick={() => (contested = true)}>Not so</button>{/if}
</p>
{#if contested && ways}<Lazy
    load={() => import('./TurnsAsked.svelte')}
    props={{ session, prefs, asks: ways, contested: true, ondone: () => (contested = false) }}
  />{/if}

<style>
  .here {
    color: var(--ink-2);
    line-height: 1.15;
  }
  .here b {
    font-stretch: 78%;
    font-size: var(--t7);
    font-weight: 640;
    color: var(--ink);
    margin-right: 4px;
  }
  .here span {
    white-space: nowrap;
  }
  .unsure {
    color: var(--unsure);
    font-weight: 600;
  }
</style>
