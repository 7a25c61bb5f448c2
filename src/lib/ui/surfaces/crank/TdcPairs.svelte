<script lang="ts">
  import type { Reading } from '$core/job/replayed.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import ReadingText from '../../job/ReadingText.svelte';
  import { exchange } from '../exchange.ts';
  import type { JobSession } from '../../job/session.svelte.ts';

  let { session, prefs, onamend }: { session: JobSession; prefs: Prefs; onamend: (r: Reading) => void } = $props();
  const tdc = $derived(session.state.work.tdc);

  const swap = (before: Reading, after: Reading) => exchange(session, before, after, 'before and after swapped');
</script>

{#if tdc.depth}
  <p class="small">
    Depth <ReadingText reading={tdc.depth} {prefs} unsent={session.unsent.has(tdc.depth.id)} {onamend} />
  </p>
{/if}
<table>
  <caption class="only-read">Pairs of wheel readings</caption>
  <thead>
    <tr
      ><th>pair</th><th class="n">before</th><th class="n">after</th><th class="n">middle</th><th
        ><span class="only-read">remark</span></th
      ></tr
    >
  </thead>
  <tbody>
    {#each tdc.rows as r (r.n)}
      <tr>
        <td>{r.n}</td>
        <td class="n">
          {#if r.before}<ReadingText
              reading={r.before}
              {prefs}
              unsent={session.unsent.has(r.before.id)}
              {onamend}
            />{/if}
        </td>
        <td class="n">
          {#if r.after}<ReadingText
              reading={r.after}
              {prefs}
              unsent={session.unsent.has(r.after.id)}
              {onamend}
            />{:else}<span class="quiet">next</span>{/if}
        </td>
        <td class="n">{r.middleDeg === null ? '' : `${r.middleDeg.toFixed(2)}°`}</td>
        <td>
          {#if r.farOff}<span class="off">far off</span>{/if}
          {#if r.error}<span class="off">swapped?</span>{/if}
        </td>
      </tr>
      {#if r.error && r.before && r.after}
        <tr>
          <td colspan="5" class="off">
            {r.error.message}
            <button class="link" onclick={() => swap(r.before!, r.after!)}>Swap the two</button>
          </td>
        </tr>
      {/if}
    {:else}
      <tr>
        <td colspan="5" class="quiet">
          No pair yet. {tdc.nextSlot === 'depth'
            ? 'Type how far down the dial stands first.'
            : 'Type the wheel before the top, then after it.'}
        </td>
      </tr>
    {/each}
  </tbody>
</table>

<style>
  .off {
    color: var(--unsure);
    font-weight: 600;
  }
</style>
