<script lang="ts">
  import { gaugeKinds } from '$core/tray/gauge-kinds.ts';
  import { repeatedU } from '$core/calculations/gauge/hand.ts';
  import { trayInHand } from '$core/tray/hands.ts';
  import Field from '$lib/ui/primitives/Field.svelte';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  import { calendarText } from '$lib/reader/dates.ts';
  import GaugeForm from '$lib/ui/tray/GaugeForm.svelte';
  import PartForm from '$lib/ui/tray/PartForm.svelte';
  import PartsTable from '$lib/ui/tray/PartsTable.svelte';
  import SpringForm from '$lib/ui/tray/SpringForm.svelte';
  import { sizeText } from '$lib/ui/tray/size-text.ts';
  import StopForm from '$lib/ui/tray/StopForm.svelte';
  import { lengthText } from '$lib/reader/units.ts';

  let { data, form } = $props();
  const sent = $derived((form && 'sent' in form ? form.sent : {}) as Record<string, string>);
  const forms = [
    ['gauge', 'a gauge'],
    ['part', 'a packing, shim or ring'],
    ['spring', 'a spring'],
    ['stop', 'a stop']
  ] as const;
  // svelte-ignore state_referenced_locally
  let adding = $state<string>(form?.form && form.form !== 'move' ? form.form : 'gauge');
  const mine = $derived(form?.form === adding ? sent : {});
  const size = $derived(sizeText(data.prefs));
  const out = $derived(data.stock.filter((s) => s.count <= s.low && s.low > 0));
  const headline = $derived(
    data.stock.length === 0 && data.gauges.length === 0
      ? 'The tray is empty'
      : out.length > 0
        ? `Running out: ${out
            .slice(0, 3)
            .map((s) => s.name)
            .join(', ')}${out.length > 3 ? ` and ${out.length - 3} more` : ''}`
        : `${data.gauges.length} gauges, ${data.stock.length} kinds of parts: nothing is running out`
  );
</script>

<svelte:head><title>Tray · Nemrik</title></svelte:head>
<Frame>
  <div class="tray">
    <main id="main">
      <h1>{headline}</h1>
      <p class="quiet">
        A reading carries its gauge: step and accuracy make its uncertainty. A part that is taken is written on its job. <a
          href="/scales">Print a tape or a degree wheel</a
        >
        · <a href="/tray/hands">What hands and gauges make of a ±</a>
      </p>
      {#if form && 'message' in form && form.form === 'move'}<p class="problem" role="alert">{form.message}</p>{/if}
      <PartsTable stock={data.stock} len={lengthText(data.prefs)} />
      {#if data.gauges.length}
        <h2>Gauges</h2>
        <table>
          <thead
            ><tr
              ><th>gauge</th><th>kind</th><th class="n">smallest step</th><th class="n">accuracy ±</th><th class="n"
                >a hand scatters</th
              ><th class="n">one reading, ± (two u)</th><th class="n">calibrated</th></tr
            ></thead
          >
          <tbody>
            {#each data.gauges as g (g.id)}
              <tr>
                <td class="strong">{g.name}</td><td>{gaugeKinds[g.kind as keyof typeof gaugeKinds]?.label ?? g.kind}</td
                >
                <td class="n">{size(g.resolution, g.kind)}</td><td class="n">{size(g.accuracy, g.kind)}</td><td
                  class="n"
                  >{size(trayInHand(g).scatter ?? 0, g.kind)}<span class="quiet small">
                    {g.scatter === null ? ' assumed' : ` from ${(g.scatterDof ?? 0) + 1} repeats`}</span
                  ></td
                ><td class="n">{size(2 * repeatedU(0, 1, trayInHand(g)).u, g.kind)}</td>
                <td class="n">{g.calibratedOn ? calendarText(g.calibratedOn) : 'never noted'}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
    </main>
    <aside aria-label="Put something in the tray">
      <Field label="Add to the tray" options={forms} bind:value={adding} />
      {#key form}
        {#if adding === 'gauge'}<GaugeForm sent={mine} />
        {:else if adding === 'part'}<PartForm sent={mine} unit={data.prefs.length} />
        {:else if adding === 'spring'}<SpringForm sent={mine} unit={data.prefs.length} />
        {:else}<StopForm sent={mine} />{/if}
      {/key}
      {#if form && 'message' in form && form.form === adding}<p class="problem" role="alert">{form.message}</p>{/if}
      {#if form && 'added' in form && form.form === adding}<p role="status">{form.added} is in the tray.</p>{/if}
    </aside>
  </div>
</Frame>

<style>
  .tray {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 330px;
    min-height: 0;
  }
  main {
    background: var(--sheet);
    padding: 16px 24px;
    border-right: 1.5px solid var(--ink);
    overflow: auto;
  }
  main > .quiet {
    margin: 2px 0 12px;
  }
  h2 {
    margin: 16px 0 4px;
  }
  .strong {
    font-weight: 600;
  }
  aside {
    padding: 16px 18px;
    overflow: auto;
  }
  aside :global(form) {
    display: grid;
    gap: 8px;
    margin-top: 10px;
  }
  aside :global(.button) {
    margin-top: 6px;
    justify-self: start;
  }
  .problem {
    color: var(--out);
    font-weight: 600;
  }
  @media (max-width: 900px) {
    .tray {
      grid-template-columns: minmax(0, 1fr);
      align-content: start;
    }
    main {
      border-right: 0;
    }
  }
</style>
