<script lang="ts">
  import Frame from '$lib/ui/primitives/Frame.svelte';
  import Pages from '$lib/ui/primitives/Pages.svelte';
  import Verdict from '$lib/ui/primitives/Verdict.svelte';
  import { dateText } from '$lib/reader/dates.ts';
  import { formatSpeed } from '$core/units/format.ts';

  let { data } = $props();
  type Fit = { startRpm: number; fullRpm: number; worst: { rpm: number; byDeg: number } | null } | null;
  const headline = $derived(
    data.total === 0
      ? 'No engine has a curve yet'
      : data.out
        ? `Out of its limits: ${data.names.join(', ')}${data.out > data.names.length ? ` and ${data.out - data.names.length} more` : ''}`
        : 'Every measured curve is in its limits or too close to call'
  );
</script>

<svelte:head><title>Curves · Nemrik</title></svelte:head>
<Frame>
  <main id="main">
    <h1>{headline}</h1>
    {#if data.total === 0}
      <p>
        Enter the limits of its timing on an <a href="/engines">engine’s data sheet</a>, then open a job “Verify timing
        and curve with the strobe” or “Recurve the advance” from the <a href="/jobs/new">floor</a>.
      </p>
    {:else}
      <table>
        <thead
          ><tr
            ><th>engine</th><th class="n">advance begins</th><th class="n">all in</th><th class="n">total</th><th
              >verdict</th
            ><th>last measured</th></tr
          ></thead
        >
        <tbody>
          {#each data.engines as e (e.id)}
            {@const fit = e.output as Fit}
            <tr>
              <td class="wide"
                ><a href="/curves/{e.id}"><b>{e.name}</b></a>
                <div class="quiet small">{e.summary}</div></td
              >
              <td class="n" data-as="begins">{fit ? `${formatSpeed(fit.startRpm)} rpm` : ''}</td>
              <td class="n" data-as="all in">{fit ? `${formatSpeed(fit.fullRpm)} rpm` : ''}</td>
              <td class="n" data-as="total">{e.value === null ? 'not measured' : `${e.value.toFixed(1)}°`}</td>
              <td class="wide"
                >{#if e.verdict}<Verdict state={e.verdict as 'in'} size={14} />{/if}
                {#if fit?.worst}<div class="small">
                    {fit.worst.byDeg < 0 ? 'lazy' : 'fast'} by {Math.abs(fit.worst.byDeg).toFixed(1)}° at {formatSpeed(
                      fit.worst.rpm
                    )}
                  </div>{/if}</td
              >
              <td class="wide" data-as="measured">{e.at ? dateText(e.at.toString(), data.prefs) : 'never'}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      <Pages of="the curves" page={data.page} pages={data.pages} />
    {/if}
  </main>
</Frame>

<style>
  main {
    background: var(--sheet);
    padding: 16px 24px;
    overflow: auto;
  }
  table {
    max-width: 1000px;
    margin-top: 12px;
  }
  /* on a phone a row is a few lines of its own: columns of one word are no columns */
  @media (max-width: 560px) {
    thead {
      display: none;
    }
    tr {
      display: grid;
      grid-template-columns: auto 1fr;
      column-gap: 12px;
      padding: 8px 0;
      border-bottom: 1px solid var(--hair);
    }
    td {
      border: 0;
      padding: 2px 0;
      text-align: left;
    }
    td.wide {
      grid-column: 1 / -1;
    }
    td[data-as]::before {
      content: attr(data-as) ' ';
      color: var(--ink-2);
    }
  }
</style>
