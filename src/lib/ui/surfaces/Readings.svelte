<script lang="ts">
  import { countedOf, readBy } from '$core/job/readings.ts';
  import { ofLastSetting } from '$core/job/settings.ts';
  import type { Reading } from '$core/job/replayed.ts';
  import { tallies } from '$core/job/tally.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import SettingAct from './SettingAct.svelte';
  import CountCells from './CountCells.svelte';
  import ReadingText from '../job/ReadingText.svelte';
  import type { ReadingLine } from '../job/line.svelte.ts';
  import type { JobSession } from '../job/session.svelte.ts';

  interface Props {
    session: JobSession;
    stepId: string;
    prefs: Prefs;
    line?: ReadingLine | undefined;
    onamend: (r: Reading) => void;
    /** slots that are shown in another way beside it */
    without?: readonly string[];
  }
  let { session, stepId, prefs, line, onamend, without = [] }: Props = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId));
  const slots = $derived(step?.slots.filter((s) => !without.includes(s.slot)) ?? []);
  const readings = $derived(session.readings(stepId));
  const counts = $derived(
    session.sheet.steps.filter((s) => s.id === stepId).flatMap((step) => tallies(session.state, step))
  );

  function readNext(slot: string) {
    if (!line) return;
    line.prefer = slot;
    document.getElementById('reading')?.focus();
  }
</script>

{#if slots.length}
  <table>
    <caption class="only-read">Figures of this step</caption>
    <thead><tr><th>figure</th><th class="n">read</th><th>by</th></tr></thead>
    <tbody>
      {#each slots as s (s.slot)}
        {@const mine = readings.filter((r) => r.slot === s.slot)}
        {@const count = counts.find((t) => t.slot.slot === s.slot)}
        {@const counted = s.combine === 'mean' ? countedOf(mine) : ofLastSetting(mine)}
        {@const next = line?.aim?.as === s.slot}
        {#if count}
          <tr class:next aria-label={s.label}
            ><td>{@render name(s)}</td><CountCells
              {session}
              {stepId}
              {count}
              {prefs}
              {onamend}
              sayable={line !== undefined && !session.state.closed}
            /></tr
          >
        {/if}
        {#each count && !count.each ? [] : mine as r, k (r.id)}
          <tr
            class:next={next && k === mine.length - 1}
            class:begins={k > 0 && r.setting !== undefined && r.setting.n !== mine[k - 1]!.setting?.n}
            ><td
              >{#if k === 0}{@render name(s)}{/if}</td
            ><td class="n"><ReadingText reading={r} {prefs} unsent={session.unsent.has(r.id)} {onamend} /></td><td
              class="quiet by"
              >{counted.includes(r) && !r.setting?.earlier
                ? readBy(r)
                : r.setting && (r.setting.earlier || r.setting.n !== mine[mine.length - 1]!.setting?.n)
                  ? `setting ${r.setting.n}, turned since: not counted`
                  : `${r.gauge?.name ?? 'no gauge named'}: not counted`}</td
            ></tr
          >
        {:else}
          {#if !count}<tr class:next
              ><td>{@render name(s)}</td><td class="n quiet" colspan="2">{s.required ? 'needed' : 'if it is read'}</td
              ></tr
            >{/if}
        {/each}
      {/each}
    </tbody>
  </table>
  {#if step && line}<SettingAct {session} {step} />{/if}
{/if}

{#snippet name(s: { slot: string; label: string })}
  {#if line && slots.length > 1}<button class="link" onclick={() => readNext(s.slot)}>{s.label}</button
    >{:else}{s.label}{/if}
{/snippet}

<style>
  .by {
    font-size: var(--t1);
    font-stretch: 86%;
    white-space: nowrap;
  }
  td.n {
    white-space: nowrap;
  }
  /* a new setting: ruled off from the one before */
  .begins {
    border-top: 1.5px solid var(--ink);
  }
  .next {
    box-shadow: inset 3px 0 0 var(--target);
  }
  .next td:first-child {
    padding-left: 9px;
  }
</style>
