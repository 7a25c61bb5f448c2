<script lang="ts">
  import type { LengthText } from '$core/job/words.ts';
  import { lengthPm } from '$core/job/words.ts';
  import { formatSpeed } from '$core/units/format.ts';
  import type { VerdictState } from '$core/calculations/verdict/verdict.ts';
  import { formatTiming } from '$core/units/format.ts';
  import Verdict from '../primitives/Verdict.svelte';
  import { dateText } from '../dates.ts';

  interface Row {
    key: string;
    jobId: string;
    at: string;
    value: number;
    u: number | null;
    verdict: string | null;
    output: unknown;
  }
  /** Figures of the drive and the curve from job to job, oldest first: what opens up, what grows lazy. */
  let { rows, len }: { rows: Row[]; len: LengthText } = $props();
  const kinds = [
    { key: 'float', title: 'End float' },
    { key: 'engagement', title: 'Oil-pump drive engaged' },
    { key: 'curve', title: 'Advance curve' },
    { key: 'model', title: 'Predictions against what was measured' }
  ];
  type Curve = { startRpm: number; fullRpm: number; worst: { rpm: number; byDeg: number } | null } | null;
  function said(r: Row): string {
    if (r.key === 'model') return `missed by ${r.value.toFixed(1)}° rms`;
    if (r.key !== 'curve') return r.u === null ? len(r.value, 3) : lengthPm(len, r.value, r.u);
    const c = r.output as Curve;
    const worst = c?.worst
      ? `, ${c.worst.byDeg < 0 ? 'lazy' : 'fast'} by ${Math.abs(c.worst.byDeg).toFixed(1)}° at ${formatSpeed(c.worst.rpm)}`
      : '';
    return `all in at ${c ? formatSpeed(c.fullRpm) : '…'} rpm, total ${formatTiming(r.value)}${worst}`;
  }
</script>

{#each kinds as k (k.key)}
  {@const mine = rows.filter((r) => r.key === k.key)}
  {#if mine.length}
    <h2>{k.title}</h2>
    <ol>
      {#each mine as r (r.jobId)}
        <li>
          <a href="/jobs/{r.jobId}">{dateText(r.at)}</a>
          <span>{said(r)}</span>
          {#if r.verdict}<Verdict state={r.verdict as VerdictState} size={13} />{/if}
        </li>
      {/each}
    </ol>
  {/if}
{/each}

<style>
  h2 {
    margin-top: 12px;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0 10px;
    padding: 4px 0;
    border-bottom: 1px solid var(--hair);
    font-size: 14px;
  }
  a {
    min-height: 24px;
  }
</style>
