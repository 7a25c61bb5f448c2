<script lang="ts">
  import { enhance } from '$app/forms';
  import { gaugeKinds } from '$core/sheets/gauge-kinds.ts';
  import { baseUnit, fromBase, unitSign, unitsOf, type Unit } from '$core/units/units.ts';
  import { gaugeU } from '$core/measure/gauge.ts';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  import { dateText } from '$lib/ui/dates.ts';

  let { data, form } = $props();
  const sent = $derived((form && 'sent' in form ? form.sent : {}) as Record<string, string>);
  let kind = $state<keyof typeof gaugeKinds>('wheel');
  const quantity = $derived(gaugeKinds[kind].quantity);
  const kinds = Object.entries(gaugeKinds) as [keyof typeof gaugeKinds, (typeof gaugeKinds)['wheel']][];
  const unitOf = (k: string): Unit => {
    const q = gaugeKinds[k as keyof typeof gaugeKinds]?.quantity ?? 'angle';
    return q === 'length' ? data.prefs.length : baseUnit(q);
  };
  const size = (x: number, k: string) =>
    `${Number((fromBase(x, unitOf(k)) - fromBase(0, unitOf(k))).toPrecision(3))}${unitSign[unitOf(k)]}`;
</script>

<svelte:head><title>Tray · Nemrik</title></svelte:head>
<Frame>
  <div class="tray">
    <main id="main">
      <h1>
        {data.gauges.length === 0
          ? 'The tray is empty'
          : data.gauges.length === 1
            ? 'One gauge in the tray'
            : `${data.gauges.length} gauges in the tray`}
      </h1>
      <p class="quiet">
        A reading carries its gauge: step and accuracy make its uncertainty. <a href="/scales"
          >Print a tape or a degree wheel</a
        >
      </p>
      {#if data.gauges.length}
        <table>
          <thead
            ><tr
              ><th>gauge</th><th>kind</th><th class="n">smallest step</th><th class="n">accuracy ±</th><th class="n"
                >one reading, ± (two u)</th
              ><th class="n">calibrated</th></tr
            ></thead
          >
          <tbody>
            {#each data.gauges as g (g.id)}
              <tr>
                <td class="strong">{g.name}</td><td>{gaugeKinds[g.kind as keyof typeof gaugeKinds]?.label ?? g.kind}</td
                >
                <td class="n">{size(g.resolution, g.kind)}</td><td class="n">{size(g.accuracy, g.kind)}</td><td
                  class="n">{size(2 * gaugeU(g), g.kind)}</td
                >
                <td class="n">{g.calibratedOn ? dateText(g.calibratedOn) : 'never noted'}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
    </main>
    <aside aria-label="Add a gauge">
      <h2>Add a gauge</h2>
      <form method="post" use:enhance>
        <label for="g-name">Name</label><input
          id="g-name"
          name="name"
          class="field"
          required
          maxlength="80"
          value={sent.name ?? ''}
        />
        <label for="g-kind">Kind</label>
        <select id="g-kind" name="kind" class="field" bind:value={kind}
          >{#each kinds as [id, k] (id)}<option value={id}>{k.label}</option>{/each}</select
        >
        <label for="g-step">Smallest step it shows</label><input
          id="g-step"
          name="resolution"
          class="field"
          value={sent.resolution ?? ''}
          placeholder="0.5"
        />
        <label for="g-acc">Accuracy ±, as stated</label><input
          id="g-acc"
          name="accuracy"
          class="field"
          required
          value={sent.accuracy ?? ''}
          placeholder="0.25"
        />
        {#if kind === 'dial'}<label for="g-rev">One turn of the pointer</label><input
            id="g-rev"
            name="perRev"
            class="field"
            value={sent.perRev ?? ''}
            placeholder="1"
          />{/if}
        {#if unitsOf[quantity].length > 1}
          <label for="g-unit">Unit of these figures</label>
          <select id="g-unit" name="unit" class="field"
            >{#each unitsOf[quantity] as u (u)}<option value={u}>{u}</option>{/each}</select
          >
        {:else}<input type="hidden" name="unit" value={unitsOf[quantity][0]} />{/if}
        <label for="g-cal">Calibrated on</label><input id="g-cal" name="calibrated" type="date" class="field" />
        {#if form && 'message' in form}<p class="problem" role="alert">{form.message}</p>{/if}
        {#if form && 'added' in form}<p role="status">{form.added} is in the tray.</p>{/if}
        <button class="button first">Put it in the tray</button>
      </form>
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
  .strong {
    font-weight: 600;
  }
  aside {
    padding: 16px 18px;
    overflow: auto;
  }
  form {
    display: grid;
    gap: 4px;
    margin-top: 8px;
  }
  label {
    margin-top: 6px;
    font-size: 14px;
  }
  .button {
    margin-top: 14px;
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
