<script lang="ts">
  import { gripped, type Grip } from '../grip.ts';

  /** One flank of a tooth with the band where the compound was wiped; its two edges can be dragged. */
  interface Patch {
    low: number;
    high: number;
  }
  interface Props {
    faceMm: number;
    /** the contact in hand, mm above the lower end */
    patch: Patch | null;
    /** the one before it, drawn as a dashed outline */
    before: Patch | null;
    valueText: (mm: number) => string;
    onchange?: ((patch: Patch) => void) | undefined;
  }
  let { faceMm, patch, before, valueText, onchange }: Props = $props();

  const TOP = 26;
  const HEIGHT = 250;
  const y = (mm: number) => TOP + HEIGHT * (1 - mm / faceMm);
  const ticks = $derived.by(() => {
    const step = faceMm > 30 ? 5 : faceMm > 12 ? 2 : 1;
    return Array.from({ length: Math.floor(faceMm / step) + 1 }, (_, k) => k * step);
  });
  // the flank leans with the helix: a parallelogram between two x at each height
  const lean = (mm: number) => 40 * (mm / faceMm);
  const band = (p: Patch) =>
    `M${72 + lean(p.low)} ${y(p.low)}L${72 + lean(p.high)} ${y(p.high)}H${196 + lean(p.high)}L${196 + lean(p.low)} ${y(p.low)}Z`;

  function set(which: 'low' | 'high', mm: number) {
    if (!patch) return;
    const m = Math.round(Math.min(faceMm, Math.max(0, mm)) * 10) / 10;
    onchange?.(
      which === 'low'
        ? { low: Math.min(m, patch.high), high: patch.high }
        : { low: patch.low, high: Math.max(m, patch.low) }
    );
  }
  const grip = (which: 'low' | 'high'): Grip => ({
    drag: (p) => set(which, ((TOP + HEIGHT - p.y) / HEIGHT) * faceMm),
    step: (by) => patch && set(which, patch[which] + by / 10)
  });
</script>

<svg
  class="drawing"
  viewBox="0 0 330 310"
  role="group"
  aria-label="Loaded flank of a tooth{patch
    ? `, contact from ${valueText(patch.low)} to ${valueText(patch.high)}`
    : ''}"
>
  <text x="112" y="16" class="label">upper end</text>
  <text x="72" y="304" class="label">lower end</text>
  <path d="M72 {y(0)}L112 {y(faceMm)}H236L196 {y(0)}Z" class="flank" />
  <path
    d="M{72 + lean(faceMm * 0.4)} {y(faceMm * 0.4)}H{196 + lean(faceMm * 0.4)}M{72 + lean(faceMm * 0.6)} {y(
      faceMm * 0.6
    )}H{196 + lean(faceMm * 0.6)}"
    class="middle"
  />
  {#each ticks as mm (mm)}
    <path d="M58 {y(mm)}h-7" class="tick" />
    <text x="47" y={y(mm) + 4.5} class="figure">{mm}</text>
  {/each}
  <path d="M58 {y(0)}V{y(faceMm)}" class="tick" />
  {#if before}<path d={band(before)} class="before" />{/if}
  {#if patch}
    <path d={band(patch)} class="patch" />
    {#each ['low', 'high'] as const as which (which)}
      {@const mm = patch[which]}
      <path d="M{190 + lean(mm)} {y(mm)}H248" class="tick" />
      {#if onchange}
        <circle
          cx="256"
          cy={y(mm)}
          r="9"
          class="handle"
          role="slider"
          tabindex="0"
          aria-label={which === 'low' ? 'Lower end of the contact' : 'Upper end of the contact'}
          aria-valuemin="0"
          aria-valuemax={faceMm}
          aria-valuenow={mm}
          aria-valuetext={valueText(mm)}
          {@attach gripped(() => grip(which))}
        />
      {/if}
      <text x="270" y={y(mm) + (which === 'low' ? 16 : -6)} class="value">{valueText(mm)}</text>
    {/each}
  {/if}
</svg>

<style>
  .flank {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .tick {
    stroke: var(--ink-2);
    stroke-width: 1.2;
    fill: none;
  }
  .before {
    fill: none;
    stroke: var(--predicted);
    stroke-width: 1.6;
    stroke-dasharray: 5 4;
  }
  .handle {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2.2;
    cursor: grab;
    touch-action: none;
  }
  .label,
  .figure,
  .value {
    font-size: var(--t1);
    fill: var(--ink-2);
  }
  .figure {
    text-anchor: end;
  }
  .value {
    font-weight: 640;
    fill: var(--ink);
  }
</style>
