<script lang="ts">
  import { dayText } from '$lib/reader/dates.ts';
  import Graduation from '../primitives/Graduation.svelte';
  import type { FloorJob } from './floor.ts';

  let { job: j, id, on, onfocus }: { job: FloorJob; id: string; on: boolean; onfocus: () => void } = $props();
</script>

<a class="row" class:on {id} href="/jobs/{j.id}" {onfocus}>
  <div>
    <b>{j.engine}</b>
    <span class="quiet small">{j.summary ? `${j.summary} · ` : ''}{j.sheet}</span>
    {#if j.total}<Graduation done={j.done} total={j.total} />{/if}
  </div>
  <div>
    {#if j.behind}<span class="next quiet">being worked out …</span>{:else}
      <span class="next">{j.next}</span>
      <span class="waits {j.waits}">{j.waitsText}</span>{/if}
  </div>
  <div class="day">
    {j.promisedOn ? dayText(j.promisedOn) : ''}<br />{j.total ? `${j.done} of ${j.total} steps` : ''}
  </div>
</a>

<style>
  .row {
    display: grid;
    grid-template-columns: 232px 1fr 104px;
    gap: 0 18px;
    margin: 0 -24px;
    padding: 11px 24px 12px;
    text-decoration: none;
    border-top: 1px solid var(--rule);
  }
  .row:last-of-type {
    border-bottom: 1px solid var(--rule);
  }
  .row.on {
    box-shadow: inset 4px 0 0 var(--target);
  }
  .row:focus-visible {
    outline-offset: -3px;
  }
  .row b {
    display: block;
    font-size: var(--t4);
    font-weight: 660;
    line-height: 1.2;
  }
  .row :global(svg) {
    margin-top: 6px;
  }
  .next {
    display: block;
    font-size: var(--t4);
    line-height: 1.25;
  }
  .waits {
    font-size: var(--t2);
    color: var(--unsure);
  }
  .waits.ready,
  .waits.signed {
    color: var(--in);
  }
  .day {
    text-align: right;
    font-size: var(--t2);
    color: var(--ink-2);
  }
  @media (max-width: 620px) {
    .row {
      grid-template-columns: 1fr auto;
      gap: 4px 12px;
    }
    .row > div:nth-child(2) {
      grid-column: 1 / -1;
      grid-row: 2;
    }
  }
</style>
