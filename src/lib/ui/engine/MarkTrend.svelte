<script lang="ts">
  import { markCheck } from '$core/calculations/mark/mark-check.ts';
  import XyChart, { type Series } from '../charts/XyChart.svelte';
  import { dateText, type Clock } from '$lib/reader/dates.ts';

  interface Mark {
    jobId: string;
    at: string;
    value: number;
    u: number | null;
  }
  let { marks, clock }: { marks: Mark[]; clock: Clock } = $props();

  const year = (iso: string) => {
    const d = new Date(iso);
    return d.getUTCFullYear() + (d.getTime() - Date.UTC(d.getUTCFullYear(), 0)) / 31_557_600_000;
  };
  const rows = $derived(
    marks.map((m, k) => {
      const before = marks[k - 1];
      const check = markCheck({
        markBtdc: m.value,
        uDeg: m.u ?? 0,
        previous: before ? { errorDeg: before.value, uDeg: before.u ?? 0 } : undefined
      });
      return { ...m, ...check, first: k === 0 };
    })
  );
  const series = $derived<Series[]>([
    { label: 'mark reads', kind: 'measured', points: marks.map((m) => ({ x: year(m.at), y: m.value })) },
    ...marks.map((m): Series => ({
      label: 'two standard uncertainties',
      kind: 'range',
      points: [
        { x: year(m.at), y: m.value - 2 * (m.u ?? 0) },
        { x: year(m.at), y: m.value + 2 * (m.u ?? 0) }
      ]
    }))
  ]);
  const years = $derived.by(() => {
    const all = marks.map((m) => year(m.at));
    const from = Math.floor(Math.min(...all));
    return Array.from({ length: Math.ceil(Math.max(...all)) - from + 1 }, (_, k) => from + k);
  });
  const finding = $derived.by(() => {
    const moved = rows.filter((r) => r.moved);
    const last = rows[rows.length - 1]!;
    const total = last.value - rows[0]!.value;
    if (moved.length === 0)
      return rows.length > 1
        ? 'The mark has not moved, as far as the gauges could show'
        : 'One job has judged the mark';
    return `The ring creeps: ${Math.abs(total).toFixed(1)}° ${total > 0 ? 'earlier' : 'later'} since ${dateText(rows[0]!.at, clock)}`;
  });
</script>

<h2>{finding}</h2>
{#if marks.length > 1}
  <XyChart
    {series}
    xTitle="year"
    yTitle="mark reads early, °"
    xTicks={years}
    xText={(x) => String(Math.round(x))}
    height={190}
    label="{finding}; the table has the figures"
  />
{/if}
<table>
  <caption class="only-read">What the mark reads at true TDC, job by job</caption>
  <thead><tr><th>job of</th><th class="n">mark reads</th><th class="n">since the last</th></tr></thead>
  <tbody>
    {#each rows as r (r.jobId)}
      <tr>
        <td><a href="/jobs/{r.jobId}">{dateText(r.at, clock)}</a></td>
        <td class="n"
          ><b>{Math.abs(r.value).toFixed(2)}° {r.value > 0 ? 'early' : r.value < 0 ? 'late' : ''}</b> ± {(
            2 * (r.u ?? 0)
          ).toFixed(2)}°</td
        >
        <td class="n"
          >{#if r.first}<span class="quiet">first</span>{:else}<span class:moved={r.moved}
              >{r.movedByDeg > 0 ? '+' : '\u2212'}{Math.abs(r.movedByDeg).toFixed(2)}°{r.moved ? ', moved' : ''}</span
            >{/if}</td
        >
      </tr>
    {/each}
  </tbody>
</table>

<style>
  h2 {
    margin: 18px 0 6px;
  }
  td {
    font-size: var(--t2);
    white-space: nowrap;
    padding-right: 6px;
  }
  b {
    font-weight: 600;
  }
  .moved {
    color: var(--out);
    font-weight: 600;
  }
  td a {
    display: inline-block;
    min-height: 24px;
  }
</style>
