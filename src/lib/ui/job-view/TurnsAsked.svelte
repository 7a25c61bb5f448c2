<script lang="ts">
  import { placeText } from '$core/domains/crank/words.ts';
  import { TURNS_QUESTION, wayText } from '$core/domains/crank/place/place-words.ts';
  import { choiceOf, cycleDegOf } from '$core/engine/engine.ts';
  import type { Travel, TurnsAsked } from '$core/domains/crank/place/place.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import type { JobSession } from '../job/session.svelte.ts';

  interface Props {
    session: JobSession;
    prefs: Prefs;
    asks: TurnsAsked;
    /** it was opened by hand, because what is believed is not so */
    contested?: boolean;
    ondone?: () => void;
  }
  /** How far the crank was turned before a reading of the wheel, which shows every figure twice in a cycle. */
  let { session, prefs, asks, contested = false, ondone }: Props = $props();
  const runs = $derived(choiceOf(session.engine, 'runningDirection') === 'ccw' ? 'ccw' : 'cw');
  const cycle = $derived(cycleDegOf(session.engine));
  const stands = (w: Travel) =>
    placeText({ ...session.state.work.crank, crankDeg: w.crankDeg, strokeKnown: true }, cycle);
  const last = $derived(session.state.readings.find((r) => r.id === asks.reading));

  function say(travelDeg: number | null) {
    if (session.say({ kind: 'went', reading: asks.reading, travelDeg }) === null) ondone?.();
  }
</script>

<div class="asked" role="group" aria-label="How the crank was turned" data-testid="turns-asked">
  <p>
    <b>{contested ? 'How was the crank turned before the last figure was read?' : TURNS_QUESTION}</b>
    {#if last}<span class="quiet">Read: {last.text} on the wheel; seen from the {prefs.view}.</span>{/if}
  </p>
  <ul>
    {#each asks.ways as w (w.travelDeg)}
      <li>
        <button class="button" onclick={() => say(w.travelDeg)}>It was {wayText(w, runs, prefs.view)}</button>
        <span>then it stands {stands(w)}</span>
      </li>
    {/each}
    <li>
      <button class="button" onclick={() => say(null)}>Nobody can say</button>
      <span>then the stroke is proved again</span>
    </li>
  </ul>
  {#if contested}<button class="link" onclick={() => ondone?.()}>It is as believed</button>{/if}
</div>

<style>
  .asked {
    border-top: 1.5px solid var(--ink);
    border-bottom: 1px solid var(--rule);
    padding: 10px 0;
    margin: 8px 0 12px;
  }
  ul {
    display: grid;
    gap: 6px;
    margin-top: 8px;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 14px;
  }
  li span {
    color: var(--ink-2);
    font-size: var(--t2);
  }
</style>
