<script lang="ts">
  import AsShown from '$lib/ui/primitives/AsShown.svelte';
  import { enhance } from '$app/forms';
  import Field from '../primitives/Field.svelte';
  import type { StockItem } from '$core/tray/part-kinds.ts';
  import type { LengthText } from '$core/job/words.ts';

  /** Parts of the tray by kind, with what is left and what is running out; a count changes by what came or went. */
  let { stock, len }: { stock: StockItem[]; len: LengthText } = $props();
  const groups = [
    { kind: 'packing', title: 'Packings' },
    { kind: 'shim', title: 'Shims' },
    { kind: 'ring', title: 'Thrust rings' },
    { kind: 'gasket', title: 'Gaskets' },
    { kind: 'spring', title: 'Springs' },
    { kind: 'stop', title: 'Stops' }
  ] as const;
  let moving = $state<string | null>(null);
  const measure = (s: StockItem) =>
    s.kind === 'spring'
      ? `${s.rateNPerMm!.toFixed(2)} N/mm`
      : s.kind === 'stop'
        ? `${s.deg!.toFixed(0)}° of the crank`
        : len(s.thicknessMm!, 3);
  const doubt = (s: StockItem) =>
    s.kind === 'spring'
      ? `${s.preloadN!.toFixed(2)} N at rest`
      : s.kind === 'stop'
        ? ''
        : `± ${len(2 * (s.uMm ?? 0), 3)}`;
</script>

{#each groups as g (g.kind)}
  {@const mine = stock.filter((s) => s.kind === g.kind)}
  {#if mine.length}
    <h2>{g.title}</h2>
    <table>
      <caption class="only-read">{g.title} in the tray</caption>
      <thead
        ><tr
          ><th>name</th><th class="n">measures</th><th class="n">{g.kind === 'spring' ? 'holds' : '±'}</th><th class="n"
            >left</th
          ><th><span class="only-read">change</span></th></tr
        ></thead
      >
      <tbody>
        {#each mine as s (s.id)}
          <tr>
            <td class="strong">{s.name}</td>
            <td class="n">{measure(s)}</td>
            <td class="n quiet">{doubt(s)}</td>
            <td class="n" class:low={s.count <= s.low}
              >{s.count}{s.count === 0 ? ', none left' : s.count <= s.low && s.low > 0 ? ', running out' : ''}</td
            >
            <td class="n"
              ><button class="link" onclick={() => (moving = moving === s.id ? null : s.id)}>book in or out</button></td
            >
          </tr>
          {#if moving === s.id}
            <tr
              ><td colspan="5">
                <form
                  method="post"
                  action="?/move"
                  use:enhance={() =>
                    async ({ update }) => {
                      await update();
                      moving = null;
                    }}
                >
                  <AsShown />
                  <input type="hidden" name="item" value={s.id} />
                  <Field beside label="by" name="change" type="number" required placeholder="+2 or -1" />
                  <Field beside label="because" name="reason" required placeholder="bought, cut, thrown away" />
                  <button class="button">Book it</button>
                </form>
              </td></tr
            >
          {/if}
        {/each}
      </tbody>
    </table>
  {/if}
{/each}

<style>
  table {
    table-layout: fixed;
  }
  h2 {
    margin: 16px 0 4px;
  }
  .strong {
    font-weight: 600;
  }
  .low {
    color: var(--unsure);
    font-weight: 640;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
    align-items: center;
  }
</style>
