<script lang="ts">
  import { gaugeKinds, type GaugeKind } from '$core/tray/gauge-kinds.ts';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  import { sizeText } from '$lib/ui/tray/size-text.ts';

  let { data } = $props();
  const size = $derived(sizeText(data.prefs, 2));
  const learnt = $derived(new Set(data.gauges.flatMap((g) => g.hands.flatMap((h) => h.name ?? []))).size);
  const label = (k: GaugeKind) => (k === 'eye' ? k : gaugeKinds[k].label);
  const headline = $derived(
    data.gauges.length === 0
      ? 'The tray holds no gauge'
      : learnt === 0
        ? 'No hand is known yet: every ± rests on what is assumed'
        : `What ${learnt === 1 ? 'one hand' : `${learnt} hands`} and ${data.gauges.length === 1 ? 'one gauge' : `${data.gauges.length} gauges`} make of a ±`
  );
</script>

<svelte:head><title>Hands and gauges · Nemrik</title></svelte:head>
<Frame>
  <main id="main">
    <h1>{headline}</h1>
    <p class="quiet">
      Whoever reads twice never reads quite the same. How far the repeats lie apart goes into every ±, so that it holds
      95 times in 100. Until repeats tell, the workshop’s assumption stands, with the weight of seven repeats. Light,
      reach and gauge are in it as much as the hand, so each gauge is learnt by itself, and each thing that is read with
      it: it says how wide a ± must be, and nothing else about anybody.
      <a href="/tray">Back to the tray</a>
    </p>
    {#if data.gauges.length === 0}
      <p>Put a gauge in <a href="/tray">the tray</a> first.</p>
    {:else}
      <table>
        <thead
          ><tr
            ><th>gauge</th><th>in whose hand</th><th>reading</th><th class="n">a reading scatters (one s)</th><th
              >known from</th
            ><th class="n">one reading, ±</th><th class="n">an answer often made, ±</th></tr
          ></thead
        >
        {#each data.gauges as { gauge, begins, hands } (gauge.id)}
          <tbody>
            {#each hands as hand, k (k)}
              <tr class:first={k === 0}>
                {#if k === 0}
                  <th scope="rowgroup" rowspan={hands.length}
                    >{gauge.name}<span class="quiet small">{label(gauge.kind)}</span><span class="quiet small"
                      >{hand.typical.what}</span
                    ></th
                  >
                {/if}
                <td class:quiet={hand.name === null}>{hand.name ?? 'one not known yet'}</td>
                <td class:quiet={hand.reads === null}>{hand.reads ?? 'anything'}</td>
                <td class="n">{size(hand.scatter, gauge.kind)}</td>
                <td
                  >{#if hand.name === null}{begins.from === 'assumed'
                      ? 'assumed by the workshop'
                      : `measured with this gauge, ${begins.dof + 1} repeats`}{:else}{hand.n} repeated readings on {hand.jobs ===
                    1
                      ? 'one job'
                      : `${hand.jobs} jobs`}, with what stands above{/if}</td
                >
                <td class="n">{size(hand.onePm, gauge.kind)}</td>
                <td class="n">{size(hand.typical.pm, gauge.kind)}</td>
              </tr>
            {/each}
          </tbody>
        {/each}
      </table>
    {/if}
  </main>
</Frame>

<style>
  main {
    background: var(--sheet);
    padding: 16px 24px;
    overflow: auto;
  }
  main > .quiet {
    margin: 2px 0 12px;
    max-width: 100ch;
  }
  th[scope='rowgroup'] {
    text-align: left;
    vertical-align: top;
    color: var(--ink);
    font-weight: 600;
    font-size: var(--t3);
  }
  th .small {
    display: block;
    font-weight: 400;
  }
  .first > * {
    border-top: 1.5px solid var(--rule);
  }
</style>
