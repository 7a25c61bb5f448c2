<script lang="ts">
  import type { TimingWork } from '$core/domains/timing/timing-work.ts';
  import type { SchoolWords } from '$core/job/run-sheet.ts';
  import type { Doubt as DoubtOf } from '$core/job/narrow.ts';
  import { plusMinus, type LengthText } from '$core/job/words.ts';
  import { formatTiming } from '$core/units/format.ts';
  import Doubt from '../Doubt.svelte';
  import type { ReadingLine } from '../../job/line.svelte.ts';

  interface Props {
    work: TimingWork;
    doubt: DoubtOf;
    line: ReadingLine;
    len: LengthText;
    asksRim: boolean;
    /** the ways of seeing the firing point, in words */
    ways: SchoolWords | undefined;
  }
  /** Where a setting comes from: what makes up its doubt, what the other ways gave, what the rim does. */
  let { work, doubt, line, len, asksRim, ways }: Props = $props();
  const name = (method: string) => ways?.options.find((o) => o.id === method)?.name ?? method;

  function readRim() {
    line.prefer = 'rim';
    document.getElementById('reading')?.focus();
  }
</script>

{#if work.latest}
  <Doubt {...doubt} pm={(u) => `${plusMinus(u)}°`} open={work.latest.verdict?.state !== 'in'} />
{/if}
{#each work.others as o (o.method)}
  <p class="note" class:bad={!o.agrees} data-testid="other-way">
    By {name(o.method)}: {formatTiming(o.btdc, 2)}, {Math.abs(o.apartDeg).toFixed(1)}° apart,
    {o.agrees ? 'they agree within their doubt.' : 'more than their doubt allows: one of the two shows another edge.'}
  </p>
{/each}
{#if asksRim && work.latest}
  <p class="note">
    {#if work.gain}
      At this rim 1 mm moves the timing {Math.abs(work.gain.degPerMm).toFixed(2)}°: set it to {len(work.gain.rimMm, 2)} on
      its scale.
    {:else if work.latest.rimMm !== null}
      Rim at {len(work.latest.rimMm, 2)}: after one more setting the rim’s own gain is known.
    {:else}
      <button class="link" onclick={readRim}>Read the rim’s scale at this setting</button>: two settings teach what a
      millimetre does.
    {/if}
  </p>
{/if}

<style>
  .bad {
    color: var(--out);
    font-weight: 600;
  }
</style>
