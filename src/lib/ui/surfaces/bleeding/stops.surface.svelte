<script lang="ts">
  import type { SurfaceProps } from '../props.ts';

  let { session }: SurfaceProps = $props();
  const tried = $derived(['stop-one', 'stop-two'].map((q) => session.state.replayed.chosen.get(q) ?? null));
  const step = $derived(session.sheet.steps.find((s) => s.surface === 'stops')!);
  const name = (q: number, id: string | null) =>
    id === null ? 'not tried' : (step.choices[q]?.options.find((o) => o.id === id)?.label ?? id);
</script>

<table>
  <caption class="only-read">Ways of stopping it</caption>
  <thead><tr><th>way</th><th>tried</th></tr></thead>
  <tbody>
    {#each tried as t, k (k)}<tr
        ><td>{k === 0 ? 'first' : 'second, by itself'}</td><td class:quiet={t === null}>{name(k, t)}</td></tr
      >{/each}
  </tbody>
</table>
<p class="note">
  If it runs away: block the intake with the plate, shut the fuel, stay out of the plane of what turns. Never reach for
  the pump.
</p>
