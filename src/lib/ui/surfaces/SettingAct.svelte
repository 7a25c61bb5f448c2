<script lang="ts">
  import { onlyGuessed, thingName, thingOf, ofLastSetting } from '$core/job/settings.ts';
  import type { Step } from '$core/job/run-sheet.ts';
  import type { JobSession } from '../job/session.svelte.ts';

  /** What is set at this step was turned: said by hand, or asked where a reading lies apart from those before. */
  let { session, step }: { session: JobSession; step: Step } = $props();
  const thing = $derived(thingOf(step));
  // a setting whose readings say by their own name whether it was turned asks nothing here
  const named = $derived(step.slots.some((s) => s.of === thing && s.also?.includes('again')));
  const mine = $derived(session.readings(step.id).filter((r) => r.setting?.thing === thing));
  const guessed = $derived.by(() => {
    const last = mine[mine.length - 1];
    if (!last) return null;
    const counted = ofLastSetting(mine.filter((r) => r.slot === last.slot));
    return onlyGuessed(counted) && !last.setting!.earlier ? last : null;
  });
  const stands = $derived(mine.some((r) => !r.setting!.earlier));
</script>

{#if thing && !named && !session.state.closed}
  {#if guessed}
    <div class="asked" role="group" aria-label="Whether it was turned" data-testid="setting-asked">
      <p><b>{guessed.text} lies apart from what was read before. Was {thingName(thing)} turned in between?</b></p>
      <button
        class="button"
        onclick={() => session.say({ kind: 'turned', step: step.id, reading: guessed.id, is: true })}
        >It was turned</button
      >
      <button
        class="button"
        onclick={() => session.say({ kind: 'turned', step: step.id, reading: guessed.id, is: false })}
        >It was not: it repeats the others</button
      >
    </div>
  {:else if stands && step.adjusts}
    <p class="small">
      <button class="link" onclick={() => session.say({ kind: 'turned', step: step.id, is: true })}
        >{thingName(thing).replace(/^t/, 'T')} was turned: what was read before counts no more</button
      >
    </p>
  {/if}
{/if}

<style>
  .asked {
    border-top: 1.5px solid var(--ink);
    border-bottom: 1px solid var(--rule);
    padding: 8px 0;
    margin: 8px 0;
  }
  .asked p {
    margin-bottom: 6px;
  }
</style>
