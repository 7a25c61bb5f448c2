<script lang="ts">
  import type { TargetHand } from './target.svelte.ts';

  interface Props {
    hand: TargetHand;
    from: 'said' | 'limits' | 'none';
    onkeep?: (() => void) | undefined;
  }
  let { hand, from, onkeep }: Props = $props();
  const figure = (e: Event) => Number((e.currentTarget as HTMLInputElement).value.replace(',', '.'));
</script>

<table>
  <caption class="only-read">The target, point by point</caption>
  <thead><tr><th>rpm</th><th>degrees before TDC</th><th><span class="only-read">take away</span></th></tr></thead>
  <tbody>
    {#each hand.points as p, k (k)}
      <tr>
        <td
          ><input
            class="field"
            type="number"
            min="0"
            max="20000"
            step="50"
            aria-label="Target {k + 1}, speed"
            value={p.rpm}
            onchange={(e) => hand.speedTo(k, figure(e))}
          /></td
        >
        <td
          ><input
            class="field"
            type="number"
            min="-10"
            max="70"
            step="0.5"
            aria-label="Target {k + 1}, degrees"
            value={p.deg}
            onchange={(e) => hand.set(k, figure(e))}
          /></td
        >
        <td><button class="link" onclick={() => hand.remove(k)}>take away</button></td>
      </tr>
    {/each}
  </tbody>
</table>
<div class="acts">
  <button class="link" onclick={() => hand.add()}>one more point</button>
  {#if hand.moved}<button class="link" onclick={() => hand.drop()}>back to what was said</button>{/if}
  {#if onkeep && (hand.moved || from === 'limits')}<button class="button first" onclick={onkeep}>Log this target</button
    >{/if}
</div>
<p class="quiet small">
  {hand.moved
    ? 'Moved by hand, not logged yet.'
    : from === 'said'
      ? 'As logged on this job.'
      : from === 'limits'
        ? 'The middle of the data sheet’s limits, until a target is logged.'
        : 'No limits on the data sheet: add the points you want.'}
</p>

<style>
  .field {
    width: 86px;
    min-height: 40px;
  }
  td {
    padding: 3px 8px 3px 0;
    vertical-align: middle;
  }
  td .link {
    white-space: nowrap;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: center;
    margin: 6px 0;
  }
</style>
