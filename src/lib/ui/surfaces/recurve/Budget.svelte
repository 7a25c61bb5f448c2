<script lang="ts">
  import { budgetText, type BudgetWork, type Share } from '$core/domains/recurve/budget-work.ts';
  import { plusMinus } from '$core/job/texts.ts';
  import Verdict from '../../primitives/Verdict.svelte';

  /** Initial, mechanical and vacuum advance as a sum against its limits. */
  let { budget }: { budget: BudgetWork } = $props();
  const says = $derived(budgetText(budget));
  const deg = (s: Share) => `${s.deg.toFixed(1)}°${s.u === null ? '' : ` ${plusMinus(s.u, 1)}°`}`;
</script>

<table data-testid="budget">
  <caption>Budget of the total, degrees of the crank</caption>
  <tbody>
    {#if budget.initial}<tr
        ><td>Initial</td><td class="n">{deg(budget.initial)}</td><td class="quiet">{budget.initial.from}</td></tr
      >{/if}
    {#if budget.mechanical}<tr
        ><td>Mechanical</td><td class="n">{deg(budget.mechanical)}</td><td class="quiet">{budget.mechanical.from}</td
        ></tr
      >{/if}
    {#if budget.total}<tr class="sum"
        ><td>Total</td><td class="n"
          >{budget.total.btdc.toFixed(1)}°{budget.total.u === null ? '' : ` ${plusMinus(budget.total.u, 1)}°`}</td
        ><td
          >{budget.totalMax === null ? 'no limit on the data sheet' : `${budget.totalMax}° at most`}
          {#if budget.total.verdict}<Verdict state={budget.total.verdict.state} size={13} />{/if}</td
        ></tr
      >{/if}
    {#if budget.vacuum}<tr
        ><td>Vacuum</td><td class="n">{deg(budget.vacuum)}</td><td class="quiet">{budget.vacuum.from}</td></tr
      >{/if}
    {#if budget.partLoad !== null}<tr class="sum"
        ><td>At part load</td><td class="n">{budget.partLoad.toFixed(1)}°</td><td
          >{budget.partLoadMax === null ? 'no limit on the data sheet' : `${budget.partLoadMax}° at most`}</td
        ></tr
      >{/if}
  </tbody>
</table>
{#if says}<p class="note">{says}.</p>{/if}

<style>
  caption {
    text-align: left;
    color: var(--ink-2);
    padding: 10px 0 4px;
  }
  .n {
    white-space: nowrap;
  }
  .sum td {
    font-weight: 640;
    border-top: 1.5px solid var(--ink);
  }
</style>
