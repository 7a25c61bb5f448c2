<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { list } from '$core/job/words.ts';
  import { rad } from '$core/numerics/angles.ts';
  import { lengthText } from '../../../reader/units.ts';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const t = $derived(session.state.work.tip);
  const len = $derived(lengthText(prefs));
  const SCALE = 12;
  const x = (mm: number) => 170 + mm * SCALE;
  const along = (deg: number) => (t.widths ? t.widths.tipRadiusMm * rad(deg) : 0);
</script>

<div class="beside">
  <div>
    {#if t.out && t.widths}
      <svg
        class="drawing"
        viewBox="0 0 340 190"
        role="img"
        aria-label="Rotor tip against its terminal at both ends of the range, unrolled"
      >
        <path d="M170 20V180" class="middle" />
        <rect
          x={x(-t.widths.terminalWidthMm / 2)}
          y="24"
          width={t.widths.terminalWidthMm * SCALE}
          height="26"
          class="terminal"
        />
        <text x="170" y="16" class="label">terminal</text>
        {#each t.out.ends as e, k (k)}
          <rect
            x={x(along(e.offsetDeg) - t.widths.tipWidthMm / 2)}
            y={58 + k * 56}
            width={t.widths.tipWidthMm * SCALE}
            height="24"
            class="tip"
            class:out={e.overlapMm < 0}
          />
          <text x="170" y={100 + k * 56} class="label"
            >{k === 0 ? 'at rest' : `trigger moved ${e.shiftDeg.toFixed(1)}°`}: {Math.abs(e.offsetDeg).toFixed(1)}° {e.offsetDeg >=
            0
              ? 'past'
              : 'short of'} the terminal</text
          >
        {/each}
      </svg>
    {:else}
      <p class="quiet">Still to come: {list(t.lacks)}.</p>
    {/if}
    <p class="note">
      Mechanical advance moves rotor and trigger together and shifts nothing here. What does: a vacuum capsule turning
      the plate, or a control unit timing the spark while the rotor goes on.
    </p>
  </div>
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    {#if t.out}
      <table data-testid="tip">
        <caption class="only-read">Tip and terminal at both ends of the range</caption>
        <thead
          ><tr
            ><th>trigger moved</th><th class="n">tip past</th><th class="n">overlap</th><th class="n">spark jumps</th
            ><th class="n">to neighbour</th></tr
          ></thead
        >
        <tbody>
          {#each t.out.ends as e, k (k)}
            <tr
              ><td>{e.shiftDeg.toFixed(1)}°</td><td class="n">{e.offsetDeg.toFixed(1)}°</td><td
                class="n"
                class:bad={e.overlapMm < 0}>{len(e.overlapMm, 2)}</td
              ><td class="n">{len(e.sparkGapMm, 2)}</td><td class="n">{len(e.neighbourGapMm, 2)}</td></tr
            >
          {/each}
        </tbody>
      </table>
      <p class="note">
        Best place of the tip at rest: {t.out.bestBaseOffsetDeg.toFixed(1)}° past its terminal, distributor degrees.
      </p>
    {/if}
  </div>
</div>

<style>
  svg {
    max-width: 380px;
  }
  .tip {
    fill: var(--ink);
    fill-opacity: 0.8;
  }
  .tip.out {
    fill: var(--out);
  }
  .label {
    font-size: var(--t1);
    text-anchor: middle;
    fill: var(--ink-2);
    paint-order: stroke;
    stroke: var(--sheet);
    stroke-width: 4;
  }
  td {
    white-space: nowrap;
  }
  th {
    vertical-align: bottom;
  }
  .bad {
    color: var(--out);
    font-weight: 640;
  }
</style>
