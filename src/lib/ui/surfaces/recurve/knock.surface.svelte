<script lang="ts">
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.knock);
  const from = $derived(w.leavesBtdc === null ? null : w.leavesBtdc + w.taken);
  /** the initial timing after each step that was taken back */
  const after = $derived(w.steps.map((_, k) => w.steps.slice(0, k + 1).reduce((t, x) => t + x, 0)));
</script>

<div class="beside" style="--second: 0.8fr">
  <Readings {session} {stepId} {line} {prefs} {onamend} />
  <table data-testid="knock">
    <caption class="only-read">What was taken back for knock</caption>
    <thead><tr><th>step</th><th class="n">taken back</th><th class="n">initial, before TDC</th></tr></thead>
    <tbody>
      <tr
        ><td>as set</td><td class="n">0.0°</td><td class="n">{from === null ? 'not known' : `${from.toFixed(1)}°`}</td
        ></tr
      >
      {#each w.steps as s, k (k)}
        <tr
          ><td>{k + 1}</td><td class="n">{s.toFixed(1)}°</td><td class="n"
            >{from === null ? '' : `${(from - after[k]!).toFixed(1)}°`}</td
          ></tr
        >
      {/each}
      {#if w.margin !== null}
        <tr
          ><td>for safety</td><td class="n">{w.margin.toFixed(1)}°</td><td class="n"
            ><b>{w.leavesBtdc === null ? '' : `${w.leavesBtdc.toFixed(1)}°`}</b></td
          ></tr
        >
      {/if}
    </tbody>
  </table>
</div>
<p class="note">
  Never hold a knocking engine at load to hear it better: knock breaks pistons within seconds. Lift the throttle at
  once.
</p>
