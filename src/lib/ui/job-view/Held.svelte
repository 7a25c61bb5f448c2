<script lang="ts">
  import { words, type StepView } from '$core/job/index.ts';
  import { onlyMeasured, saidWithSight } from '$core/job/run-sheet.ts';
  import Caution from '../job/Caution.svelte';
  import type { ReadingLine } from '../job/line.svelte.ts';
  import type { JobSession } from '../job/session.svelte.ts';
  import type { JobView } from '../job/view.svelte.ts';

  /** What a step is held by and how each is put right: at length at the step in hand, one line where one looks ahead. */
  interface Props {
    session: JobSession;
    view: JobView;
    v: StepView;
    onask: (asking: Parameters<ReadingLine['open']>[0]) => void;
  }
  let { session, view, v, onask }: Props = $props();
  const flags = $derived(session.sheet.words.flags);
  const wants = $derived([...v.missing.map((f) => flags[f]!.on), ...v.stillOn.map((f) => flags[f]!.off)]);
  const soft = $derived([...v.missing, ...v.stillOn].filter((f) => !flags[f]!.hard));
  const all = $derived(soft.map((f) => (v.stillOn.includes(f) ? `with ${flags[f]!.on}` : `without ${flags[f]!.on}`)));
  const inHand = $derived(session.state.steps[session.state.current ?? -1]?.step.id === v.step.id);
  const giver = (f: string) => session.sheet.steps.find((s) => s.sets.includes(f));
  /** a hard state is said with what was seen; one that is counted or measured comes from its step */
  const bySaying = (f: string) => !(onlyMeasured(flags[f]!) && !flags[f]!.danger && giver(f));
  function itIsSo(f: string, on: boolean) {
    if (saidWithSight(flags[f]!)) onask({ for: 'seen', flag: f, on });
    else session.say({ kind: 'say', flag: f, on });
  }
</script>

{#snippet ways()}
  <ul class="held">
    {#each v.missing as f (f)}
      <li>
        <b>{flags[f]!.on}</b>
        {#if giver(f)}<button class="link" onclick={() => (view.picked = giver(f)!.id)}>to “{giver(f)!.title}”</button
          >{/if}
        {#if bySaying(f)}<button class="link" onclick={() => itIsSo(f, true)}
            >{saidWithSight(flags[f]!) ? 'seen' : 'it is so'}: {flags[f]!.on}</button
          >{:else}<span class="quiet">counted or measured there, not said here</span>{/if}
      </li>
    {/each}
    {#each v.stillOn as f (f)}<li>
        <b>{flags[f]!.off}</b>
        <button class="link" onclick={() => itIsSo(f, false)}
          >{saidWithSight(flags[f]!) ? 'seen' : 'it is so'}: {flags[f]!.off}</button
        >
      </li>{/each}
  </ul>
  {#if soft.length}<button class="link" onclick={() => onask({ for: 'override', step: v.step, flags: soft })}
      >Go on {words.list(all)}, and say why</button
    >{/if}
{/snippet}

<Caution>
  {#if inHand}
    <b>Held.</b> Put it right first:
    {@render ways()}
  {:else}
    <details>
      <summary><b>Held.</b> Put it right first: {words.list(wants)}.</summary>
      {@render ways()}
    </details>
  {/if}
</Caution>

<style>
  summary {
    cursor: pointer;
  }
  .held li {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 14px;
    padding: 2px 0;
  }
</style>
