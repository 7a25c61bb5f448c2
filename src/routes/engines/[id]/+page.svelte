<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import EnterValues from '$lib/ui/engine/EnterValues.svelte';
  import { givenText } from '$lib/reader/given.ts';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  import FigureTrends from '$lib/ui/engine/FigureTrends.svelte';
  import MarkTrend from '$lib/ui/engine/MarkTrend.svelte';
  import { numberOf } from '$core/engine/engine.ts';
  import { dateText } from '$lib/reader/dates.ts';

  let { data } = $props();
  let entering = $state<string | null>(null);
  const filled = $derived(data.fields.filter((f) => data.engine.values[f.name]));
  const empty = $derived(data.fields.filter((f) => !data.engine.values[f.name]));
  const conflicts = $derived(data.conflicts);
  const open = $derived(data.jobs.filter((j) => j.waits !== 'signed').length);
  const headline = $derived(
    conflicts[0]?.message ??
      (data.jobs.length === 0
        ? `${data.engine.name}: no job yet`
        : `${data.engine.name}: ${open === 0 ? 'no job open' : open === 1 ? 'one job open' : `${open} jobs open`}`)
  );
  const damper = $derived(numberOf(data.engine, 'damperDiameterMm') ?? null);
  async function entered() {
    entering = null;
    await invalidateAll();
  }
</script>

<svelte:head><title>{data.engine.name} · Nemrik</title></svelte:head>
<Frame>
  {#snippet subject()}<b>{data.engine.name}</b> · {data.engine.summary}{/snippet}
  <div class="engine">
    <main id="main">
      <h1>{headline}</h1>
      <p class="quiet">
        Data sheet, each value with its source. A correction is entered anew; the old value stays in the log.
      </p>
      <table>
        <thead
          ><tr><th>value</th><th class="n">given</th><th>source</th><th><span class="only-read">change</span></th></tr
          ></thead
        >
        <tbody>
          {#each filled as f, k (f.name)}
            {#if f.group !== filled[k - 1]?.group}<tr class="group"><th colspan="4" scope="colgroup">{f.group}</th></tr
              >{/if}
            <tr>
              <td>{f.label}</td><td class="n strong">{givenText(f, data.engine.values[f.name]!)}</td><td class="quiet"
                >{data.engine.values[f.name]!.source}</td
              >
              <td class="n"
                ><button
                  class="link"
                  aria-label="Correct {f.label}"
                  onclick={() => (entering = entering === f.name ? null : f.name)}>correct</button
                ></td
              >
            </tr>
            {#if entering === f.name}<tr
                ><td colspan="4"
                  ><EnterValues engineId={data.engine.id} fields={[f]} prefs={data.prefs} onentered={entered} /></td
                ></tr
              >{/if}
          {/each}
        </tbody>
      </table>
      {#if empty.length}
        <details>
          <summary>{empty.length} values are not on the sheet</summary>
          <EnterValues engineId={data.engine.id} fields={empty} prefs={data.prefs} onentered={entered} />
        </details>
      {/if}
    </main>
    <aside aria-label="History">
      <p><a class="button first" href="/jobs/new?engine={data.engine.id}">New job on this engine</a></p>
      {#if data.marks.length}<MarkTrend marks={data.marks} clock={data.prefs} />{/if}
      <FigureTrends trends={data.trends} clock={data.prefs} />
      <h2>{data.jobs.length ? 'Jobs' : 'No jobs yet'}</h2>
      <ol>
        {#each data.jobs as j (j.id)}
          <li>
            <a href="/jobs/{j.id}">{j.title}</a><span class="quiet"
              >{dateText(j.openedAt, data.prefs)}, {j.waits === 'signed'
                ? 'done'
                : `${j.done ?? 0} of ${j.total ?? 0} steps`} ·
              <a href="/jobs/{j.id}/card">card</a></span
            >
          </li>
        {/each}
      </ol>
      {#if damper !== null}<p class="scale">
          <a class="button" href="/scales?kind=tape&diameter={damper}&from=-10&to=40&step=2"
            >Tape or wheel for this rim</a
          >
        </p>{/if}
    </aside>
  </div>
</Frame>

<style>
  td.quiet {
    min-width: 7.5em;
  }
  .group th {
    padding-top: 14px;
    font-weight: 640;
    color: var(--ink);
  }
  .engine {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 370px;
    min-height: 0;
  }
  main {
    background: var(--sheet);
    padding: 16px 24px 30px;
    border-right: 1.5px solid var(--ink);
    overflow: auto;
  }
  main > .quiet {
    margin: 2px 0 12px;
  }
  .strong {
    font-weight: 600;
  }
  details {
    margin-top: 16px;
  }
  summary {
    cursor: pointer;
    min-height: 34px;
  }
  aside {
    padding: 16px 18px;
    overflow: auto;
  }
  aside h2 {
    margin: 20px 0 4px;
  }
  li {
    padding: 7px 0;
    border-bottom: 1px solid var(--rule);
  }
  li a {
    display: inline-block;
    min-height: 26px;
  }
  li > .quiet {
    display: block;
    font-size: var(--t2);
  }
  .scale {
    margin-top: 16px;
  }
  @media (max-width: 900px) {
    .engine {
      grid-template-columns: minmax(0, 1fr);
      align-content: start;
    }
    main {
      border-right: 0;
    }
  }
</style>
