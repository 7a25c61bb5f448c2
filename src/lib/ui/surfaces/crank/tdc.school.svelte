<script lang="ts">
  import { methodOutlook, tdcMethods } from '$core/calculations/tdc/method-reach.ts';
  import { words } from '$core/job/index.ts';
  import { lastMarkOf, numberOf, sliderOf } from '$core/engine/engine.ts';
  import type { ReadingLine } from '../../job/line.svelte.ts';
  import type { JobSession } from '../../job/session.svelte.ts';

  let { session, line }: { session: JobSession; line: ReadingLine } = $props();

  const school = $derived(session.sheet.words.schools['tdc']!);
  const chosen = $derived(session.state.schools.tdc);
  const within = $derived(numberOf(session.engine, 'tdcWithinDeg') ?? null);
  const gauge = (kind: string) =>
    session.gaugesOf(kind).find((g) => g.id === line.chosenGauge[kind]) ?? session.gaugesOf(kind)[0] ?? null;
  const rows = $derived.by(() => {
    const input = {
      slider: sliderOf(session.engine),
      wheel: gauge('wheel'),
      dial: gauge('dial'),
      markU: lastMarkOf(session.engine)?.uDeg ?? null
    };
    return tdcMethods.map((id) => {
      const option = school.options.find((o) => o.id === id)!;
      const outlook = methodOutlook(id, input);
      const enough = outlook.uDeg === null || within === null ? null : 2 * outlook.uDeg <= within;
      return { option, outlook, enough };
    });
  });
  // they stand cheapest first: the first that is good enough is the one to take; a trusted mark proves nothing anew
  const cheapest = $derived(rows.find((r) => r.enough && r.option.id !== 'mark')?.option.id ?? null);
  const now = $derived(rows.find((r) => r.option.id === chosen.option)!);
</script>

<details class="methods">
  <summary>
    {school.title}: <b>{now.option.name}</b>{#if now.outlook.uDeg !== null}, would reach {words.plusMinus(
        now.outlook.uDeg
      )}°{/if}
    <span class="quiet">({chosen.chosen ? 'chosen on this job' : `proposed: ${chosen.because}`})</span>
  </summary>
  <div class="options">
    {#each rows as r (r.option.id)}
      <button
        aria-pressed={r.option.id === chosen.option}
        onclick={() => session.say({ kind: 'choose', school: 'tdc', option: r.option.id })}
      >
        <span class="what"><b>{r.option.name}</b><span>{r.option.gives} {r.option.costs}</span></span>
        <span class="reach">
          {#if r.outlook.uDeg === null}{r.outlook.why}{:else}<b>{words.plusMinus(r.outlook.uDeg)}°</b>{/if}
          {#if r.enough !== null}<span class={r.enough ? 'good' : 'poor'}
              >{r.enough ? '✓ enough' : '✕ too coarse'} for ± {within}°</span
            >{/if}
          {#if r.option.id === cheapest}<span class="good">cheapest that is enough</span>{/if}
        </span>
      </button>
    {/each}
  </div>
</details>

<style>
  .methods {
    font-size: var(--t2);
    margin-bottom: 8px;
  }
  summary {
    cursor: pointer;
    min-height: 28px;
    color: var(--ink-2);
  }
  summary b {
    color: var(--ink);
  }
  .options {
    border-top: 1.5px solid var(--ink);
    margin-top: 4px;
  }
  button {
    display: grid;
    grid-template-columns: 1fr 170px;
    gap: 12px;
    width: 100%;
    padding: 7px 10px;
    min-height: 44px;
    border: 0;
    border-bottom: 1px solid var(--hair);
    background: none;
    text-align: left;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    box-shadow: inset 4px 0 0 var(--ink);
  }
  .what,
  .reach {
    display: grid;
    align-content: start;
  }
  .good {
    color: var(--in);
    font-weight: 600;
  }
  .poor {
    color: var(--out);
    font-weight: 600;
  }
  @media (max-width: 620px) {
    button {
      grid-template-columns: 1fr;
      gap: 2px;
    }
  }
</style>
