<script lang="ts">
  import type { TimingWork } from '$core/domains/timing/timing-work.ts';
  import type { SchoolWords } from '$core/job/run-sheet.ts';
  import { plusMinus, type LengthText } from '$core/job/words.ts';
  import { formatTiming } from '$core/units/format.ts';
  import type { ReadingLine } from '../../job/line.svelte.ts';

  interface Props {
    work: TimingWork;
    /** what would narrow the setting most, and by how much */
    advice: string;
    line: ReadingLine;
    len: LengthText;
    asksRim: boolean;
    /** the ways of seeing the firing point, in words */
    ways: SchoolWords | undefined;
  }
  /** Where a setting comes from: what makes up its doubt, what the other ways gave, what the rim does. */
  let { work, advice, line, len, asksRim, ways }: Props = $props();
  const name = (method: string) => ways?.options.find((o) => o.id === method)?.name ?? method;
  const shown = $derived((work.budget?.shares ?? []).filter((s) => s.uDeg > 0));

  function readRim() {
    line.prefer = 'rim';
    document.getElementById('reading')?.focus();
  }
</script>

{#if work.latest && shown.length}
  <table data-testid="budget">
    <caption class="only-read">What makes up the uncertainty of the setting</caption>
    <thead><tr><th>doubt comes from</th><th class="n">±</th><th class="n">share</th></tr></thead>
    <tbody>
      {#each shown as s (s.name)}
        <tr
          ><td>{s.name}</td><td class="n">{plusMinus(s.uDeg).slice(2)}°</td><td class="n"
            >{(100 * s.share).toFixed(0)} %</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
  <p class="note">{advice}</p>
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
  table {
    margin-top: 8px;
  }
  td {
    padding: 3px 10px 3px 0;
  }
  .bad {
    color: var(--out);
    font-weight: 600;
  }
</style>
