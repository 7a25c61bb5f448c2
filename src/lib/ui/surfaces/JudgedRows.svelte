<script lang="ts">
  import { howMany, judgedRows, judgedText, limitsText, pmText, roundedOtherwise, settledU } from '$core/job/judged.ts';
  import { judgedDoubt } from '$core/job/judged-doubt.ts';
  import type { Step } from '$core/job/run-sheet.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import { lengthText } from '$lib/reader/units.ts';
  import type { JobSession } from '../job/session.svelte.ts';
  import Doubt from './Doubt.svelte';
  import Verdict from '../primitives/Verdict.svelte';

  /** Every figure of a step that has limits: what was measured, how sure, what it is judged by, and the verdict. */
  let { session, step, prefs }: { session: JobSession; step: Step; prefs: Prefs } = $props();
  const len = $derived(lengthText(prefs));
  const rows = $derived(judgedRows(session.state, step));
  const name = (label: string) => label.charAt(0).toUpperCase() + label.slice(1);
</script>

{#each rows as { slot, judged } (slot.slot)}
  {#if judged}
    {@const doubt = judgedDoubt(session.engine, session.state.readings, slot, session.reach)}
    <div class="judged">
      <p class="name">{name(slot.label)}{howMany(slot, judged.n)}</p>
      <p class="big">
        {judgedText(slot, judged, len)}
        {#if judged.verdict}<Verdict state={judged.verdict.state} size={18} />{/if}
      </p>
      <p class="note">
        {#if judged.raw !== undefined}Read {judgedText(
            slot,
            { ...judged, value: judged.raw, u: settledU(judged) },
            len
          )} on the mark; its error is taken off.{/if}
        {judged.unproved
          ? 'As the mark reads: no job has proved it, and nothing is judged by it.'
          : judged.verdict
            ? `Limits: ${limitsText(slot, judged, len)}.`
            : 'Not judged: the data sheet has no limits for it. Enter them with their source.'}
        {#if roundedOtherwise(slot, judged) !== null}As it is written here it would be judged otherwise: the verdict is
          that of the whole figure, {judged.value}.{/if}
        {#if judged.scatterUnknown}How this hand scatters with its gauge is not known: it is never called in.{/if}
      </p>
      {#if doubt}
        <Doubt {...doubt} pm={(u) => pmText(slot, u, len)} open={judged.verdict?.state === 'unsure'} />
      {/if}
    </div>
  {/if}
{/each}

<style>
  .judged {
    padding: 4px 0 8px;
    border-bottom: 1px solid var(--hair);
  }
  .name {
    color: var(--ink-2);
  }
  .big {
    font-stretch: 76%;
    font-weight: 640;
    font-size: var(--t7);
    line-height: 1.15;
  }
</style>
