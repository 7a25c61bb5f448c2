<script lang="ts">
  import type { VerdictState } from '$core/calculations/verdict/verdict.ts';
  import Verdict from '../primitives/Verdict.svelte';
  /** A finding in figures a hand high: value, uncertainty, verdict, and a sentence on why and what to do. */
  let {
    value,
    pm,
    verdict = null,
    help
  }: { value: string; pm: string; verdict?: VerdictState | null; help: string } = $props();
</script>

<div class="result" role="group" aria-label="Result" data-testid="result">
  <span class="big">{value}</span><span class="pm">{pm}</span>
  {#if verdict}<Verdict state={verdict} />{/if}
</div>
<p class="help" role="note" aria-label="What it rests on">{help}</p>

<style>
  .result {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 14px;
    margin-top: 12px;
    border-top: 1.5px solid var(--ink);
    padding-top: 8px;
  }
  .big {
    font-stretch: 76%;
    font-weight: 640;
    font-size: var(--t9);
    line-height: 1;
    letter-spacing: -0.01em;
  }
  .pm {
    font-size: var(--t5);
    font-weight: 500;
    font-stretch: 78%;
    color: var(--ink-2);
  }
  .help {
    font-size: var(--t2);
    color: var(--ink-2);
    margin: 4px 0 10px;
    max-width: 60ch;
  }
</style>
