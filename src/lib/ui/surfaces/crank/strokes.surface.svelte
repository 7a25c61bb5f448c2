<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { mostTelling, sharesCause, type SignKind } from '$core/calculations/cycle/cycle-evidence.ts';
  import { signText } from '$core/domains/crank/signs.ts';
  import { cycleState } from '$core/calculations/cycle/cycle-state.ts';
  import { words } from '$core/job/index.ts';
  import { choiceOf, cycleDegOf, listOf, numberOf } from '$core/engine/engine.ts';
  import type { VerdictState } from '$core/calculations/verdict/verdict.ts';
  import Result from '../../job/Result.svelte';
  import Cylinders from './Cylinders.svelte';

  let { session, view }: SurfaceProps = $props();

  const order = $derived(listOf(session.engine, 'firingOrder') ?? []);
  const companion = $derived(
    order.length
      ? cycleState({ cycleDeg: cycleDegOf(session.engine), firingOrder: order, crankDeg: 0 }).companion
      : null
  );
  const kinds = [
    'airPushedOut',
    'intakeJustClosed',
    'bothValvesClosed',
    'companionRocking',
    'gaugePressure',
    'camMarksAgree',
    'rotorAtNumberOne'
  ] as const;
  const signs = $derived(kinds.map((k): [SignKind, string] => [k, signText(k, companion)]));
  const preferred = $derived(
    (
      {
        valves: ['intakeJustClosed', 'bothValvesClosed'],
        gauge: ['gaugePressure'],
        fingertip: ['airPushedOut'],
        companion: ['companionRocking'],
        camMarks: ['camMarksAgree']
      } as Record<string, string[]>
    )[session.state.schools.compression.option] ?? []
  );
  const given = $derived(new Map(session.state.work.signs.map((s) => [s.kind, s.seen])));
  const e = $derived(session.state.work.evidence);
  const oneCause = $derived(given.size > 1 && [...given.keys()].every((k) => sharesCause(k, [...given.keys()])));
  const verdict = $derived<VerdictState | null>(e && (e.state === 'unsure' || e.contradictory) ? 'unsure' : null);
  // the sign not yet given after which least doubt would be left, whichever way it turns out
  const best = $derived.by(() => {
    const left = signs
      .map(([k]) => k)
      .filter((k) => !given.has(k) && (k !== 'rotorAtNumberOne' || !session.state.flags.has('distributor-out')));
    const kind = mostTelling(session.state.work.signs, left);
    return signs.find(([k]) => k === kind) ?? null;
  });
  const help = $derived.by(() => {
    if (!e) return '';
    const apart = best && !sharesCause(best[0], [...given.keys()]) ? ', independent of those given' : '';
    const ask = best ? ` What would settle it best${apart}: ${lower(best[1])}?` : '';
    if (e.contradictory)
      return 'One sign speaks strongly for compression and another strongly against it. The one that stands against the others is named above: look at it once more.';
    if (e.state === 'unsure')
      return oneCause
        ? `Valves and cam marks share a cause: a cam a turn out makes all of them wrong together, so they count as one sign.${ask}`
        : `Not sure enough to build on.${ask}`;
    if (session.state.work.signs.length < 2) return `One sign is wrong too often.${ask}`;
    return 'The signs agree.';
  });
  const lower = (s: string) => s.charAt(0).toLowerCase() + s.slice(1);
</script>

<div class="fig">
  <div>
    <ul>
      {#each signs as [kind, text] (kind)}
        {@const seen = given.get(kind)}
        <li class:preferred={preferred.includes(kind)}>
          <span id="sign-{kind}">{text}</span>
          <span class="yesno" role="group" aria-labelledby="sign-{kind}">
            <button
              aria-pressed={seen === true}
              onclick={() => session.say({ kind: 'sign', sign: kind, seen: seen === true ? null : true })}>yes</button
            >
            <button
              aria-pressed={seen === false}
              onclick={() => session.say({ kind: 'sign', sign: kind, seen: seen === false ? null : false })}>no</button
            >
          </span>
        </li>
      {/each}
    </ul>
  </div>
  <div>
    {#if e}
      <Result value={words.percent(e.pCompression)} pm="compression" {verdict} {help} />
    {:else}
      <p class="quiet">Nothing given yet. {best ? `The strongest single sign: ${lower(best[1])}.` : ''}</p>
    {/if}
    {#if view.place.crankDeg !== null && order.length}
      <Cylinders engine={session.engine} place={view.place} />
    {/if}
  </div>
</div>
{#if choiceOf(session.engine, 'cycle') === undefined && numberOf(session.engine, 'cylinders') === undefined}<p
    class="quiet small"
  >
    The data sheet does not say two-stroke: taken as a four-stroke.
  </p>{/if}

<style>
  .fig {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 26px;
    align-items: start;
  }
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 10px;
    border-bottom: 1px solid var(--hair);
    font-size: var(--t2);
    line-height: 1.25;
    padding: 2px 0;
  }
  li.preferred {
    font-weight: 600;
  }
  .yesno {
    display: flex;
    flex-shrink: 0;
  }
  .yesno button {
    min-width: 48px;
    min-height: 44px;
    border: 1.5px solid var(--rule);
    background: none;
    cursor: pointer;
  }
  .yesno button + button {
    border-left: 0;
  }
  .yesno button[aria-pressed='true'] {
    background: var(--ink);
    color: var(--sheet);
    border-color: var(--ink);
    font-weight: 650;
  }
  @media (max-width: 760px) {
    .fig {
      grid-template-columns: 1fr;
    }
  }
</style>
