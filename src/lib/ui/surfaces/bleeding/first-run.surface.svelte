<script lang="ts">
  import type { SurfaceProps } from '../props.ts';

  let { session }: SurfaceProps = $props();
  const pointed = $derived(session.state.work.pointed);
  const most = $derived(pointed[0]?.weight ?? 1);
</script>

{#if pointed.length}
  <table data-testid="pointed">
    <caption class="only-read">What smoke, sound and pull point to</caption>
    <thead><tr><th>points to</th><th>how strongly</th><th>look at next</th></tr></thead>
    <tbody>
      {#each pointed as p (p.id)}
        <tr
          ><td>{p.name}</td><td
            ><span class="bar" style="width: {Math.round((90 * p.weight) / most)}px"></span><span class="only-read"
              >{p.weight} of {most}</span
            ></td
          ><td>{p.check}</td></tr
        >
      {/each}
    </tbody>
  </table>
{:else}
  <p class="quiet">What you say above is weighed here. Nothing points to a fault so far.</p>
{/if}
<p class="note">It weighs signs, it proves nothing: only the check beside a cause does.</p>

<style>
  .bar {
    display: inline-block;
    height: 10px;
    background: var(--ink);
  }
</style>
