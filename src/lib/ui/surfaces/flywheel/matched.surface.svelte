<script lang="ts">
  import type { SurfaceProps } from '../props.ts';

  let { session }: SurfaceProps = $props();
  const w = $derived(session.state.work.flywheel);
  const seen = (c: number) => w.matched.find((m) => m.lead === c)?.seen ?? null;
</script>

<table data-testid="matched">
  <caption class="only-read">Leads and the numbers that stood at the pointer</caption>
  <thead><tr><th>strobe on the lead of</th><th>stood at the pointer</th><th></th></tr></thead>
  <tbody>
    {#each w.rows as r (r.cylinder)}
      {@const s = seen(r.cylinder)}
      <tr
        ><td>{r.cylinder}</td><td>{s ?? 'to see'}</td><td
          >{s === null ? '' : s === r.cylinder ? 'its own' : 'another: swapped'}</td
        ></tr
      >
    {/each}
  </tbody>
</table>
<p class="note">
  Never a hand near the flywheel while the battery is on: it is switched on only when that side calls clear, and off
  again before anybody reaches in.
</p>
