<script lang="ts">
  import { wrap180 } from '$core/numerics/angles.ts';
  import type { Slider } from '$core/calculations/piston/slider.ts';
  import { fittedDial, type FitWork } from '$core/domains/tdcfit/fit-work.ts';
  import type { Reading } from '$core/job/replayed.ts';
  import { fixed } from '$core/units/format.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import XyChart, { type Series } from '../../charts/XyChart.svelte';
  import ReadingText from '../../job/ReadingText.svelte';
  import type { JobSession } from '../../job/session.svelte.ts';

  let {
    session,
    fit,
    slider,
    prefs,
    onamend
  }: {
    session: JobSession;
    fit: FitWork;
    slider: Slider | null;
    prefs: Prefs;
    onamend: (r: Reading) => void;
  } = $props();
  const found = $derived(fit.found);
  const zero = $derived(found?.result.tdcWheelDeg ?? 0);
  const at = (wheel: number) => wrap180(wheel - zero);
  const points = $derived(
    fit.rows.filter((r) => r.dial !== null).map((r) => ({ x: at(r.wheel.value), y: r.dial!.value, out: r.thrownOut }))
  );
  const series = $derived.by<Series[]>(() => {
    const out: Series[] = [
      { label: 'read', kind: 'measured', points: points.filter((p) => !p.out) },
      { label: 'thrown out', kind: 'out', points: points.filter((p) => p.out) }
    ];
    if (found && slider) {
      const reach = Math.max(10, ...points.map((p) => Math.abs(p.x))) + 3;
      const curve = Array.from({ length: 61 }, (_, k) => -reach + (2 * reach * k) / 60);
      out.push({
        label: 'fitted',
        kind: 'predicted',
        points: curve.map((x) => ({ x, y: fittedDial(slider, found.result, found.input.dialSense!, x + zero) }))
      });
    }
    return out;
  });
</script>

<div class="fit">
  {#if points.length}
    <XyChart
      {series}
      xTitle="crank, degrees from true TDC"
      yTitle="dial, mm"
      label="Readings of the dial against the fitted curve; the table has the figures"
      height={230}
    />
  {/if}
  <table>
    <caption class="only-read">Readings of wheel and dial</caption>
    <thead
      ><tr
        ><th>no.</th><th class="n">wheel</th><th class="n">dial</th><th class="n">off the curve</th><th
          ><span class="only-read">remark</span></th
        ></tr
      ></thead
    >
    <tbody>
      {#each fit.rows as r (r.n)}
        <tr class:out={r.thrownOut}>
          <td>{r.n}</td>
          <td class="n"><ReadingText reading={r.wheel} {prefs} unsent={session.unsent.has(r.wheel.id)} {onamend} /></td>
          <td class="n">
            {#if r.dial}<ReadingText
                reading={r.dial}
                {prefs}
                unsent={session.unsent.has(r.dial.id)}
                {onamend}
              />{:else}<span class="quiet">next</span>{/if}
          </td>
          <td class="n">{r.residualMm === null ? '' : `${fixed(1000 * r.residualMm, 0)} µm`}</td>
          <td
            >{#if r.thrownOut}<span class="off">thrown out</span>{/if}</td
          >
        </tr>
      {:else}
        <tr
          ><td colspan="5" class="quiet"
            >None yet. Type the wheel, then the dial at that place; eight or so, up to 40° on both sides.</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
  {#if fit.bottomed}<p class="off" role="alert">{fit.bottomed}</p>{/if}
</div>

<style>
  .fit {
    display: grid;
    gap: 8px;
  }
  .off {
    color: var(--unsure);
    font-weight: 600;
  }
  tr.out td {
    color: var(--ink-2);
  }
</style>
