<script lang="ts">
  import { methodOutlook } from '$core/calculations/tdc/method-reach.ts';
  import { tdcMethods } from '$core/calculations/tdc/tdc-methods.ts';
  import { words } from '$core/job/index.ts';
  import { agedMark } from '$core/domains/crank/earlier-mark.ts';
  import { numberOf, sliderOf } from '$core/engine/engine.ts';
  import { trayInHand } from '$core/tray/hands.ts';
  import SchoolList from '../../job/SchoolList.svelte';
  import type { ReadingLine } from '../../job/line.svelte.ts';
  import type { JobSession } from '../../job/session.svelte.ts';

  let { session, line }: { session: JobSession; line: ReadingLine } = $props();

  const school = $derived(session.sheet.words.schools['tdc']!);
  const chosen = $derived(session.state.schools.tdc);
  const within = $derived(numberOf(session.engine, 'tdcWithinDeg') ?? null);
  const gauge = (kind: string) => {
    const all = session.gaugesOf(kind);
    const g = all.find((x) => x.id === line.chosenGauge[kind]) ?? all[0];
    return g ? trayInHand(g) : null;
  };
  const rows = $derived.by(() => {
    const input = {
      slider: sliderOf(session.engine),
      wheel: gauge('wheel'),
      dial: gauge('dial'),
      markU: agedMark(session.engine, session.state.replayed.began)?.uDeg ?? null
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
  const reach = $derived(rows.find((r) => r.option.id === chosen.option)!.outlook.uDeg);
</script>

<SchoolList
  {session}
  id="tdc"
  order={tdcMethods}
  note={reach === null ? '' : `, would reach ${words.plusMinus(reach)}°`}
>
  {#snippet row(o)}
    {@const r = rows.find((x) => x.option.id === o.id)!}
    <span class="row">
      <span class="what"><b>{o.name}</b><span>{o.gives} {o.costs}</span></span>
      <span class="reach">
        {#if r.outlook.uDeg === null}{r.outlook.why}{:else}<b>{words.plusMinus(r.outlook.uDeg)}°</b>{/if}
        {#if r.enough !== null}<span class={r.enough ? 'good' : 'poor'}
            >{r.enough ? '✓ enough' : '✕ too coarse'} for ± {within}°</span
          >{/if}
        {#if o.id === cheapest}<span class="good">cheapest that is enough</span>{/if}
      </span>
    </span>
  {/snippet}
</SchoolList>

<style>
  .row {
    display: grid;
    grid-template-columns: 1fr 170px;
    gap: 12px;
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
    .row {
      grid-template-columns: 1fr;
      gap: 2px;
    }
  }
</style>
