<script lang="ts">
  import { numberOf, sliderOf } from '$core/engine/engine.ts';
  import { dropMm, slider } from '$core/calculations/piston/slider.ts';
  import { lengthText } from '../../../reader/units.ts';
  import type { SurfaceProps } from '../props.ts';

  let { session, prefs }: SurfaceProps = $props();
  const w = $derived(session.state.work.flywheel);
  const len = $derived(lengthText(prefs));
  const target = $derived(numberOf(session.engine, 'fullAdvanceBtdc') ?? null);
  const rows = $derived.by(() => {
    const g = sliderOf(session.engine);
    const s = g ? slider(g) : null;
    if (!s?.ok || target === null) return [];
    return [-4, -2, -1, 0, 1, 2, 4]
      .map((d) => target + d)
      .filter((d) => d >= 0)
      .map((deg) => ({ deg, mm: dropMm(s.out, -deg) }));
  });
</script>

{#if w.dropMm !== null && target !== null}
  <table>
    <caption class="only-read">Height below the top, on this engine</caption>
    <thead><tr><th class="n">before TDC</th><th class="n">below the top</th></tr></thead>
    <tbody>
      {#each rows as r (r.deg)}<tr class:want={r.deg === target}
          ><td class="n">{r.deg}°</td><td class="n">{len(r.mm, 3)}</td></tr
        >{/each}
    </tbody>
  </table>
  <p>A degree is <b>{len(w.mmPerDeg ?? 0, 2)}</b> along the flywheel where the marks are.</p>
{:else}<p class="quiet">
    {w.problem?.message ?? 'Stroke, rod, full advance or the flywheel’s diameter is missing on the data sheet.'}
  </p>{/if}

<style>
  table {
    max-width: 360px;
  }
  .want td {
    font-weight: 640;
    color: var(--target);
  }
</style>
